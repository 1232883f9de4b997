import { readWhole } from '../../quantity';
import { MOST_SQUARES } from './branch';
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

export interface Grid {
	squares: number;
	squaresCounted: number;
}

/** A grid as it is typed: none, whole, still being typed (nothing to say yet), or why it cannot be. */
export function typedGrid(squaresText: string, countedText: string): 'none' | 'begun' | Grid | { why: string } {
	if (squaresText === '' && countedText === '') return 'none';
	const [squares, squaresCounted] = [readWhole(squaresText), readWhole(countedText)];
	const isOff = (text: string, n: number | null) => text !== '' && (n === null || n < 1 || n > MOST_SQUARES);
	if (isOff(squaresText, squares) || isOff(countedText, squaresCounted))
		return { why: `Whole squares, from 1 to ${String(MOST_SQUARES)}.` };
	if (squares === null || squaresCounted === null) return 'begun';
	const grid = { squares, squaresCounted };
	return shareCounted(grid) === null ? { why: 'More squares than the grid has.' } : grid;
}
