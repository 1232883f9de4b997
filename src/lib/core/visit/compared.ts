import { amount } from '../quantity';
import type { Determination } from '../subjects/determination';
import { doubt, type Flag } from '../subjects/flags';

/**
 * Two ways of one parameter in one visit are a comparison for nothing: they agree within both their uncertainties, or
 * are asked about. Gaugings of one flow are held against each other by a limit of their own; what follows from
 * another figure proves nothing about it.
 */
export function comparedFlags(determinations: readonly Determination[]): Flag[] {
	const compared = determinations.filter((d) => d.parameter !== 'discharge' && d.way !== 'derived');
	return compared
		.filter((d) => d.isReported)
		.flatMap((reported) =>
			compared
				.filter((d) => d.parameter === reported.parameter && d !== reported && d.status !== 'rejected')
				.filter((other) => liesApart(reported, other))
				.map((other): Flag => {
					const { parameter } = reported;
					const guessed_percent = [reported, other].some(isUnsure) ? 100 * UNKNOWN_SHARE : 0;
					const evidence = { parameter, reported: told(reported), other: told(other), guessed_percent };
					return doubt('ways-apart', { path: other.place, parameter }, evidence);
				})
		);
}

const told = ({ figure, uncertainty, limits, way }: Determination) => ({ figure, uncertainty, limits, way });

/** Put in the place of an uncertainty that nobody knows, as a share of the figure; it is said wherever it decides. */
const UNKNOWN_SHARE = 0.1;

const isUnsure = ({ figure, uncertainty, limits }: Determination) =>
	uncertainty === null && limits === null && amount(figure).qualifier === null;
const halfWidth = ({ figure, uncertainty }: Determination) =>
	uncertainty ?? UNKNOWN_SHARE * Math.abs(amount(figure).number);

/**
 * From where to where a figure may lie: within its limits or its uncertainty; a limit of detection bounds it on one
 * side.
 */
function reach(result: Determination): { low: number; high: number } {
	const { number, qualifier } = amount(result.figure);
	if (qualifier === 'below') return { low: -Infinity, high: number };
	if (qualifier === 'above') return { low: number, high: Infinity };
	if (result.limits) return { low: result.limits.lower, high: result.limits.upper ?? Infinity };
	return { low: number - halfWidth(result), high: number + halfWidth(result) };
}

function liesApart(one: Determination, other: Determination): boolean {
	const [x, y] = [amount(one.figure), amount(other.figure)];
	if (x.qualifier === null && y.qualifier === null && !one.limits && !other.limits)
		// GUM 5.1.2: independent, so in quadrature
		return Math.abs(x.number - y.number) > Math.hypot(halfWidth(one), halfWidth(other));
	const [a, b] = [reach(one), reach(other)];
	return a.high < b.low || b.high < a.low;
}
