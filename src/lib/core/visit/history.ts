import { amount, figureIn, isUnitOf, parameterOf, type OwnParameters, type ParameterCode } from '../quantity';
import { ENOUGH_VISITS, type Context } from '../subjects/context';
import type { Flag } from '../subjects/flags';
import { verticalSlips } from '../subjects/gauging/slips';
import { readingSlipFlags } from '../subjects/reading/slips';
import type { Outcome } from './outcome';
import { unusualFlags } from './unusual';

/**
 * A visit's doubts, and those that come from what its site has shown before: figures unlike it, and slips of unit
 * that would explain them. A figure that a slip explains is asked about once: the question that knows the slip says
 * all that the plain one would.
 */
export function withHistory(
	{ flags, results, folded }: Pick<Outcome, 'flags' | 'results' | 'folded'>,
	usual: NonNullable<Context['site']['usual']>,
	own: OwnParameters | undefined
): Flag[] {
	const slips = [...readingSlipFlags(folded.sheet, usual, own), ...verticalSlips(folded.sheet)];
	const isEcho = (f: Flag) =>
		(f.code === 'implausible' && slips.some((s) => s.path === f.path)) ||
		(f.code === 'outside-history' && slips.some((s) => s.parameter === f.parameter));
	return [
		...flags.filter((f) => f.code !== 'implausible' || !isUsualHere(f, folded.sheet, usual, own)),
		...unusualFlags(results, usual)
	]
		.filter((f) => !isEcho(f))
		.concat(slips);
}

/**
 * A figure that is rare elsewhere and has been seen here often is not asked about: a tidal site is salty twice a day.
 */
function isUsualHere(
	{ parameter, path }: Flag,
	sheet: Outcome['folded']['sheet'],
	usual: NonNullable<Context['site']['usual']>,
	own: OwnParameters | undefined
): boolean {
	const code = parameter as ParameterCode;
	const seen = usual[code];
	const figure = sheet.readings?.[code]?.[path.split('/').at(-1)!];
	const known = parameterOf(code, own);
	if (!seen || seen.visits < ENOUGH_VISITS || !figure || !isUnitOf(known, figure.unit)) return false;
	const { number } = amount(figureIn(figure, known.unit));
	return number >= seen.low && number <= seen.high;
}
