import { arithmeticWords, type Folded } from '../logbook';
import type { MethodCard } from '../method';
import type { Flag } from '../quality';
import { sayValue } from '../interpret';
import { exactly, parameterCodes, type ParameterCode } from '../quantity';
import { arrivalFlags, conditionFlags } from './arrival';
import { bottleFindings } from './bottles';
import type { Context } from './context';
import { finding as found } from './finding';
import { derivedFindings } from './derived';
import { fieldTestFlags } from './field-tests';
import { handlingFlags } from './handling';
import { gaugedOtherwise, repeatFlags } from './repeats';
import { paperFlags } from './paper';
import { gaugingViews } from './gauging';
import type { Finding, Flow, Outcome } from './outcome';
import { withHistory } from './history';
import { pairFlags } from './pairs';
import { plateFindings } from './plates';
import { readingFindings } from './readings';
import { reviewed } from './reviews';
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
	const others = gauged.filter(([, g]) => !isBySection(wayTaken(g, flow))).map(([id, g]) => ({ id, ...simpleGauging(id, g, wayTaken(g, flow).method, card) }));
	const readings = readingFindings(folded, card, context);
	const titrations = titrationFindings(folded, card);
	const derived = derivedFindings([...readings.findings, ...titrations.findings], sheet, card, context);
	const bottles = bottleFindings(sheet, card, context);
	const plates = plateFindings(sheet, card);
	/** The first gauging is the visit's flow; what was gauged again stands beside it. */
	const flows = [...gaugings.flatMap(bySection), ...others.flatMap((o) => o.findings.map((finding) => ({ id: o.id, finding })))].sort(firstGaugedFirst);
	const findings = firstOfEach([
		...readings.findings,
		...titrations.findings,
		...derived.findings,
		...flows.slice(0, 1).map((f) => f.finding),
		...bottles.findings,
		...plates.findings
	]);
	const { results, flags: changed } = reviewed(findings, folded);
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
		...fieldTestFlags(folded, card, findings),
		...paperFlags(sheet),
		...plates.flags,
		...pairFlags(sheet, card, context.duplicatesBefore),
		...conflictFlags(folded),
		...changed
	];
	const { usual } = context.site;
	return {
		folded,
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

/** One figure for each parameter, in the parameters' order: where there are several ways, the first that gave one. */
function firstOfEach(findings: readonly Finding[]): Finding[] {
	const first = new Map<ParameterCode, Finding>();
	for (const finding of findings) if (!first.has(finding.parameter)) first.set(finding.parameter, finding);
	return parameterCodes.flatMap((code) => first.get(code) ?? []);
}

/** A gauging of a section gives a discharge once both edges are known. */
function bySection({ id, provisional, arithmetic, discharge_m3s, expanded_percent, verticals, working }: Outcome['gaugings'][number]): Flow[] {
	if (provisional || discharge_m3s === null) return [];
	const counted = verticals.filter((v) => v.share_percent !== null).length;
	const finding = found({
		parameter: 'discharge',
		figure: exactly(discharge_m3s, 'm3_s'),
		uncertainty: expanded_percent === null ? null : Math.abs((expanded_percent / 100) * discharge_m3s),
		readings: counted,
		source: 'derived',
		basis: `${arithmeticWords[arithmetic]}, ${counted === 1 ? 'one vertical' : `${counted} verticals`}`,
		working,
		place: `gaugings/${id}`
	});
	return [{ id, finding }];
}

const firstGaugedFirst = (a: Flow, b: Flow) => (a.id === 'main' ? -1 : b.id === 'main' ? 1 : a.id < b.id ? -1 : 1);

const conflictFlags = ({ conflicts }: Folded): Flag[] =>
	conflicts.flatMap(({ path, entries }) => {
		const shown = entries.at(-1)!;
		const parameter = path.startsWith('readings/') ? (path.split('/')[1] ?? null) : path.startsWith('gaugings/') ? 'discharge' : null;
		return entries.slice(0, -1).map((other): Flag => ({
			code: 'two-values',
			path,
			parameter,
			evidence: { path, shown: sayValue(shown.value), other: sayValue(other.value) }
		}));
	});
