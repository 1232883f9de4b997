import {
	arc,
	body,
	both,
	dots,
	filled,
	go,
	hanging,
	head,
	inner,
	legs,
	line,
	outline,
	oval,
	shape,
	spread,
	tell,
	tellFine,
	through,
	upright,
	whiskers,
	type Drawing,
	type Point,
	type Stroke
} from './pen';
import { oar } from './oar';

/*
 * Beetles: two hard covers that meet in a straight seam, or their grubs.
 */
const wingCovers = (bottom: number, y: number, half: number): Stroke =>
	inner(line([50, y], [50, bottom]), `M${50 - half} ${y}Q50 ${y + 2} ${50 + half} ${y}`);

function diving(): Stroke[] {
	const b = upright(20, 56, [6, 14, 17, 17, 13, 4]);
	return [
		outline(b.outline),
		filled(both((s) => oval([50 + s * 6, 22.5], 1.5))),
		wingCovers(76, 33, 14.5),
		outline(
			line([36, 30], [27, 22], [23, 24]),
			line([64, 30], [73, 22], [77, 24]),
			line([33, 42], [23, 44], [18, 40]),
			line([67, 42], [77, 44], [82, 40])
		),
		...oar(b, 0.62, 32, 30),
		inner(
			whiskers(
				[
					[53, 20],
					[47, 20]
				],
				-50,
				16,
				2
			)
		)
	];
}
function riffleAdult(): Stroke[] {
	const b = upright(26, 42, [5, 8.5, 9.5, 9.5, 8, 2]);
	const claws = (p: Point, a: number) =>
		arc(p, go(p, a - 15, 3), go(p, a - 50, 5)) + arc(p, go(p, a + 15, 3), go(p, a + 50, 5));
	const tips: [Point, Point, Point, number][] = [
		[[42, 34], [28, 26], [20, 17], -120],
		[[41, 46], [26, 50], [15, 50], 180],
		[[42, 57], [28, 68], [22, 80], 110]
	];
	return [
		outline(b.outline),
		wingCovers(68, 37, 8.6),
		outline(upright(20, 7, [3, 4.6, 4.8]).outline),
		filled(both((s) => oval([50 + s * 3.6, 23], 1))),
		inner(
			dots(
				[44, 47, 53, 56].flatMap((x) => spread(41, 61, 7).map((y): Point => [x, y])),
				0.5
			)
		),
		outline(...tips.map(([a, k, t]) => both((s) => line(...[a, k, t].map(([x, y]): Point => [50 + s * (50 - x), y]))))),
		tellFine(
			'claws',
			...tips.map(([, , t, a]) => both((s) => claws([50 + s * (50 - t[0]), t[1]], s === -1 ? a : 180 - a)))
		),
		inner(
			whiskers(
				[
					[52, 20],
					[48, 20]
				],
				-55,
				8
			)
		)
	];
}
function riffleLarva(): Stroke[] {
	const b = body(
		[
			[18, 46],
			[50, 44],
			[80, 48]
		],
		[4.4, 4.8, 4.6, 4.2, 3.2]
	);
	return [
		tellFine('hard-back', b.outline, b.rings(0.09, 0.92, 10)),
		filled(oval([17, 45], 0.9)),
		outline(arc([18, 42], [11, 44], [18, 50])),
		hanging(b, [0.06, 0.14, 0.22], 9),
		tellFine('gill-place', line([74, 51], [80, 54]), ...[60, 80, 100].map((a) => line([79, 53], go([79, 53], a, 9))))
	];
}
function crawlingLarva(): Stroke[] {
	const b = body(
		[
			[14, 46],
			[40, 44],
			[70, 47]
		],
		[3.4, 3.6, 3.4, 3, 1.4]
	);
	return [
		outline(b.outline),
		inner(b.rings(0.09, 0.94, 10)),
		filled(oval([13, 45], 0.9)),
		hanging(b, [0.07, 0.15, 0.23], 9),
		tellFine('back', ...spread(0.1, 0.92, 9).map((t) => line(b.edge(t, 1), b.edge(t, 1, 5)))),
		tell('tail-end', line([70, 47], [93, 53]))
	];
}
function jawedLarva(): Stroke[] {
	const b = body(
		[
			[22, 40],
			[44, 44],
			[66, 46],
			[86, 52]
		],
		[3.4, 5.5, 6, 4.5, 2]
	);
	return [
		outline(b.outline, oval([18, 38], 5, 4)),
		filled(oval([17, 36.5], 1.1)),
		tellFine('mouth', 'M14 36Q7 33 6 40', 'M14 40Q9 42 10 46'),
		inner(b.rings(0.12, 0.95, 10)),
		hanging(b, [0.12, 0.22, 0.32], 22),
		tell('tails', line([86, 51], [94, 50]), line([86, 53], [93, 57]))
	];
}
function penny(): Stroke[] {
	return [
		tell('body', oval([27, 50], 18, 21)),
		inner(
			...spread(36, 64, 8).map((y) => {
				const h = 18 * Math.sqrt(1 - ((y - 50) / 21) ** 2);
				return `M${27 - h} ${y + 1}Q27 ${y - 4} ${27 + h} ${y + 1}`;
			}),
			line([27, 32], [27, 68])
		),
		outline(oval([73, 50], 18, 21)),
		inner(oval([73, 50], 14.5, 17.5)),
		outline(oval([73, 38], 3.2, 3)),
		tellFine(
			'legs',
			...[42, 47, 52].map((y) => both((s) => line([73 + s * 3, y], [73 + s * 8, y - 2], [73 + s * 10, y + 2])))
		),
		inner(...[57, 60.5, 64].map((y) => both((s) => through([73 + s * 2, y], [73 + s * 6, y + 1.5], [73 + s * 9, y]))))
	];
}
function whirligig(): Stroke[] {
	const b = upright(24, 44, [5, 10, 12, 12, 9, 3]);
	return [
		outline(b.outline),
		wingCovers(68, 35, 10.5),
		filled(both((s) => oval([50 + s * 6, 27], 1.4))),
		outline(both((s) => line([50 + s * 8, 30], [50 + s * 18, 20], [50 + s * 15, 8]))),
		tellFine(
			'leg-form',
			...[45, 55].map((y) =>
				both((s) => shape([50 + s * 11, y], [50 + s * 20, y + 1], [50 + s * 18, y + 7], [50 + s * 11, y + 3]))
			)
		),
		outline('M66 84Q70 74 82 76Q88 78 92 84Q86 92 76 91Q69 90 66 84Z'),
		inner(line([60, 84], [96, 84])),
		tellFine('eyes', oval([74, 80], 2.2), oval([74, 88], 2.2))
	];
}
function marshLarva(): Stroke[] {
	const b = upright(30, 42, [6, 8, 8, 7.5, 6, 3.5]);
	return [
		outline(b.outline),
		...head(22, 5.5, 9),
		inner(b.rings(0.12, 0.94, 10)),
		...legs(b, [
			{ t: 0.08, reach: 16, back: -30 },
			{ t: 0.2, reach: 16, back: 5 },
			{ t: 0.32, reach: 18, back: 35 }
		]),
		tellFine(
			'feelers',
			whiskers(
				[
					[53, 23],
					[47, 23]
				],
				-50,
				28,
				3
			)
		),
		inner(
			...spread(4, 26, 9).map((l) =>
				both((s) => {
					const p = go([50 + s * 3, 23], s === 1 ? -50 : 230, l);
					return line(go(p, 40, -1), go(p, 40, 1));
				})
			),
			...[80, 90, 100].map((a) => line([50, 72], go([50, 72], a, 6)))
		)
	];
}
export const beetles: Record<string, Drawing> = {
	'riffle-beetle-larva': {
		tells: 'All rings hard like a stack of cups; a tuft of fine threads comes out at the end.',
		strokes: riffleLarva(),
		bar: { length: 14, means_mm: 1 }
	},
	'riffle-beetle-adult': {
		tells: 'Long thin legs, each ending in two big claws.',
		strokes: riffleAdult(),
		bar: { length: 14, means_mm: 1 }
	},
	'water-penny': { tells: 'An oval disc, no head to be seen from above; six small legs below.', strokes: penny() },
	'diving-beetle': { tells: 'Hind legs long and flat with a fringe, swept back like oars.', strokes: diving() },
	'jawed-beetle-larva': { tells: 'Two long sickle jaws; rings tapering to two short tails.', strokes: jawedLarva() },
	'crawling-beetle-larva': {
		tells: 'Thorns on each ring; the last ring drawn out to one long point.',
		strokes: crawlingLarva()
	},
	whirligig: {
		tells: 'Middle and hind legs like short broad paddles; one eye above and one below the water line.',
		strokes: whirligig()
	},
	'marsh-beetle-larva': { tells: 'Six legs only; long feelers of many joints.', strokes: marshLarva() }
};
