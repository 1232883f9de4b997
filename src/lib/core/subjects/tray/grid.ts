import type { Folded, Sheet } from '../../logbook';
import { seeded } from '../../statistics';
import { tapsIn } from './compartments';

/**
 * The squares of a grid in the order in which they are sorted: drawn at random, so that nobody chooses, and the same on
 * every device of a visit.
 */
export function drawnOrder(visitId: string, step: string, squares: number): number[] {
	const chance = seeded(hashOf(`${visitId}/${step}`));
	return Array.from({ length: squares }, (_, i) => ({ square: i + 1, lot: chance.uniform() }))
		.sort((a, b) => a.lot - b.lot)
		.map((s) => s.square);
}
/** FNV-1a, 32 bits: a number from a name. */
const hashOf = (name: string): number =>
	new TextEncoder().encode(name).reduce((hash, byte) => Math.imul(hash ^ byte, 0x01000193) >>> 0, 0x811c9dc5);

/**
 * Squares of the grid that are sorted, in the order in which they were finished, and the animals of each. Which tap
 * came before a square was finished is told by the ids of the lines: they are made as the hand moves and sort by it,
 * while the clock of a logbook may run ahead of the hand.
 */
export function sortedSquares(
	sheet: Pick<Sheet, 'trays'>,
	lines: Folded['lines'],
	step: string
): { square: number; animals: number }[] {
	const done = Object.keys(sheet.trays?.[step]?.squares ?? {})
		.flatMap((square) => {
			const live = lines.get(`trays/${step}/squares/${square}/doneAt`)?.live;
			return live ? [{ square: Number(square), id: live.id }] : [];
		})
		.sort((a, b) => (a.id < b.id ? -1 : 1));
	const taps = tapsIn(lines, step);
	return done.map(({ square, id }, nth) => {
		const before = done[nth - 1]?.id ?? '';
		const within = taps.filter(({ entry }) => entry.id > before && entry.id < id);
		return {
			square,
			animals: Math.max(
				0,
				within.reduce((sum, { entry }) => sum + Number(entry.value), 0)
			)
		};
	});
}
