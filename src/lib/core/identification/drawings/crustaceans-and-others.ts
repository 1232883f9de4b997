import {
	arc,
	body,
	both,
	dots,
	filled,
	go,
	inner,
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
	type Drawing,
	type Point,
	type Stroke
} from './pen';

/*
 * Scuds, slaters and crayfish; worms, leeches and flatworms; mites.
 */
function scud(isMud: boolean): Stroke[] {
	const b = body(
		[
			[22, 52],
			[34, 36],
			[54, 32],
			[72, 42],
			[78, 60]
		],
		isMud ? [4, 5, 5.4, 5, 3.4] : [5, 8, 9, 8, 4]
	);
	const ts = spread(0.12, 0.92, 10);
	const legs = spread(0.16, 0.66, 7).map((t, i) => {
		const p = b.edge(t, -1, -1);
		const back = i >= 4;
		const knee = go(p, back ? 60 : 105, 9);
		return line(p, knee, go(knee, back ? -20 : 140, back ? 11 : 8));
	});
	return [
		outline(b.outline),
		tellFine(
			'body',
			...ts.map((t) => {
				const [a, c] = [b.edge(t, 1), b.edge(t, -1, 1.5)];
				return arc(a, [(a[0] + c[0]) / 2 - 3, (a[1] + c[1]) / 2 + 2], c);
			})
		),
		filled(oval([22, 47], 1.3)),
		isMud
			? tell('feelers', line([19, 52], [9, 40], [4, 54]), line([21, 55], [10, 46], [6, 58]))
			: inner(through([20, 47], [10, 40], [6, 30]), through([19, 51], [9, 50], [5, 58])),
		...(isMud ? [inner(through([20, 47], [12, 40], [10, 32]))] : []),
		tellFine('legs', ...legs),
		outline(...[0, 1].map((i) => oval(go(b.edge(0.16 + i * 0.083, -1, 8), 120, 3), 2.2, 1.6))),
		outline(line([77, 62], [86, 66]), line([76, 64], [84, 72]), line([74, 60], [74, 72]))
	];
}
function slater(): Stroke[] {
	const b = upright(24, 48, [6, 10, 11, 11, 10.5, 9, 5]);
	const ts = spread(0.06, 0.68, 7);
	return [
		outline(b.outline, 'M43 24Q44 16 50 16Q56 16 57 24'),
		filled(both((s) => oval([50 + s * 4.4, 21], 1.1))),
		tellFine(
			'body',
			...spread(0.09, 0.72, 7).map((t) => {
				const [a, c] = [b.edge(t, 1), b.edge(t, -1)];
				return arc(a, [50, a[1] + 3], c);
			})
		),
		tellFine(
			'legs',
			...ts.map((t, i) =>
				both((s) => {
					const p = b.edge(t + 0.03, s);
					const a = -30 + i * 14;
					const k = go(p, s === 1 ? a : 180 - a, 9);
					return line(p, k, go(k, s === 1 ? a + 35 : 145 - a, 8));
				})
			)
		),
		inner(
			whiskers(
				[
					[53, 17],
					[47, 17]
				],
				-50,
				14,
				3
			),
			both((s) => line([50 + s * 2, 16], [50 + s * 4, 10]))
		),
		outline(
			whiskers(
				[
					[52, 17],
					[48, 17]
				],
				-8,
				34,
				-5
			)
		),
		tellFine(
			'tail-end',
			both((s) => line([50 + s * 2, 71], [50 + s * 4, 78], [50 + s * 3, 88]) + line([50 + s * 4, 78], [50 + s * 8, 87]))
		)
	];
}
function crayfish(): Stroke[] {
	const b = upright(30, 42, [3, 8, 9, 8.6, 6.5, 6, 5.5]);
	return [
		outline(b.outline, shape([47.5, 31], [50, 24], [52.5, 31])),
		inner(arc([42, 44], [50, 51], [58, 44]), b.rings(0.56, 0.98, 6)),
		outline(both((s) => line([50 + s * 4, 33], [50 + s * 7, 30]))),
		filled(both((s) => oval([50 + s * 7.6, 29.4], 1.4))),
		outline(both((s) => line([50 + s * 8, 38], [50 + s * 20, 34], [50 + s * 21, 26]))),
		tellFine(
			'leg-form',
			both((s) =>
				shape(
					[50 + s * 17, 27],
					[50 + s * 16, 16],
					[50 + s * 20, 6],
					[50 + s * 20.5, 17],
					[50 + s * 22, 18],
					[50 + s * 25, 8],
					[50 + s * 27, 18],
					[50 + s * 24, 27]
				)
			)
		),
		outline(
			...[42, 46, 50, 54].map((y, i) =>
				both((s) => line([50 + s * 8.5, y], [50 + s * (22 - i), y + 2 + i * 3], [50 + s * (29 - 2 * i), y + 8 + i * 4]))
			)
		),
		inner(
			whiskers(
				[
					[52, 27],
					[48, 27]
				],
				-62,
				24,
				-6
			)
		),
		tellFine(
			'tail-end',
			shape([47, 72], [53, 72], [54, 84], [46, 84]),
			both(
				(s) =>
					shape([50 + s * 4.5, 72], [50 + s * 12, 78], [50 + s * 9, 86], [50 + s * 5, 83]) +
					shape([50 + s * 5.5, 71], [50 + s * 15, 73], [50 + s * 17, 80], [50 + s * 13, 80])
			)
		)
	];
}
function worm(): Stroke[] {
	const b = body(
		[
			[30, 8],
			[62, 18],
			[66, 38],
			[38, 52],
			[30, 68],
			[54, 82],
			[76, 92]
		],
		[2, 3, 3, 3, 3, 3, 2]
	);
	return [
		tellFine('body', b.outline),
		inner(b.rings(0.03, 0.97, 30), ...spread(0.1, 0.9, 7).map((t) => line(b.edge(t, 1), b.edge(t, 1, 2.2))))
	];
}
function leechBroad(): Stroke[] {
	const b = upright(20, 60, [2.5, 6, 9, 11, 11, 8, 3]);
	return [
		outline(b.outline),
		inner(b.rings(0.08, 0.94, 20)),
		tell('suckers', oval([50, 18], 3), oval([50, 84], 5.5)),
		filled(
			both((s) => oval([50 + s * 1.2, 24], 0.9)),
			dots(
				spread(32, 72, 6).flatMap((y): Point[] => [
					[46, y],
					[54, y]
				]),
				0.8
			)
		)
	];
}
function leechSlim(): Stroke[] {
	const b = body(
		[
			[36, 8],
			[60, 26],
			[58, 46],
			[40, 62],
			[48, 88]
		],
		[2.2, 4.5, 4.6, 4.6, 3.4]
	);
	return [
		tellFine('body', b.outline),
		inner(b.rings(0.08, 0.95, 16)),
		outline(oval([36, 8], 2.8, 2.2), oval([49, 89], 4.2, 3)),
		filled(
			dots(
				[
					[39, 12],
					[41, 11.4],
					[42.4, 14.6],
					[44.4, 14]
				],
				0.8
			)
		),
		inner(
			through([74, 22], [78, 28], [74, 34], [78, 40], [74, 46]),
			through([82, 22], [86, 28], [82, 34], [86, 40], [82, 46])
		)
	];
}
function leechCupped(): Stroke[] {
	const b = body(
		[
			[18, 76],
			[24, 44],
			[50, 24],
			[76, 44],
			[82, 76]
		],
		[1.6, 2.4, 2.6, 2.6, 1.6]
	);
	return [
		outline(b.outline),
		inner(b.rings(0.08, 0.92, 18), line([6, 84], [94, 84])),
		tell('suckers', shape([10, 83], [15, 75], [21, 75], [26, 83]), shape([74, 83], [79, 75], [85, 75], [90, 83]))
	];
}
function flatworm(): Stroke[] {
	const outlineOfIt =
		'M50 16L57 24Q64 23 66 27Q61 31 57 34Q60 46 57.5 60Q55 74 50 84Q45 74 42.5 60Q40 46 43 34Q39 31 34 27Q36 23 43 24Z';
	return [
		tell('head', outlineOfIt),
		tellFilled(
			'eyes',
			both((s) => oval([50 + s * 3.4, 26.5], 1.5))
		),
		inner(through([50, 34], [51, 50], [50, 66]))
	];
}
function mite(): Stroke[] {
	const legs = [-70, -40, -10, 22].map((a) =>
		both((s) => {
			const p = go([50 + s * 9, 42], s === 1 ? a : 180 - a, 7);
			const k = go(p, s === 1 ? a : 180 - a, 12);
			return line(p, k, go(k, s === 1 ? a + 30 : 150 - a, 13));
		})
	);
	return [
		tell('body', oval([50, 54], 17)),
		tell('legs', ...legs),
		filled(both((s) => oval([50 + s * 5, 43], 1.3))),
		inner(
			...[-40, -10, 22].map((a) =>
				both((s) => {
					const k = go([50 + s * 9, 42], s === 1 ? a : 180 - a, 19);
					return [0.3, 0.6]
						.map((f) => {
							const p = go(k, s === 1 ? a + 30 : 150 - a, 13 * f);
							return line(p, go(p, s === 1 ? a + 95 : 85 - a, 4));
						})
						.join('');
				})
			)
		)
	];
}
export const othersWithoutShell: Record<string, Drawing> = {
	scud: {
		tells: 'Narrow and arched, plates overlapping like tiles; seven pairs of legs, the back three turned up.',
		strokes: scud(false)
	},
	'mud-scud': { tells: 'The second feelers as thick as legs and elbowed.', strokes: scud(true) },
	'water-slater': {
		tells: 'Seven overlapping rings and a big tail plate; fourteen legs; two forked rods behind.',
		strokes: slater()
	},
	crayfish: { tells: 'Two large pincers; a tail fan of five plates.', strokes: crayfish() },
	worm: { tells: 'Many rings, both ends alike and blunt; no head, no suckers.', strokes: worm() },
	'leech-broad': { tells: 'Broad as a leaf; a small sucker in front and a round one behind.', strokes: leechBroad() },
	'leech-slim': { tells: 'A smooth narrow band that swims in waves.', strokes: leechSlim() },
	'leech-cupped': { tells: 'Each end a wide cup on a narrow neck.', strokes: leechCupped() },
	flatworm: { tells: 'No rings; a wedge-shaped head with two blunt ears and two eye dots.', strokes: flatworm() },
	'water-mite': { tells: 'A round bead with eight legs.', strokes: mite(), bar: { length: 14, means_mm: 1 } }
};
