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
	upright,
	body,
	spread,
	arc,
	whiskers,
	type Body,
	type Drawing,
	type Point,
	type Stroke
} from './pen';

/*
 * Mayflies: one claw, gills on the hind body, three tails or two.
 */
const end = (b: Body): Point => b.middle(0.99);
/** Three tails: the middle one and two that spread by so many degrees. */
const threeTails = (b: Body, length: number, spread_: number): string =>
	[-1, 0, 1].map((i) => line(end(b), go(end(b), 90 + i * spread_, i === 0 ? 0.95 * length : length))).join('');
const hairs = (b: Body, length: number, spread_: number): string =>
	[-1, 0, 1]
		.flatMap((i) =>
			spread(0.3, 0.85, 4).map((f) => {
				const p = go(end(b), 90 + i * spread_, f * length);
				return line(go(p, 60, -2), p, go(p, 120, -2));
			})
		)
		.join('');
const legsOf = (b: Body, reach: number, ts: readonly number[] = [0.1, 0.22, 0.34]) =>
	legs(
		b,
		ts.map((t, i) => ({ t, reach: reach * (1 + 0.1 * i), back: [-35, 8, 40][i]! }))
	);
const feelers = (y: number, x: number, length: number) =>
	inner(
		whiskers(
			[
				[50 + x, y],
				[50 - x, y]
			],
			-62,
			length,
			2
		)
	);

function swimmer(front: Stroke[]): Stroke[] {
	const b = upright(22, 42, [4, 5.5, 5, 4.2, 3.6, 3, 2.2]);
	return [
		outline(b.outline),
		...head(14, 4.5, 9, 1.5),
		inner(b.rings(0.14, 0.34, 2), b.rings(0.42, 0.94, 8)),
		...front,
		tellFine('gill-place', ...spread(0.44, 0.86, 7).map((t) => both((s) => oval(b.edge(t, s, 2.4), 2.7, 2)))),
		tellFine('tails', threeTails(b, 24, 9)),
		inner(hairs(b, 24, 9)),
		feelers(15, 2, 12)
	];
}
function backGills(): Stroke[] {
	const b = upright(23, 38, [6, 7.5, 7, 6, 5.5, 5, 3]);
	return [
		outline(b.outline),
		...head(14, 6, 10, 1.6),
		inner(b.rings(0.15, 0.4, 2), b.rings(0.46, 0.95, 7)),
		...legsOf(b, 22),
		tellFine(
			'gill-shape',
			...[44, 47.5, 51, 54.5].map((y) => both((s) => arc([50 + s * 0.6, y], [50 + s * 5, y + 6], [50 + s * 5, y - 1])))
		),
		inner(threeTails(b, 24, 16), hairs(b, 24, 16)),
		feelers(15, 2.5, 10)
	];
}
export const mayflies: Record<string, Drawing> = {
	'mayfly-swimmer': {
		tells: 'Single oval plates along each side of the hind body; three tails close together like a paddle.',
		strokes: swimmer(legsOf(upright(22, 42, [4, 5.5, 5, 4.2, 3.6, 3, 2.2]), 15))
	},
	'mayfly-comb-legs': {
		tells: 'Front legs held forward, each with a comb of long hairs.',
		strokes: swimmer([
			...legsOf(upright(22, 42, [4, 5.5, 5, 4.2, 3.6, 3, 2.2]), 15, [0.2, 0.34]).slice(0, 2),
			tellFine(
				'leg-form',
				both((s) => line([50 + s * 4, 25], [50 + s * 13, 19], [50 + s * 13, 6])),
				...spread(7, 18, 7).map((y) => both((s) => line([50 + s * 13, y], [50 + s * 8.5, y - 1])))
			)
		])
	},
	'mayfly-flat': { tells: 'Flat head broader than the body, both eyes on top of it.', strokes: flat() },
	'mayfly-forked-gills': {
		tells: 'Seven gills on each side, each a thin two-pronged fork; three bare tails spread like a tripod.',
		strokes: forked()
	},
	'mayfly-back-gills': {
		tells: 'Four pairs of plates lying on the back of the middle rings like roof tiles.',
		strokes: backGills()
	},
	'mayfly-shield': {
		tells: 'One dome over chest and half the hind body, with two thorns on each side.',
		strokes: shield()
	},
	'mayfly-square-lids': {
		tells: 'Two nearly square lids side by side on the middle of the back.',
		strokes: squareLids(),
		bar: { length: 14, means_mm: 1 }
	},
	'mayfly-burrower': {
		tells: 'Two tusks in front of the head; feather gills rising over the back.',
		strokes: burrower()
	}
};
function flat(): Stroke[] {
	const b = upright(22, 34, [9, 8.5, 7, 6, 5, 4, 2.4]);
	return [
		outline(b.outline),
		tell('head', `M37 22.5C36 8 64 8 63 22.5Z`),
		filled(both((s) => oval([50 + s * 5.5, 17], 2.2, 1.8))),
		inner(b.rings(0.16, 0.36, 2), b.rings(0.45, 0.93, 7)),
		...legsOf(b, 30, [0.08, 0.2, 0.32]),
		outline(...spread(0.46, 0.86, 7).map((t) => both((s) => oval(b.edge(t, s, 2), 2, 1.7)))),
		outline(threeTails(b, 37, 22)),
		feelers(11, 5, 8)
	];
}
function forked(): Stroke[] {
	const b = upright(18, 36, [4, 5, 4.6, 4, 3.6, 3, 2]);
	return [
		outline(b.outline),
		...head(11, 4.6, 8, 1.5),
		inner(b.rings(0.15, 0.36, 2), b.rings(0.44, 0.94, 8)),
		...legsOf(b, 16),
		tellFine(
			'gill-shape',
			...spread(0.45, 0.88, 6).map((t) =>
				both((s) => {
					const p = b.edge(t, s, 0);
					const stem: Point = [p[0] + s * 2.5, p[1] + 1];
					return line(p, stem, [p[0] + s * 8, p[1] + 0.5]) + line(stem, [p[0] + s * 7, p[1] + 4]);
				})
			)
		),
		tell('tails', threeTails(b, 39, 26)),
		feelers(12, 2, 10)
	];
}
function shield(): Stroke[] {
	const b = upright(20, 40, [5, 10, 13, 12, 7, 5, 3.5]);
	return [
		outline(b.outline),
		...head(12, 5, 9),
		tellFine(
			'gill-shape',
			'M45 20C34 25 35 42 43 48C47 50 53 50 57 48C65 42 66 25 55 20',
			both((s) => line([50 + s * 11, 27], [50 + s * 17, 24], [50 + s * 12.5, 32])),
			both((s) => line([50 + s * 12.5, 36], [50 + s * 18, 37], [50 + s * 11, 42]))
		),
		inner(b.rings(0.76, 0.95, 3), line([50, 22], [50, 48])),
		...legsOf(b, 24, [0.12, 0.24, 0.36]),
		outline(threeTails(b, 14, 20))
	];
}
function squareLids(): Stroke[] {
	const b = upright(28, 28, [5.5, 6.8, 7, 6, 5, 4, 2.6]);
	return [
		outline(b.outline),
		...head(19, 5.5, 10, 1.5),
		inner(b.rings(0.14, 0.36, 2), b.rings(0.75, 0.94, 3)),
		...legsOf(b, 20, [0.08, 0.2, 0.32]),
		tellFine(
			'gill-shape',
			both((s) => shape([50 + s * 0.4, 40], [50 + s * 6.4, 40], [50 + s * 6, 48], [50 + s * 0.4, 48]))
		),
		inner(...spread(1, 6, 4).map((x) => both((s) => line([50 + s * x, 48.5], [50 + s * (x + 0.6), 51.5])))),
		outline(threeTails(b, 26, 18)),
		inner(hairs(b, 26, 18)),
		feelers(20, 2.5, 10)
	];
}
function burrower(): Stroke[] {
	const b = body(
		[
			[24, 56],
			[50, 54],
			[78, 55]
		],
		[4, 5.5, 5.5, 5, 4, 3]
	);
	return [
		outline(b.outline, oval([20, 56], 5.5, 4.5)),
		filled(oval([19, 54], 1.5)),
		inner(b.rings(0.12, 0.34, 3), b.rings(0.42, 0.95, 8)),
		tellFine('mouth', 'M15 58Q8 60 7 52', 'M16 60Q11 63 9.5 58'),
		outline(line([29, 60], [26, 68], [20, 72]), shape([27, 66], [17, 71], [22, 76])),
		outline(line([35, 60], [37, 69], [33, 76]), line([42, 60], [46, 68], [44, 77])),
		tellFine(
			'gill-shape',
			...spread(0.42, 0.86, 6).map((t) => {
				const [x, y] = b.edge(t, 1, 0);
				return (
					arc([x, y], [x + 2, y - 8], [x + 7, y - 12]) +
					[0.35, 0.6, 0.85]
						.map((f) =>
							line([x + 6 * f - 2, y - 12 * f - 1.5], [x + 5 * f, y - 12 * f + 0.5], [x + 6 * f + 2.4, y - 12 * f + 1])
						)
						.join('')
				);
			})
		),
		outline(arc([78, 55], [86, 54], [94, 47]), line([78, 55], [95, 55]), arc([78, 55], [86, 57], [94, 63])),
		inner([82, 86, 90].map((x) => line([x, 53], [x + 1, 57])).join('')),
		inner('M17 52Q12 46 13 40')
	];
}
