import {
	arc,
	both,
	filled,
	inner,
	legs,
	line,
	outline,
	oval,
	shape,
	spread,
	tell,
	tellFine,
	upright,
	type Body,
	type Drawing,
	type Stroke
} from './pen';

/*
 * Alderflies and dobsonflies, and a beetle's grub that looks like them: fingers along both sides.
 */
const fingers = (b: Body, count: number, length: number, from: number, to: number): string =>
	spread(from, to, count)
		.map((t) =>
			both((s) => {
				const p = b.edge(t, s);
				return arc(p, [p[0] + s * length * 0.6, p[1] - 1], [p[0] + s * length, p[1] + 4]);
			})
		)
		.join('');
const jaws = (y: number, x: number): string =>
	both((s) => `M${50 + s * x} ${y}Q${50 + s * (x + 4)} ${y - 7} ${50 + s * 0.8} ${y - 8}`);
const sixLegs = (b: Body, reach: number) =>
	legs(b, [
		{ t: 0.06, reach, back: -35 },
		{ t: 0.15, reach: reach * 1.05, back: 5 },
		{ t: 0.24, reach: reach * 1.1, back: 35 }
	]);
function dobsonfly(): Stroke[] {
	const b = upright(22, 58, [6, 6.5, 7, 7, 6.5, 5.5, 3.5]);
	return [
		outline(b.outline, shape([42, 22], [43, 14], [57, 14], [58, 22])),
		tellFine('mouth', jaws(14, 4.5)),
		filled(both((s) => oval([50 + s * 6.5, 17.5], 1.2))),
		inner(b.rings(0.1, 0.3, 3), b.rings(0.37, 0.95, 9)),
		...sixLegs(b, 17),
		tellFine('gill-shape', fingers(b, 8, 12, 0.36, 0.86)),
		tellFine(
			'tail-end',
			both(
				(s) =>
					line([50 + s * 2.5, 79], [50 + s * 5, 87]) +
					arc([50 + s * 5, 87], [50 + s * 9, 88], [50 + s * 9, 92]) +
					arc([50 + s * 5, 87], [50 + s * 5, 92], [50 + s * 3, 93])
			)
		)
	];
}
function alderfly(): Stroke[] {
	const b = upright(20, 46, [5, 5.5, 5.5, 5.5, 4.5, 3.5, 2]);
	return [
		outline(b.outline, shape([44.5, 20], [45.5, 13], [54.5, 13], [55.5, 20])),
		outline(jaws(13, 3.5)),
		filled(both((s) => oval([50 + s * 4, 16], 1.1))),
		inner(b.rings(0.11, 0.32, 3), b.rings(0.4, 0.95, 8)),
		...sixLegs(b, 20),
		tellFine('gill-shape', fingers(b, 7, 11, 0.4, 0.86)),
		tell('tails', line([50, 65], [50, 93])),
		inner(...spread(69, 88, 7).map((y) => both((s) => line([50, y], [50 + s * 3, y + 2]))))
	];
}
function whirligigLarva(): Stroke[] {
	const b = upright(18, 62, [3, 3.5, 3.5, 3.5, 3.3, 3, 2]);
	return [
		outline(b.outline, oval([50, 14.5], 3.6, 4.4)),
		filled(both((s) => oval([50 + s * 2.4, 13.5], 0.8))),
		inner(b.rings(0.08, 0.95, 12)),
		...sixLegs(b, 15),
		tellFine('gill-shape', fingers(b, 10, 10, 0.32, 0.92)),
		tellFine(
			'tail-end',
			...[-4.5, -1.5, 1.5, 4.5].map((x) => arc([50 + x * 0.4, 80], [50 + x, 84], [50 + x + 1.2, 87]))
		)
	];
}
export const fingered: Record<string, Drawing> = {
	dobsonfly: {
		tells: 'Eight long fingers on each side; two stalks behind, each with two hooks.',
		strokes: dobsonfly()
	},
	alderfly: { tells: 'Seven fingers on each side; one long tapering tail.', strokes: alderfly() },
	'whirligig-larva': {
		tells: 'Ten feathered fingers on each side; four hooks in a row behind.',
		strokes: whirligigLarva()
	}
};
