import { logRangeDuplicatePrecision, relativePercentDifference } from '../../bacteria';
import { limitsOf, type Limits, type MethodCard } from '../../method';
import type { Sheet } from '../../logbook';
import { duplicateLimit, ENOUGH_PAIRS } from '../../quality';
import { amount, figureOf, parameterOf, type Figure, type ParameterCode } from '../../quantity';
import type { BlanksBefore, Context } from '../context';
import { doubt, type Flag } from '../flags';
import { figuresIn, isUnderLabsLimit } from './found';

type Before = Context['duplicatesBefore'];
type Amount = ReturnType<typeof amount>;

/** What duplicates and blanks among the bottles say about the others. */
export function pairFlags(
	{ bottles }: Pick<Sheet, 'bottles'>,
	card: MethodCard,
	{ duplicatesBefore: before, blanksBefore = [] }: Pick<Context, 'duplicatesBefore' | 'blanksBefore'>
): Flag[] {
	return Object.entries(bottles ?? {}).flatMap(([id, bottle]): Flag[] => {
		const label = bottle.label ?? id;
		const path = `bottles/${id}`;
		const results = Object.entries(figuresIn(bottle)) as [ParameterCode, Figure][];
		if (bottle.role === 'blank')
			return results.flatMap(([parameter, figure]) => {
				const report = bottle.reports?.[parameter];
				if (isUnderLabsLimit({ ...report, figure })) return [];
				const usual = blanksBefore.find((b) => b.parameter === parameter && b.lab === (report?.lab ?? null));
				return notClean(path, { label, parameter, seen: figure }, card, usual);
			});
		if (bottle.role !== 'duplicate') return [];
		const partner = bottle.duplicateOf === undefined ? undefined : bottles?.[bottle.duplicateOf];
		if (!partner) return [doubt('duplicate-alone', { path, parameter: null }, { label })];
		const ofPartner = figuresIn(partner);
		return results.flatMap(([parameter, figure]) => {
			const other = ofPartner[parameter];
			return other ? apart(path, parameter, other, figure, card, before) : [];
		});
	});
}

/** A blank that holds something: no more than the program's blanks usually do, or something that was carried in. */
function notClean(
	path: string,
	evidence: { label: string; parameter: ParameterCode; seen: Figure },
	card: MethodCard,
	usual: BlanksBefore | undefined
): Flag[] {
	const { parameter, seen } = evidence;
	const { number, qualifier } = amount(seen);
	if (qualifier === 'below' || number === 0) return [];
	const { unit } = parameterOf(parameter, card.own);
	const held = figureOf(parameterOf(parameter, card.own), seen);
	const isUsual = usual !== undefined && qualifier === null && held !== null && amount(held).number <= usual.limit;
	return isUsual
		? [doubt('blank-as-usual', { path, parameter }, { ...evidence, upTo: { value: usual.limit, unit }, n: usual.n })]
		: [doubt('blank-not-clean', { path, parameter }, evidence)];
}

function apart(
	path: string,
	parameter: ParameterCode,
	other: Figure,
	figure: Figure,
	card: MethodCard,
	before: Before
): Flag[] {
	const limits = limitsOf(card);
	const known = parameterOf(parameter, card.own);
	const inOneUnit = [other, figure].map((f) => figureOf(known, f));
	if (inOneUnit.includes(null)) return [];
	const [first, second] = (inOneUnit as Figure[]).map(amount) as [Amount, Amount];
	// two figures of which one is only a limit may well be the same
	if (first.qualifier !== null || second.qualifier !== null || first.number < 0 || second.number < 0) return [];
	const evidence = { parameter, first: other, second: figure };
	if (parameter === 'e-coli')
		return bacteriaApart(path, [first.number, second.number], evidence, limits, before?.[parameter] ?? []);
	const { percent: limit_percent, near } = duplicateLimit(parameter, limits.duplicates_percent);
	const { percent } = relativePercentDifference({ first: first.number, second: second.number });
	if (percent <= limit_percent || Math.abs(first.number - second.number) <= near + 1e-12) return [];
	return [doubt('duplicates-apart', { path, parameter }, { ...evidence, apart_percent: percent, limit_percent })];
}

/**
 * Counts scatter by chance alone, the more the fewer they are: bacteria are compared by their logarithms, with what
 * earlier pairs showed.
 */
function bacteriaApart(
	path: string,
	pair: readonly [number, number],
	evidence: { parameter: ParameterCode; first: Figure; second: Figure },
	limits: Limits,
	before: readonly (readonly [number, number])[]
): Flag[] {
	const known = before.length >= ENOUGH_PAIRS ? before : null;
	const judged = logRangeDuplicatePrecision({ pairs: known ?? [pair], candidates: [pair] });
	const [apart_log] = judged.candidateLogRanges as [number];
	const limit_log = known ? judged.criterion : limits.duplicatesBacteria_log;
	if (apart_log <= limit_log) return [];
	const at = { path, parameter: 'e-coli' };
	return [doubt('duplicates-apart-log', at, { ...evidence, apart_log, limit_log, pairs: known?.length ?? 0 })];
}
