import { saySure } from '../interpret';
import { amount, parameters } from '../quantity';
import { shownUnit, type MethodCard } from '../method';
import type { Flag } from '../quality';
import type { Result } from './outcome';

/**
 * Two ways of one parameter in one visit are a comparison for nothing: they agree within both their uncertainties, or are asked
 * about. Gaugings of one flow are held against each other by a limit of their own; what follows from another figure proves nothing
 * about it.
 */
export function comparedFlags(determinations: readonly Result[], card: Pick<MethodCard, 'shown'>): Flag[] {
	return determinations
		.filter((d) => d.isReported && d.parameter !== 'discharge' && d.way !== 'derived')
		.flatMap((one) =>
			determinations
				.filter((d) => d.parameter === one.parameter && d !== one && d.way !== 'derived' && d.status !== 'rejected')
				.flatMap((other): Flag[] => {
					if (!liesApart(one, other)) return [];
					const say = (r: Result) => sayIn(r, card);
					const evidence = {
						parameter: parameters[one.parameter].name,
						reported: say(one),
						by: one.way,
						other: say(other),
						otherBy: other.way,
						guessed_percent: [one, other].some(isUnsure) ? 100 * UNKNOWN_SHARE : 0
					};
					return [{ code: 'ways-apart', path: other.place, parameter: one.parameter, evidence }];
				})
		);
}

/** Put in the place of an uncertainty that nobody knows, as a share of the figure; it is said wherever it decides. */
const UNKNOWN_SHARE = 0.1;

const isUnsure = ({ figure, uncertainty, limits }: Result) =>
	uncertainty === null && limits === null && amount(figure).qualifier === null;
const halfWidth = ({ figure, uncertainty }: Result) => uncertainty ?? UNKNOWN_SHARE * Math.abs(amount(figure).number);

/** From where to where a figure may lie: within its limits or its uncertainty; a limit of detection bounds it on one side. */
function reach(result: Result): { low: number; high: number } {
	const { number, qualifier } = amount(result.figure);
	if (qualifier === 'below') return { low: -Infinity, high: number };
	if (qualifier === 'above') return { low: number, high: Infinity };
	if (result.limits) return { low: result.limits.lower, high: result.limits.upper ?? Infinity };
	return { low: number - halfWidth(result), high: number + halfWidth(result) };
}

function liesApart(one: Result, other: Result): boolean {
	const [x, y] = [amount(one.figure), amount(other.figure)];
	if (x.qualifier === null && y.qualifier === null && !one.limits && !other.limits)
		return Math.abs(x.number - y.number) > Math.hypot(halfWidth(one), halfWidth(other)); // GUM 5.1.2: independent, so in quadrature
	const [a, b] = [reach(one), reach(other)];
	return a.high < b.low || b.high < a.low;
}

const sayIn = ({ figure, uncertainty, limits, parameter }: Result, card: Pick<MethodCard, 'shown'>): string =>
	saySure(figure, uncertainty, parameters[parameter].decimals, shownUnit(card, parameter), limits).figure;
