import { instantOf, type Folded, type Sheet } from '../../logbook';
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

/** Squares of the grid that are sorted, in the order in which they were finished, and the animals of each. */
export function sortedSquares(
	sheet: Pick<Sheet, 'trays'>,
	lines: Folded['lines'],
	step: string
): { square: number; animals: number }[] {
	const done = Object.entries(sheet.trays?.[step]?.squares ?? {})
		.flatMap(([n, { doneAt }]) => (doneAt === undefined ? [] : [{ square: Number(n), doneAt_ms: Date.parse(doneAt) }]))
		.sort((a, b) => a.doneAt_ms - b.doneAt_ms);
	const taps = tapsIn(lines, step);
	let since_ms = -Infinity;
	return done.map(({ square, doneAt_ms }) => {
		const [after_ms, until_ms] = [since_ms, doneAt_ms];
		since_ms = doneAt_ms;
		const animals = taps.reduce((sum, { entry }) => {
			const at_ms = instantOf(entry.at);
			return at_ms > after_ms && at_ms <= until_ms ? sum + Number(entry.value) : sum;
		}, 0);
		return { square, animals: Math.max(0, animals) };
	});
}
