import { arithmeticWords, type Folded, type GaugingMethod } from '../logbook';
import type { MethodCard } from '../method';
import type { Flag } from '../quality';
import { sayValue } from '../interpret';
import { exactly } from '../quantity';
import { arrivalFlags, conditionFlags } from './arrival';
import { bottleFindings } from './bottles';
import type { Context } from './context';
import { comparedFlags } from './compared';
import { rankOf } from './determination';
import { finding } from './finding';
import { derivedFindings } from './derived';
import { fieldTestFlags } from './field-tests';
import { handlingFlags } from './handling';
import { gaugedOtherwise, repeatFlags } from './repeats';
import { paperFlags } from './paper';
import { gaugingViews } from './gauging';
import type { Finding, Flow, GaugingView, Outcome } from './outcome';
import { withHistory } from './history';
import { pairFlags } from './pairs';
import { plateFindings } from './plates';
import { readingFindings } from './readings';
import { followingParents, reportedOf, reviewed } from './reviews';
import { simpleGauging } from './simple-gauging';
import { missingOf, orderFlags, stepStates } from './steps';
import { titrationFindings } from './titrations';
import { waitClocks } from './waits';
import { flowStepOf, isBySection, wayTaken } from './way';

/**
 * The one function that knows: every figure that follows from a visit's sheet with how sure it is, every doubt with its
 * evidence, every running clock, and what to do next. Pure: the same folded entries, card and context give the same
 * outcome, on the phone as on the server. Never throws for anything a sheet can hold.
 */
export function evaluate(folded: Folded, card: MethodCard, context: Context): Outcome {
	const { sheet } = folded;
	const flow = flowStepOf(card);
	const gauged = Object.entries(sheet.gaugings ?? {});
	const worked = gaugingViews(folded, card, context.instruments);
	const gaugings = worked.map((w) => w.view);
	const others = gauged
		.filter(([, g]) => !isBySection(wayTaken(g, flow)))
		.map(([id, g]) => ({ id, ...simpleGauging(id, g, wayTaken(g, flow).method, card) }));
	const readings = readingFindings(folded, card, context);
	const titrations = titrationFindings(folded, card);
	const bottles = bottleFindings(sheet, card, context);
	const plates = plateFindings(sheet, card);
	/** The first gauging is the visit's flow; what was gauged again stands beside it. */
	const flows = [
		...gaugings.flatMap((g) => bySection(g, wayTaken(sheet.gaugings?.[g.id], flow).method)),
		...others.flatMap((o) => o.findings.map((finding) => ({ id: o.id, finding })))
	].sort(firstGaugedFirst);
	const found = inOrder(
		[
			...readings.findings,
			...titrations.findings,
			...flows.map((f) => f.finding),
			...bottles.findings,
			...plates.findings
		],
		readings.flags
	);
	const reportedFirst = reportedOf(reviewed(found, folded).judged, folded).filter((d) => d.isReported);
	const derived = derivedFindings(reportedFirst, sheet, card, context);
	const { judged, flags: changed } = reviewed([...found, ...derived.findings], folded);
	const determinations = followingParents(reportedOf(judged, folded));
	const results = determinations.filter((d) => d.isReported);
	const steps = stepStates(sheet, card, gaugings, results);
	const flags: Flag[] = [
		...arrivalFlags(sheet, card, gaugings, context),
		...conditionFlags(sheet, context),
		...orderFlags(folded, card),
		...readings.flags,
		...titrations.flags,
		...derived.flags,
		...worked.flatMap((w) => w.flags),
		...others.flatMap((o) => o.flags),
		...gaugedOtherwise(sheet, flow),
		...repeatFlags(sheet, flows, card),
		...bottles.flags,
		...handlingFlags(sheet, card, context),
		...fieldTestFlags(folded, card, results),
		...paperFlags(sheet),
		...plates.flags,
		...comparedFlags(determinations, card),
		...pairFlags(sheet, card, context.duplicatesBefore),
		...conflictFlags(folded),
		...changed
	];
	const { usual } = context.site;
	return {
		folded,
		determinations,
		results,
		gaugings,
		flows,
		flags: usual === null ? flags : withHistory({ flags, results, folded }, usual),
		clocks: [...bottles.clocks, ...plates.clocks, ...waitClocks(sheet, card, context)],
		steps,
		next: steps.find((s) => s.state === 'open')?.id ?? null,
		missing: missingOf(steps, card)
	};
}

/** A gauging that was made again stands behind everything. */
const AGAIN = 1000;

/** Determinations in the order in which they would be reported, whatever their parameter; of one way the first stays first. */
function inOrder(findings: readonly Finding[], flags: readonly Flag[]): Finding[] {
	const isOut = ({ place }: Finding) =>
		flags.some(
			(f) => (f.code === 'calibration-old' || f.code === 'calibration-missing') && f.path.startsWith(`${place}/`)
		);
	const isSecondGauging = ({ parameter, place }: Finding) => parameter === 'discharge' && place !== firstFlow;
	const firstFlow = findings.find((f) => f.parameter === 'discharge')?.place;
	const rank = new Map(findings.map((f) => [f, isSecondGauging(f) ? AGAIN : rankOf(f, isOut(f))]));
	return [...findings].sort((a, b) => rank.get(a)! - rank.get(b)!);
}

/** A gauging of a section gives a discharge once both edges are known. */
function bySection(
	{ id, provisional, arithmetic, discharge_m3s, expanded_percent, verticals, working }: GaugingView,
	method: GaugingMethod
): Flow[] {
	if (provisional || discharge_m3s === null) return [];
	const counted = verticals.filter((v) => v.share_percent !== null).length;
	const found = finding({
		parameter: 'discharge',
		way: method === 'sweep' ? 'sweep' : 'section',
		figure: exactly(discharge_m3s, 'm3_s'),
		uncertainty: expanded_percent === null ? null : Math.abs((expanded_percent / 100) * discharge_m3s),
		readings: counted,
		source: 'derived',
		basis: `${arithmeticWords[arithmetic]}, ${counted === 1 ? 'one vertical' : `${counted} verticals`}`,
		working,
		place: `gaugings/${id}`
	});
	return [{ id, finding: found }];
}

const firstGaugedFirst = (a: Flow, b: Flow) => (a.id === 'main' ? -1 : b.id === 'main' ? 1 : a.id < b.id ? -1 : 1);

const conflictFlags = ({ conflicts }: Folded): Flag[] =>
	conflicts.flatMap(({ path, entries }) => {
		const shown = entries.at(-1)!;
		const parameter = path.startsWith('readings/')
			? (path.split('/')[1] ?? null)
			: path.startsWith('gaugings/')
				? 'discharge'
				: null;
		return entries.slice(0, -1).map((other): Flag => ({
			code: 'two-values',
			path,
			parameter,
			evidence: { path, shown: sayValue(shown.value), other: sayValue(other.value) }
		}));
	});
