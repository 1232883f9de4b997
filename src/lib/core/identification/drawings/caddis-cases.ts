import {
	body,
	both,
	dots,
	filled,
	hanging,
	inner,
	line,
	outline,
	oval,
	shape,
	spread,
	tell,
	tellFine,
	through,
	type Body,
	type Drawing,
	type Point,
	type Stroke
} from './pen';

/*
 * Caddisflies in a case: what it is built of and how.
 */
/** Head, plates and legs as they peep out of a case, its mouth here. */
const peeping = (x: number, y: number): Stroke[] => [
	outline(oval([x - 5, y], 4.2, 3.8)),
	filled(
		oval([x - 7, y - 1], 0.9),
		shape([x - 1.6, y - 3.6], [x + 1.5, y - 3.6], [x + 1.5, y + 0.5], [x - 1.6, y + 0.5])
	),
	outline(
		line([x - 1, y + 3], [x - 5, y + 9], [x - 9, y + 10]),
		line([x + 1, y + 3], [x - 1, y + 10], [x - 5, y + 12]),
		line([x + 3, y + 3], [x + 3, y + 11], [x - 1, y + 13])
	)
];
/** Grains that fill a tube. */
const grains = (b: Body, rows = 3, count = 16): string =>
	dots(
		spread(0.06, 0.95, count).flatMap((t, i) =>
			spread(-0.6, 0.6, rows).map((f): Point => {
				const [a, c] = [b.edge(t, 1), b.edge(t, -1)];
				const g = (f + 1) / 2 + (i % 2 ? 0.06 : -0.06);
				return [a[0] + g * (c[0] - a[0]), a[1] + g * (c[1] - a[1])];
			})
		),
		0.75
	);
function sandHorn(): Stroke[] {
	const b = body(
		[
			[26, 38],
			[48, 38],
			[68, 46],
			[80, 64]
		],
		[7, 6.6, 5.6, 4.6, 3.5]
	);
	return [tell('case-form', b.outline), filled(grains(b)), ...peeping(25, 39)];
}
function longLegs(): Stroke[] {
	const b = body(
		[
			[40, 56],
			[66, 53],
			[94, 47]
		],
		[4, 3.4, 2.8, 2.2, 1.4]
	);
	return [
		outline(b.outline),
		filled(grains(b, 2, 14)),
		outline(oval([35, 56], 4.2, 3.8)),
		filled(oval([33, 55], 0.9)),
		inner(line([32, 53], [27, 49]), line([38, 59], [33, 66], [29, 67])),
		tellFine('leg-form', line([39, 59.5], [30, 72], [14, 66], [7, 69]), line([39, 53], [28, 42], [13, 46], [6, 42]))
	];
}
function winged(): Stroke[] {
	const b = body(
		[
			[30, 50],
			[56, 50],
			[80, 50]
		],
		[6, 6, 5, 4]
	);
	const edge = shape(
		[22, 50],
		[26, 38],
		[38, 33],
		[58, 35],
		[76, 43],
		[84, 50],
		[76, 57],
		[58, 65],
		[38, 67],
		[26, 62]
	);
	return [
		tell('case-form', edge),
		inner(b.outline),
		filled(
			grains(b, 3, 12),
			dots(
				[
					[30, 42],
					[36, 38],
					[44, 38],
					[54, 39],
					[64, 42],
					[30, 58],
					[36, 62],
					[44, 62],
					[54, 61],
					[64, 58],
					[26, 48],
					[26, 54]
				],
				0.75
			)
		),
		outline(line([28, 37], [20, 31]), line([28, 63], [20, 69]), line([33, 34], [28, 25]), line([33, 66], [28, 75]))
	];
}
function ballast(): Stroke[] {
	const b = body(
		[
			[24, 50],
			[52, 50],
			[80, 50]
		],
		[6, 6, 6, 5.5]
	);
	return [
		outline(b.outline),
		filled(grains(b)),
		tellFine('case-form', ...[33, 50, 67].map((x) => both((s) => oval([x, 50 + s * 13.5], 8, 7)))),
		outline(line([24, 46], [15, 40]), line([24, 54], [15, 60]), line([23, 50], [13, 50]))
	];
}
function plantCase(isSpiral: boolean): Stroke[] {
	const b = body(
		[
			[28, 44],
			[58, 42],
			[92, 44]
		],
		[8, 8.5, 8, 7]
	);
	if (isSpiral)
		return [
			outline(b.outline),
			tell(
				'case-form',
				...spread(0.08, 0.92, 7).map((t) => line(b.edge(Math.max(0, t - 0.06), 1), b.edge(Math.min(1, t + 0.06), -1)))
			),
			inner(...spread(0.12, 0.88, 6).map((t) => line(b.edge(t, 1, -5), b.edge(t, -1, -5)))),
			...peeping(27, 45),
			inner(line([20, 42.5], [24, 42.5]), line([20, 45], [25, 45]), line([20, 47.5], [24, 47.5]))
		];
	return [
		outline(b.outline),
		tellFine(
			'case',
			line([32, 37], [95, 31]),
			line([34, 42], [62, 38]),
			line([40, 49], [74, 52]),
			line([56, 44], [90, 46]),
			line([66, 37], [86, 40]),
			line([36, 47], [50, 44]),
			shape([74, 46], [82, 44], [84, 49], [77, 51])
		),
		...peeping(27, 45)
	];
}
function square(): Stroke[] {
	return [
		tell(
			'case-form',
			shape([26, 32], [38, 36], [38, 53], [26, 50]),
			line([26, 32], [84, 38], [88, 40], [88, 48], [38, 53]),
			line([38, 36], [88, 40])
		),
		inner(...spread(44, 82, 7).map((x) => line([x, 36.4 + (x - 38) * 0.07], [x, 52.5 - (x - 38) * 0.09]))),
		inner(...spread(34, 76, 6).map((x) => line([x, 33 + (x - 30) * 0.1], [x + 9, 36.4 + (x - 30) * 0.08]))),
		outline(
			oval([27, 43], 3.6, 4),
			line([25, 46], [18, 54], [12, 54]),
			line([27, 47], [22, 59], [16, 61]),
			line([24, 41], [14, 36], [9, 38])
		),
		filled(oval([25.4, 42], 0.9))
	];
}
function dome(): Stroke[] {
	const stones: [number, number, number, number][] = [
		[14, 60, 4, 4],
		[20, 54, 4, 3.6],
		[21, 61, 3.4, 3.4],
		[27, 49, 4, 3.4],
		[28, 56, 4, 3.4],
		[29, 62, 4, 3],
		[34, 47, 3.6, 3],
		[35, 53, 3.4, 3],
		[36, 60, 4, 3.6],
		[41, 51, 3.6, 3.6],
		[43, 58, 4, 4]
	];
	const below: [number, number, number, number][] = [
		[60, 44, 4, 4],
		[68, 40, 4, 4],
		[76, 40, 4, 4],
		[84, 45, 4, 4],
		[88, 53, 4, 4],
		[86, 61, 4, 4],
		[79, 66, 4, 4],
		[70, 67, 4, 4],
		[61, 63, 4, 4],
		[57, 54, 4, 4]
	];
	return [
		tell('case-form', 'M8 65Q9 43 31 43Q49 44 50 65Z'),
		inner(...stones.map(([x, y, rx, ry]) => oval([x, y], rx, ry))),
		outline(oval([7, 63], 2.4, 2.4), line([9, 65], [7, 70]), line([12, 65], [11, 70])),
		inner(...below.map(([x, y, rx, ry]) => oval([x, y], rx, ry))),
		tellFine('case-form', oval([66, 54], 3.4, 4), oval([79, 54], 3.4, 4))
	];
}
function purse(): Stroke[] {
	const b = body(
		[
			[20, 52],
			[44, 51],
			[76, 52]
		],
		[3, 4, 8, 9, 7, 3.5]
	);
	return [
		tell(
			'case-form',
			'M30 42Q52 36 78 42Q84 52 78 62Q52 68 30 62Q26 52 30 42Z',
			line([30, 47], [30, 57]),
			line([80, 47], [80, 57])
		),
		inner(
			...spread(0.36, 0.94, 9).flatMap((t) => [
				line(b.edge(t, 1), b.edge(Math.min(1, t + 0.035), 1)),
				line(b.edge(t, -1), b.edge(Math.min(1, t + 0.035), -1))
			])
		),
		outline(
			through(b.edge(0.3, 1), b.edge(0.1, 1), b.edge(0.03, 1)),
			through(b.edge(0.3, -1), b.edge(0.1, -1), b.edge(0.03, -1)),
			oval([17.5, 52], 3.4, 3.4)
		),
		hanging(b, [0.08, 0.13, 0.18], 8),
		filled(
			oval([16, 51], 0.9),
			...[0.07, 0.13, 0.19].map((t) => shape(b.edge(t, 1), b.edge(t + 0.04, 1), b.middle(t + 0.04), b.middle(t)))
		)
	];
}
function coil(): Stroke[] {
	const turn = spread(0, 2.6 * 2 * Math.PI, 40).map((a): Point => [
		54 + (3 + 1.5 * a) * Math.cos(a - 0.9),
		48 + (3 + 1.5 * a) * Math.sin(a - 0.9)
	]);
	const inside = spread(2, 2.45 * 2 * Math.PI, 34).map((a): Point => [
		54 + (-1 + 1.5 * a) * Math.cos(a - 0.9),
		48 + (-1 + 1.5 * a) * Math.sin(a - 0.9)
	]);
	const [x, y] = turn.at(-1)!;
	return [
		tell('case-form', line(...turn), line([x, y], [x + 9, y - 4])),
		filled(dots(inside, 0.75)),
		outline(
			oval([x + 5, y + 4], 3.6),
			line([x + 2, y + 5], [x - 3, y + 12]),
			line([x + 4, y + 7], [x + 2, y + 14]),
			line([x + 7, y + 7], [x + 8, y + 14])
		)
	];
}

export const caddisCases: Record<string, Drawing> = {
	'caddis-dome': { tells: 'A dome of little stones, flat below with two round holes.', strokes: dome() },
	'caddis-purse': {
		tells: 'A flat bag open at both ends; the belly twice as thick as the chest.',
		strokes: purse(),
		bar: { length: 14, means_mm: 1 }
	},
	'caddis-coil': {
		tells: 'A coil of grains like a snail, a head and six legs in its mouth.',
		strokes: coil(),
		bar: { length: 14, means_mm: 1 }
	},
	'caddis-plant-case': {
		tells: 'A tube of uneven sticks and leaf bits, one long stick standing past the end.',
		strokes: plantCase(false)
	},
	'caddis-spiral-case': {
		tells: 'A tube of equal pieces laid in a spiral like a barber’s pole.',
		strokes: plantCase(true)
	},
	'caddis-sand-horn': { tells: 'A smooth curved horn of sand, narrower behind.', strokes: sandHorn() },
	'caddis-long-legs': {
		tells: 'Thin hind legs that reach far past the head; a slim straight horn.',
		strokes: longLegs()
	},
	'caddis-winged-case': {
		tells: 'A tube of grains within a shield of grains whose front rim hides the head.',
		strokes: winged()
	},
	'caddis-ballast-case': { tells: 'A tube of grains with three large pebbles on each side.', strokes: ballast() },
	'caddis-square': { tells: 'A four-sided tapering box; its mouth is square.', strokes: square() }
};
