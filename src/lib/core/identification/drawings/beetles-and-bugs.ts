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
	oval,
	outline,
	shape,
	spread,
	tell,
	tellFilled,
	tellFine,
	through,
	upright,
	whiskers,
	type Body,
	type Drawing,
	type Point,
	type Stroke
} from './pen';

/*
 * Beetles: two hard covers that meet in a straight seam, or their grubs. Bugs: a beak, wings that cross.
 */
const oar = (b: Body, t: number, reach: number, back: number): Stroke[] => {
	const one = (side: 1 | -1): [string, string] => {
		const hip = b.edge(t, side, -1);
		const angle = side === 1 ? back : 180 - back;
		const knee = go(hip, angle, reach * 0.45);
		const tip = go(knee, angle + side * 25, reach * 0.55);
		const fringe = spread(0.15, 0.95, 7).map((f): string => {
			const p: Point = [knee[0] + f * (tip[0] - knee[0]), knee[1] + f * (tip[1] - knee[1])];
			return line(p, go(p, angle + side * 80, 4));
		});
		return [line(hip, knee, tip), fringe.join('')];
	};
	const [right, left] = [one(1), one(-1)];
	return [tellFine('leg-form', right[0], left[0]), inner(right[1], left[1])];
};
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

function boatman(): Stroke[] {
	const b = upright(24, 50, [8, 10, 10, 9.5, 8, 2.5]);
	return [
		outline(b.outline),
		outline('M41 26Q50 16 59 26'),
		filled(both((s) => oval([50 + s * 7, 24], 1.8, 2.2))),
		inner(line([41, 38], [50, 46], [59, 38])),
		tellFine('back', ...spread(30, 68, 8).map((y) => `M42 ${y}q2 -2 4 0t4 0t4 0t4 0`)),
		outline(both((s) => line([50 + s * 8, 28], [50 + s * 13, 22], [50 + s * 11, 18]))),
		outline(both((s) => line([50 + s * 10, 38], [50 + s * 22, 44], [50 + s * 26, 40]))),
		...oar(b, 0.5, 36, 5)
	];
}
function backswimmer(): Stroke[] {
	const b = upright(14, 48, [5, 7.5, 8, 7, 5, 1.5]);
	return [
		outline(b.outline),
		filled(both((s) => oval([50 + s * 5, 17], 1.7))),
		tellFine('mouth', shape([47.5, 18], [52.5, 18], [50, 25])),
		tellFine('body', line([50, 28], [50, 60])),
		inner(...spread(30, 58, 9).map((y) => both((s) => line([50, y], [50 + s * 3, y + 2])))),
		outline(
			both((s) => line([50 + s * 6, 26], [50 + s * 2, 32])),
			both((s) => line([50 + s * 7, 32], [50 + s * 3, 39]))
		),
		...oar(b, 0.45, 38, 0),
		inner(line([24, 74], [76, 74])),
		outline('M34 76Q50 72 68 75Q58 86 46 86Q38 84 34 76Z'),
		filled(oval([39, 79], 1.4)),
		inner(line([52, 85], [60, 93]))
	];
}
function skater(isMeasurer: boolean): Stroke[] {
	const b = isMeasurer
		? upright(16, 66, [1.4, 1.5, 1.6, 1.7, 1.6, 1])
		: upright(30, 42, [2.6, 3.6, 3.6, 3.2, 2.6, 1.2]);
	if (isMeasurer)
		return [
			tellFine('body', b.outline),
			tellFilled(
				'eyes',
				both((s) => oval([50 + s * 1.8, 25], 1.5))
			),
			inner(line([48.6, 33], [51.4, 33])),
			inner(
				...[
					[36, -35],
					[45, 0],
					[56, 35]
				].map(([y, a]) =>
					both((s) => {
						const k = go([50, y!], s === 1 ? a! : 180 - a!, 14);
						return line([50, y!], k, go(k, (s === 1 ? a! : 180 - a!) + s * 25, 13));
					})
				),
				whiskers(
					[
						[50.8, 16],
						[49.2, 16]
					],
					-65,
					10
				)
			)
		];
	const feet: Point[] = [
		[12, 20],
		[88, 20],
		[12, 86],
		[88, 86]
	];
	return [
		outline(b.outline, oval([50, 27], 3, 3)),
		filled(both((s) => oval([50 + s * 2.8, 26.5], 1.2))),
		tell(
			'leg-form',
			...feet.map(([x, y], i) =>
				line([50 + (x < 50 ? -3 : 3), i < 2 ? 42 : 47], [x < 50 ? 30 : 70, i < 2 ? 38 : 56], [x, y])
			)
		),
		inner(...feet.map((p) => oval(p, 5, 2.4))),
		outline(both((s) => line([50 + s * 3, 33], [50 + s * 9, 27], [50 + s * 7, 19]))),
		inner(
			whiskers(
				[
					[51, 24],
					[49, 24]
				],
				-60,
				12
			)
		)
	];
}
const folding = (b: Body, t: number): string =>
	both((s) => {
		const p = b.edge(t, s);
		return line(p, [p[0] + s * 12, p[1] - 6], [p[0] + s * 3, p[1] - 12]);
	});
function creeping(): Stroke[] {
	const b = upright(26, 46, [8, 15, 17, 16, 11, 3]);
	return [
		outline(b.outline),
		outline('M42 27Q50 18 58 27'),
		filled(both((s) => oval([50 + s * 7, 25], 1.7))),
		inner(line([36, 38], [50, 50], [64, 38]), line([50, 50], [54, 71])),
		tell('leg-form', folding(b, 0.1)),
		outline(
			both((s) => line([50 + s * 16, 46], [50 + s * 26, 48], [50 + s * 28, 54])),
			both((s) => line([50 + s * 15, 56], [50 + s * 25, 64], [50 + s * 26, 72]))
		),
		outline(oval([84, 84], 7, 6)),
		tellFine('mouth', shape([82, 84], [86, 84], [84, 93]))
	];
}
function scorpion(): Stroke[] {
	const leaf = body(
		[
			[30, 26],
			[30, 44],
			[30, 62]
		],
		[3, 7.5, 8, 6.5, 1.5]
	);
	const stick = body(
		[
			[74, 18],
			[74, 44],
			[74, 66]
		],
		[1.8, 2, 2, 1.8, 1.2]
	);
	const grasp = (x: number, y: number) =>
		[1, -1].map((s) => line([x + s * 2, y], [x + s * 10, y - 7], [x + s * 4, y - 13])).join('');
	return [
		outline(leaf.outline, stick.outline),
		tell('leg-form', grasp(30, 29), grasp(74, 24)),
		tell('tail-end', line([30, 62], [30, 93]), line([74, 66], [74, 94])),
		inner(line([24, 38], [30, 46], [36, 38])),
		outline(
			...[42, 50].flatMap((y) => [line([23, y], [15, y + 8]), line([37, y], [45, y + 8])]),
			...[42, 50].flatMap((y) => [line([72, y], [60, y + 12]), line([76, y], [88, y + 12])])
		),
		filled(oval([27.6, 26.5], 1), oval([32.4, 26.5], 1), oval([72.4, 19], 1), oval([75.6, 19], 1))
	];
}
export const bugs: Record<string, Drawing> = {
	'water-boatman': {
		tells: 'Swims back up; wings crossed by many fine wavy lines; oars at the side.',
		strokes: boatman()
	},
	backswimmer: {
		tells: 'Swims belly up; a hairy keel along the belly; a short beak; long oars.',
		strokes: backswimmer()
	},
	'creeping-bug': {
		tells: 'Broad and flat; thick front legs that fold like a pocket knife; a beak.',
		strokes: creeping()
	},
	'water-scorpion': { tells: 'Folding front legs; one long tube behind.', strokes: scorpion() },
	'pond-skater': {
		tells: 'Middle and hind legs spread as an X, standing in dimples of the surface.',
		strokes: skater(false)
	},
	'water-measurer': {
		tells: 'A needle, a quarter of it head, an eye in the middle of the head.',
		strokes: skater(true)
	}
};
