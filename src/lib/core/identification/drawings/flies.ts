import {
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
	tellFine,
	through,
	type Body,
	type Drawing,
	type Point,
	type Stroke
} from './pen';

/*
 * Grubs of flies: no jointed legs. Stubs, tufts and tubes are what tells them apart.
 */
const stub = (p: Point, angle: number, length = 4): string => {
	const tip = go(p, angle, length);
	return shape(go(p, angle - 90, 1.3), go(tip, angle - 90, 1), go(tip, angle + 90, 1), go(p, angle + 90, 1.3));
};
function midge(): Stroke[] {
	const b = body(
		[
			[34, 28],
			[46, 18],
			[62, 24],
			[64, 42],
			[50, 58],
			[46, 74],
			[52, 86]
		],
		[3.4, 4, 4, 4, 4, 3.6, 3]
	);
	return [
		outline(b.outline),
		tell('head', oval([31, 31], 4.4, 3.6)),
		filled(oval([30, 30], 0.9)),
		inner(b.rings(0.08, 0.95, 11)),
		tellFine(
			'soft-feet',
			stub(b.edge(0.08, -1), 75, 6),
			stub(b.edge(0.12, -1), 65, 6),
			stub(b.edge(0.99, -1, -2), 110, 6),
			stub(b.edge(0.99, 1, -2), 60, 6)
		),
		inner(...[-20, 0, 20].map((a) => line(b.edge(0.94, 1), go(b.edge(0.94, 1), a, 5))))
	];
}
function bitingMidge(): Stroke[] {
	const b = body(
		[
			[12, 34],
			[32, 26],
			[50, 44],
			[68, 62],
			[88, 54]
		],
		[1.8, 2.2, 2.2, 2.2, 1.6]
	);
	return [
		tellFine('body', b.outline),
		outline(shape([12, 32.5], [5, 37], [6.5, 40], [13, 36])),
		inner(b.rings(0.1, 0.92, 11), ...[-40, -20, 0].map((a) => line([88, 54], go([88, 54], a, 6))))
	];
}
function blackFly(): Stroke[] {
	const b = body(
		[
			[46, 28],
			[50, 44],
			[50, 62],
			[50, 80]
		],
		[4, 6, 4.5, 9, 8]
	);
	const root: Point = [43, 22];
	const fan = (a: number) => through(root, ...spread(a - 28, a + 28, 4).map((x) => go(root, x, 15)), root);
	const ribs = (a: number) =>
		spread(a - 15, a + 15, 3)
			.map((x) => line(root, go(root, x, 13)))
			.join('');
	return [
		tell('body', b.outline),
		outline(oval([44, 25], 5, 5)),
		filled(oval([42, 26], 0.9), dots([[44, 28]], 0.7)),
		tellFine('mouth', fan(-145), fan(-50)),
		inner(ribs(-145), ribs(-50)),
		outline(stub([44, 38], 150, 6)),
		inner(b.rings(0.15, 0.9, 7)),
		tell('tail-end', oval([50, 81], 7, 2)),
		inner('M18 84Q50 82 82 85')
	];
}
function craneFly(): Stroke[] {
	const b = body(
		[
			[10, 32],
			[30, 30],
			[56, 31],
			[76, 33]
		],
		[2, 5.5, 7, 7.5, 7.5, 6.5]
	);
	const lobes = spread(-90, 210, 6).map((a) => {
		const p = go([72, 74], a, 10);
		return shape(go(p, a - 90, 2.6), go(p, a, 10), go(p, a + 90, 2.6));
	});
	return [
		outline(b.outline),
		outline(oval([9, 32], 2.6, 2)),
		filled(dots([[7.6, 32]], 0.9)),
		inner(b.rings(0.16, 0.94, 8)),
		inner(oval([72, 74], 10)),
		tellFine('tail-end', ...lobes),
		filled(both((s) => oval([72 + s * 3.4, 75], 2)))
	];
}
function horseFly(): Stroke[] {
	const b = body(
		[
			[12, 52],
			[34, 49],
			[62, 50],
			[86, 54]
		],
		[0.8, 6, 7.5, 7.5, 6, 1]
	);
	return [
		outline(b.outline),
		tellFine(
			'soft-feet',
			...spread(0.2, 0.82, 7).flatMap((t) =>
				[1, 0.35, -0.35, -1].map((f) => {
					const [a, c] = [b.edge(t, 1), b.edge(t, -1)];
					const p: Point = [a[0] + ((f + 1) / 2) * (c[0] - a[0]), a[1] + ((f + 1) / 2) * (c[1] - a[1])];
					return oval(p, 1);
				})
			)
		),
		inner(b.rings(0.14, 0.88, 8)),
		outline(stub([85, 54], 10, 6))
	];
}
function snipeFly(): Stroke[] {
	const b = body(
		[
			[12, 44],
			[34, 41],
			[58, 42],
			[78, 46]
		],
		[1, 5, 6.6, 7, 6.5, 4]
	);
	const tail = (a: number) => {
		const root: Point = [78, 47];
		const tip = go(root, a, 15);
		return (
			line(root, tip) +
			spread(0.25, 0.95, 5)
				.map(
					(f) =>
						line(go(root, a, 15 * f), go(go(root, a, 15 * f), a + 60, 3.4)) +
						line(go(root, a, 15 * f), go(go(root, a, 15 * f), a - 60, 3.4))
				)
				.join('')
		);
	};
	return [
		outline(b.outline),
		inner(b.rings(0.14, 0.93, 9), ...spread(0.25, 0.85, 6).map((t) => line(b.edge(t, 1, -2), b.edge(t, 1, 3)))),
		tellFine('soft-feet', ...spread(0.22, 0.9, 8).map((t) => stub(b.edge(t, -1), 92, 5))),
		filled(...spread(0.22, 0.9, 8).map((t) => oval(go(b.edge(t, -1), 92, 6), 0.7))),
		tellFine('tail-end', tail(-8), tail(22))
	];
}
function danceFly(): Stroke[] {
	const b = body(
		[
			[18, 48],
			[40, 45],
			[62, 46],
			[80, 48]
		],
		[1, 3.6, 4.5, 4.5, 4.4, 3.4]
	);
	return [
		outline(b.outline),
		inner(b.rings(0.12, 0.93, 9)),
		tellFine('soft-feet', ...spread(0.24, 0.92, 7).map((t) => stub(b.edge(t, -1), 92, 5.5))),
		inner(...[-50, -20, 10, 40].map((a) => line(go([80, 48], a, 3), go([80, 48], a, 9))))
	];
}
function netWinged(): Stroke[] {
	const beads = spread(17, 82, 6);
	return [
		outline(...beads.map((y, i) => oval([50, y], i === 0 ? 11 : 10 - i * 0.7, 5.6))),
		tellFine('suckers', ...beads.map((y) => oval([50, y], 3.6))),
		inner(...beads.map((y) => oval([50, y], 1.2))),
		outline(...beads.slice(0, 5).map((y) => both((s) => line([50 + s * 9.5, y + 2], [50 + s * 15, y + 5])))),
		inner(both((s) => line([50 + s * 5, 12], [50 + s * 9, 6])))
	];
}
function mothFly(): Stroke[] {
	const b = body(
		[
			[50, 20],
			[50, 46],
			[50, 76]
		],
		[3.6, 4.5, 4.6, 4.6, 4.2, 2.4]
	);
	return [
		outline(b.outline),
		outline(oval([50, 16], 3.6, 4.2)),
		filled(both((s) => oval([50 + s * 2, 15], 0.8))),
		inner(b.rings(0.1, 0.9, 9)),
		tellFine('back', ...spread(0.145, 0.85, 8).flatMap((t) => [b.rings(t, t, 1)])),
		outline(shape([48.4, 76], [51.6, 76], [51, 85], [49, 85]))
	];
}
/** A wedge: pointed front with two hooks inside, cut off behind. */
const wedge = (halves: number[], to: number): { b: Body; strokes: Stroke[] } => {
	const b = body(
		[
			[12, 54],
			[(12 + to) / 2, 51],
			[to, 50]
		],
		halves
	);
	return {
		b,
		strokes: [
			outline(b.outline),
			tellFine('mouth', line([14, 53], [22, 52], [24, 50]), line([14, 55], [22, 55], [24, 57])),
			inner(b.rings(0.2, 0.92, 8)),
			inner(...spread(0.3, 0.9, 6).map((t) => line(b.edge(t, -1), go(b.edge(t, -1), 90, 2))))
		]
	};
};
function maggot(): Stroke[] {
	return [...wedge([0.6, 4, 6.5, 8, 8], 68).strokes, tellFine('tail-end', stub([68, 46], 0, 5), stub([68, 54], 0, 5))];
}
function welted(): Stroke[] {
	return [
		...wedge([0.6, 2.6, 4, 4.5, 4.4], 74).strokes,
		tellFine(
			'tail-end',
			stub([73.5, 46.6], -45, 6),
			stub([74, 48.8], -12, 6),
			stub([74, 51.2], 12, 6),
			stub([73.5, 53.4], 45, 6)
		),
		filled(
			dots(
				[
					[72, 48.6],
					[72, 51.6]
				],
				0.9
			)
		)
	];
}
function ratTailed(): Stroke[] {
	const b = body(
		[
			[10, 64],
			[28, 62],
			[46, 62]
		],
		[4, 8.5, 9, 8, 3]
	);
	return [
		outline(b.outline),
		inner(b.rings(0.2, 0.9, 6)),
		inner(...spread(0.2, 0.85, 6).map((t) => line(b.edge(t, -1), go(b.edge(t, -1), 90, 2.4)))),
		tell(
			'tail-end',
			through([46, 60], [60, 58], [70, 44]),
			through([46, 64], [63, 62], [73, 46]),
			line([70, 44], [73, 46]),
			line([71, 44.5], [79, 28]),
			line([72.5, 45.5], [81, 29]),
			line([80, 28.5], [85, 14])
		),
		inner(line([68, 14], [96, 14]))
	];
}
export const flies: Record<string, Drawing> = {
	midge: { tells: 'A hard oval head; a pair of stubs behind the head and a pair at the end.', strokes: midge() },
	'biting-midge': {
		tells: 'An even thread without stubs, a long head.',
		strokes: bitingMidge(),
		bar: { length: 14, means_mm: 1 }
	},
	'black-fly': { tells: 'Like a bowling pin; two open fans on the head; a disc at the foot.', strokes: blackFly() },
	'crane-fly': { tells: 'Six fleshy lobes round two black dots behind, like a crown.', strokes: craneFly() },
	'horse-fly': { tells: 'Pointed at both ends; each ring with a belt of bumps.', strokes: horseFly() },
	'snipe-fly': { tells: 'Eight stubs in a row below; two feathery tails.', strokes: snipeFly() },
	'dance-fly': {
		tells: 'Seven pairs of stubs; no tails, four hairs on a rounded end.',
		strokes: danceFly(),
		bar: { length: 14, means_mm: 1 }
	},
	'net-winged-midge': { tells: 'Six lobes in a row, a round sucker below each.', strokes: netWinged() },
	'moth-fly': { tells: 'Narrow dark bars on each ring; a short dark tube behind.', strokes: mothFly() },
	'headless-maggot': {
		tells: 'No head: two black hooks inside the pointed front; two short breathing points behind.',
		strokes: maggot()
	},
	'welted-maggot': { tells: 'Four short lobes behind, round two dots.', strokes: welted() },
	'rat-tailed-maggot': {
		tells: 'A tail tube in three parts, longer than the body, that reaches the water line.',
		strokes: ratTailed()
	}
};
