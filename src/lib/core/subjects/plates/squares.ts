import type { PlateSheet } from './shelf';

/**
 * Share of a plate in which its colonies were counted: 1 without a grid, null where more squares were counted than
 * there are. Colonies in a share of a plate are those of as much of its water: the exact interval of the count then
 * allows for having counted only these, as long as the squares are drawn at random.
 */
export function shareCounted({
	squares,
	squaresCounted
}: Pick<PlateSheet, 'squares' | 'squaresCounted'>): number | null {
	if (squares === undefined || squaresCounted === undefined) return 1;
	return squaresCounted > squares ? null : squaresCounted / squares;
}
