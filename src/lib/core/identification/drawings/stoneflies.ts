import {
	both,
	filled,
	go,
	head,
	inner,
	legs,
	line,
	oval,
	outline,
	shape,
	tell,
	tellFine,
	through,
	upright,
	whiskers
} from './pen';
import type { Body, Drawing, Point, Stroke } from './pen';

/*
 * Stoneflies: two tails, two claws, no gills along the hind body.
 */
const hind = (b: Body): [Point, Point] => [b.edge(1, 1, -1), b.edge(1, -1, -1)];
const front = (y: number, x: number): [Point, Point] => [
	[50 + x, y],
	[50 - x, y]
];
const tails = (b: Body, length: number, angle = 72): Stroke => tell('tails', whiskers(hind(b), angle, length, -2));

/** A plain one: chest in three squares, ten rings, four pads. */
function plain(o: { top: number; length: number; half: number; leg: number; tail: number; pads: Stroke[] }): Stroke[] {
	const { top, length, half, leg } = o;
	const headLength = 2 * half;
	const b = upright(top + headLength, length, [half, half, half, half, 0.9 * half]);
	return [
		outline(b.outline),
		...head(top, half, headLength, 1.2),
		inner(b.rings(0.1, 0.3, 3), b.rings(0.37, 0.94, 9)),
		...legs(b, [
			{ t: 0.06, reach: leg, back: -35 },
			{ t: 0.16, reach: leg, back: 10 },
			{ t: 0.26, reach: leg * 1.2, back: 40 }
		]),
		...o.pads,
		tails(b, o.tail),
		inner(whiskers(front(top + 1, half * 0.5), -65, top - 5, 2))
	];
}
const narrowPads = (y: number): Stroke[] => [
	tellFine(
		'wing-pads',
		...[0, 8].map((dy) =>
			both((s) =>
				shape([50 + s * 0.8, y + dy], [50 + s * 3, y + dy], [50 + s * 2.6, y + dy + 7], [50 + s * 1.4, y + dy + 7])
			)
		)
	)
];
/** Flat and broad, chest rings like shields. */
function flat(o: { half: number; tufts: boolean; tail: number; marks: Stroke[] }): Stroke[] {
	const { half } = o;
	const b = upright(22, 38, [half * 0.95, half, half * 0.95, half * 0.8, half * 0.75, half * 0.65, half * 0.4]);
	const angles = [0.1, 0.24, 0.37];
	return [
		outline(b.outline, shape([50 - half, 22], [50 - half * 0.7, 13], [50 + half * 0.7, 13], [50 + half, 22])),
		filled(
			both((s) => oval([50 + s * half * 0.75, 18], 1.6)),
			oval([50, 15.5], 0.8),
			both((s) => oval([50 + s * 2.5, 18.5], 0.8))
		),
		inner(b.rings(0.16, 0.44, 3), b.rings(0.52, 0.94, 7)),
		...legs(b, [
			{ t: 0.08, reach: 26, back: -35 },
			{ t: 0.22, reach: 28, back: 5 },
			{ t: 0.36, reach: 32, back: 38 }
		]),
		...(o.tufts ? [tellFine('gill-shape', ...angles.map((t) => both((s) => tuft(b.edge(t + 0.045, s, 0), s))))] : []),
		...o.marks,
		tails(b, o.tail, 70),
		inner(whiskers(front(14, half * 0.6), -50, 11, 2))
	];
}
/** A bunch of short wavy threads. */
const tuft = (from: Point, side: 1 | -1): string =>
	[-10, 20, 50]
		.map((a) => {
			const angle = side === 1 ? a : 180 - a;
			return through(from, go(from, angle + 15, 2.5), go(from, angle - 10, 5));
		})
		.join('');

export const stoneflies: Record<string, Drawing> = {
	'stonefly-slim': {
		tells: 'Four wing pads as narrow tongues pointing straight back; two tails.',
		strokes: plain({ top: 15, length: 44, half: 4, leg: 15, tail: 26, pads: narrowPads(28) })
	},
	'stonefly-short-tails': {
		tells: 'Round short wing pads; tails half as long as the hind body.',
		strokes: plain({
			top: 16,
			length: 42,
			half: 5.5,
			leg: 17,
			tail: 13,
			pads: [tellFine('wing-pads', ...[31, 38].map((y) => both((s) => oval([50 + s * 3, y], 2, 2.4))))]
		})
	},
	'stonefly-spread-pads': {
		tells: 'Hind wing pads slant outwards like a swallow’s wings.',
		strokes: plain({
			top: 16,
			length: 36,
			half: 6,
			leg: 24,
			tail: 22,
			pads: [
				tellFine(
					'wing-pads',
					both((s) => shape([50 + s * 1, 38], [50 + s * 5, 37], [50 + s * 12, 48], [50 + s * 8, 47])),
					both((s) => shape([50 + s * 1.5, 31], [50 + s * 5, 31], [50 + s * 8.5, 38.5], [50 + s * 4, 37]))
				)
			]
		})
	},
	'stonefly-tufted': {
		tells: 'A bunch of short threads in each angle between leg and chest.',
		strokes: flat({
			half: 10,
			tufts: true,
			tail: 30,
			marks: [inner(...[25, 31, 36].map((y) => line([44, y], [47, y + 2], [50, y], [53, y + 2], [56, y])))]
		})
	},
	'stonefly-marked': {
		tells: 'No tufts; a light M on the head and a light band along the chest.',
		strokes: flat({
			half: 7.5,
			tufts: false,
			tail: 33,
			marks: [
				tellFine('back', line([46, 21], [47.5, 16], [50, 19], [52.5, 16], [54, 21])),
				inner(line([48.8, 24], [48.8, 38]), line([51.2, 24], [51.2, 38]))
			]
		})
	},
	'stonefly-giant': {
		tells: 'Large and round; tufts under the chest and under the first two rings of the hind body.',
		strokes: giant()
	}
};
function giant(): Stroke[] {
	const b = upright(18, 52, [8, 9, 9, 9, 8.5, 8, 6]);
	return [
		outline(b.outline),
		...head(9, 8, 10),
		inner(b.rings(0.13, 0.4, 3), b.rings(0.47, 0.94, 7)),
		outline(both((s) => shape([50 + s * 8, 19], [50 + s * 11.5, 17], [50 + s * 8.7, 24]))),
		...legs(b, [
			{ t: 0.08, reach: 26, back: -30 },
			{ t: 0.2, reach: 28, back: 8 },
			{ t: 0.34, reach: 32, back: 40 }
		]),
		tellFine('gill-place', ...[0.14, 0.28, 0.42, 0.52, 0.6].map((t) => both((s) => tuft(b.edge(t, s, 0), s)))),
		tails(b, 20, 68)
	];
}
