import {
	body,
	both,
	filled,
	go,
	inner,
	line,
	outline,
	oval,
	shape,
	spread,
	tell,
	tellFilled,
	tellFine,
	upright,
	whiskers,
	type Body,
	type Drawing,
	type Point,
	type Stroke
} from './pen';
import { oar } from './oar';

/*
 * Bugs: a beak, wings that cross.
 */
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
