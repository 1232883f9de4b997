import { amount, figureIn, withQualifier, type Figure } from './figure';
import { follows } from './measured';
import type { Unit } from './unit';

/**
 * The mean of replicate figures in one unit, with what is known of it: one reading "below" makes the mean a "below",
 * one "above" an "above". Null of nothing, or when some are below and some above, which leaves the mean open both ways.
 */
export function meanFigure(figures: readonly Figure[], unit: Unit): Figure | null {
	const mean = follows(
		figures.map((f) => ({ ...amount(figureIn(f, unit)), uncertainty: null })),
		(...numbers) => numbers.reduce((sum, x) => sum + x, 0) / numbers.length
	);
	return mean && withQualifier(mean.number, mean.qualifier, unit);
}
