import type { Folded } from '../logbook';
import type { MethodCard } from '../method';
import type { Flag } from '../quality';
import { sayValue } from '../interpret';
import { exactly, parameterCodes, type ParameterCode } from '../quantity';
import { arrivalFlags } from './arrival';
import { bottleFindings } from './bottles';
import type { Context } from './context';
import { derivedFindings } from './derived';
import { gaugingView } from './gauging';
import type { Outcome } from './outcome';
import { withHistory } from './history';
import { pairFlags } from './pairs';
import { plateFindings } from './plates';
import { readingFindings, type Finding } from './readings';
import { reviewed } from './reviews';
import { simpleGauging } from './simple-gauging';
import { missingOf, orderFlags, stepStates } from './steps';
import { titrationFindings } from './titrations';
import { waitClocks } from './waits';

/**
 * The one function that knows: every figure that follows from a visit's sheet with how sure it is, every doubt with its
 * evidence, every running clock, and what to do next. Pure: the same folded entries, card and context give the same
 * outcome, on the phone as on the server. Never throws for anything a sheet can hold.
 */
export function evaluate(folded: Folded, card: MethodCard, context: Context): Outcome {
	const { sheet } = folded;
	const flow = card.steps.find((s) => s.tool === 'flow');
	const worked = Object.entries(sheet.gaugings ?? {})
		.filter(([, g]) => isByVerticals(g))
		.map(([id, g]) => gaugingView(g, id, flow?.tool === 'flow' ? flow : undefined, context.instruments));
	const gaugings = worked.map((w) => w.view);
	const others = Object.entries(sheet.gaugings ?? {})
		.filter(([, g]) => !isByVerticals(g))
		.map(([id, g]) => simpleGauging(id, g, card));
	const readings = readingFindings(folded, card, context);
	const titrations = titrationFindings(sheet);
	const derived = derivedFindings([...readings.findings, ...titrations.findings], card, context);
	const bottles = bottleFindings(sheet, card, context);
	const plates = plateFindings(sheet, card);
	const findings = firstOfEach([
		...readings.findings,
		...titrations.findings,
		...derived.findings,
		...gaugings.flatMap(dischargeFinding),
		...others.flatMap((o) => o.findings),
		...bottles.findings,
		...plates.findings
	]);
	const { results, flags: changed } = reviewed(findings, folded);
	const steps = stepStates(sheet, card, gaugings, results);
	const flags: Flag[] = [
		...arrivalFlags(sheet, card, context.site.wadingDepth_m),
		...orderFlags(folded, card),
		...readings.flags,
		...titrations.flags,
		...derived.flags,
		...worked.flatMap((w) => w.flags),
		...others.flatMap((o) => o.flags),
		...bottles.flags,
		...plates.flags,
		...pairFlags(sheet, card),
		...conflictFlags(folded),
		...changed
	];
	const { usual } = context.site;
	return {
		folded,
		results,
		gaugings,
		flags: usual === null ? flags : withHistory({ flags, results, folded }, usual),
		clocks: [...bottles.clocks, ...plates.clocks, ...waitClocks(sheet, card, context.now_ms)],
		steps,
		next: steps.find((s) => s.state === 'open')?.id ?? null,
		missing: missingOf(steps, card)
	};
}

const isByVerticals = ({ method }: { method?: string | undefined }) => method === undefined || method === 'verticals';

/** One figure for each parameter, in the parameters' order: where there are several ways, the first that gave one. */
function firstOfEach(findings: readonly Finding[]): Finding[] {
	const first = new Map<ParameterCode, Finding>();
	for (const finding of findings) if (!first.has(finding.parameter)) first.set(finding.parameter, finding);
	return parameterCodes.flatMap((code) => first.get(code) ?? []);
}

/** A gauging becomes the visit's discharge once both edges are known. Only the first one counts; others stand beside it. */
function dischargeFinding({ provisional, discharge_m3s, uncertainty, verticals, working }: Outcome['gaugings'][number], index: number): Finding[] {
	if (provisional || discharge_m3s === null || index > 0) return [];
	const counted = verticals.filter((v) => v.share_percent !== null).length;
	return [
		{
			parameter: 'discharge',
			figure: exactly(discharge_m3s, 'm3_s'),
			uncertainty: uncertainty?.relativeUncertainty == null ? null : Math.abs(2 * uncertainty.relativeUncertainty * discharge_m3s),
			readings: counted,
			source: 'derived',
			basis: `mid-section, ${counted} verticals`,
			working
		}
	];
}

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
