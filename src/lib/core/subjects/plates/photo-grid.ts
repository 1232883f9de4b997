import type { MarkPlace } from '../../bacteria';
import { drawnOrder } from '../tray/grid';
import type { Mark, PhotoGrid } from './branch';

/*
 * A grid on the photo of a crowded plate. Its squares are as wide as the medium is across, divided by eleven: a circle
 * holds pi / 4 of the squares about it, 95.03 then, so that "of 95 squares" is its area to a third of a thousandth.
 * Colonies are counted in squares that lie whole in the medium, drawn at random.
 */

const ACROSS = 11;
/** As many squares as the medium has area. */
export const SQUARES_OF_MEDIUM = Math.round((Math.PI / 4) * ACROSS ** 2);

/** A square on the photo, in shares of its width and height. */
export interface Square {
	left: number;
	top: number;
	right: number;
	bottom: number;
}

/** Columns and rows of the squares that lie whole in the medium: row by row, from the top left. */
const wholeSquares: readonly { column: number; row: number }[] = Array.from({ length: ACROSS ** 2 }, (_, i) => ({
	column: i % ACROSS,
	row: Math.floor(i / ACROSS)
})).filter(({ column, row }) => {
	/** The farther of a square's two edges from the middle, in squares. */
	const far = (n: number) => Math.max(Math.abs(n - ACROSS / 2), Math.abs(n + 1 - ACROSS / 2));
	return Math.hypot(far(column), far(row)) <= ACROSS / 2;
});
/** More cannot be drawn. */
export const MOST_DRAWN = wholeSquares.length;

/**
 * The squares to count in: drawn at random by the photo's id, so that they are the same on every device, and asking for
 * more adds to those that were drawn before.
 */
export function drawnSquares(photoId: string, { x, y, rx, ry, squares }: PhotoGrid): Square[] {
	// neighbours share the very same edge: a mark on it is in one of them
	const across = (nth: number) => x - rx + (2 * rx * nth) / ACROSS;
	const down = (nth: number) => y - ry + (2 * ry * nth) / ACROSS;
	return drawnOrder(photoId, 'grid', MOST_DRAWN)
		.slice(0, squares)
		.map((nth) => {
			const { column, row } = wholeSquares[nth - 1]!;
			return { left: across(column), top: down(row), right: across(column + 1), bottom: down(row + 1) };
		});
}

/**
 * Whether a place is counted: anywhere without a grid, else in one of its squares, their left and upper edge included.
 */
export const isCountedAt = ({ x, y }: MarkPlace, squares: readonly Square[] | null): boolean =>
	squares === null || squares.some((s) => x >= s.left && x < s.right && y >= s.top && y < s.bottom);

/** Those of a person's marks that stand for colonies of the kind that counts, where colonies are counted. */
export const countedMarks = (
	marks: Readonly<Record<string, Mark>> | undefined,
	squares: readonly Square[] | null = null
): Mark[] => Object.values(marks ?? {}).filter((m) => m.kind === 'counts' && isCountedAt(m, squares));

export const countOf = (...of: Parameters<typeof countedMarks>): number => countedMarks(...of).length;

/** Colonies of the whole plate, as those in its drawn squares let expect. */
export const onWholePlate = (colonies: number, drawn: number): number => (colonies * SQUARES_OF_MEDIUM) / drawn;

/** Fewer colonies in the squares leave the figure of the whole plate wide open: 40 are known to a third. */
export const FEW_IN_SQUARES = 40;
