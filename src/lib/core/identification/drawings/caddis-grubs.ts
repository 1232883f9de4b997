import {
	arc,
	body,
	both,
	dots,
	filled,
	go,
	hanging,
	inner,
	line,
	outline,
	oval,
	shape,
	spread,
	tellFilled,
	tellFine,
	type Body,
	type Drawing,
	type Point,
	type Stroke
} from './pen';

/*
 * Caddisflies without a case, and a caterpillar like them: a soft body, a hard head, one claw to a leg, two hooks
 * behind.
 */
/** A free grub from the side: a hard head, so many dark plates, two hooks behind. */
function grub(middle: readonly Point[], halves: readonly number[], plates: number): { b: Body; strokes: Stroke[] } {
	const b = body(middle, halves);
	const plate = (from: number, to: number) => shape(b.edge(from, 1), b.edge(to, 1), b.middle(to), b.middle(from));
	return {
		b,
		strokes: [
			outline(b.outline, oval(b.middle(0), halves[0]! + 1.6, halves[0]! + 0.4)),
			filled(oval(go(b.middle(0), -140, 2), 0.9)),
			hanging(b, [0.1, 0.17, 0.24], 11),
			inner(b.rings(0.13, 0.95, 11)),
			tellFilled('hard-back', ...spread(0.07, 0.07 + 0.075 * (plates - 1), plates).map((t) => plate(t, t + 0.055)))
		]
	};
}
const hooks = (from: Point, length: number, angle = 20): string =>
	[0, 22]
		.map((turn) => {
			const tip = go(from, angle + turn, length);
			return line(from, tip) + arc(tip, go(tip, angle + turn, 4), go(tip, angle + turn + 60, 5));
		})
		.join('');
function free(): Stroke[] {
	const { b, strokes } = grub(
		[
			[16, 46],
			[38, 42],
			[62, 44],
			[82, 54]
		],
		[4, 5.5, 6, 6, 5.5, 4],
		1
	);
	return [
		...strokes,
		inner(...spread(0.24, 0.9, 7).map((t) => both((s) => line(b.edge(t, s), b.edge(t, s, -2.5))))),
		tellFine('tail-end', hooks([81, 55], 6))
	];
}
function net(): Stroke[] {
	const { b, strokes } = grub(
		[
			[18, 36],
			[40, 30],
			[64, 36],
			[78, 54],
			[76, 68]
		],
		[4.2, 5.5, 6, 6, 5, 3.5],
		3
	);
	const fans = [0, 22].map((turn) => {
		const tip = go([76, 68], 100 + turn, 10);
		return (
			spread(-40, 40, 5)
				.map((a) => line(tip, go(tip, 100 + turn + a, 6)))
				.join('') + line([76, 68], tip)
		);
	});
	return [
		...strokes,
		tellFine('gill-shape', ...spread(0.34, 0.86, 6).map((t) => bush(b.edge(t, -1)))),
		tellFine('tail-end', ...fans)
	];
}
const bush = (p: Point): string => [70, 95, 120].map((a) => line(p, go(p, a, 5))).join('');
function tunnel(): Stroke[] {
	const { strokes } = grub(
		[
			[18, 46],
			[44, 46],
			[74, 47]
		],
		[3.6, 4.4, 4.5, 4.2, 3],
		1
	);
	return [
		...strokes,
		filled(
			dots(
				[
					[15, 44],
					[17, 43.6],
					[19, 44],
					[16, 47],
					[18, 47.6],
					[20, 47]
				],
				0.6
			)
		),
		tellFine('tail-end', hooks([74, 47], 11, 5)),
		inner('M8 62Q40 70 70 64T96 62', 'M8 30Q40 24 70 29T96 31'),
		inner(
			dots(
				[
					[20, 66],
					[52, 68],
					[80, 63],
					[34, 27],
					[66, 28]
				],
				1.4
			)
		)
	];
}
function whiteLip(): Stroke[] {
	const { strokes } = grub(
		[
			[24, 46],
			[50, 45],
			[80, 48]
		],
		[3.6, 4.4, 4.5, 4.2, 3],
		1
	);
	return [
		...strokes,
		tellFine('mouth', shape([19, 43.5], [12, 44.5], [12, 40], [8.5, 40], [8.5, 53], [12, 53], [12, 48.5], [19, 49])),
		inner(...spread(41, 52, 6).map((y) => line([8.5, y], [6.5, y]))),
		outline(hooks([80, 48], 7))
	];
}
function outOfCase(): Stroke[] {
	const { b, strokes } = grub(
		[
			[26, 34],
			[46, 27],
			[66, 38],
			[70, 58],
			[56, 70]
		],
		[4, 6, 6.5, 6.5, 6, 4],
		2
	);
	return [
		...strokes,
		tellFine(
			'back',
			arc(b.edge(0.28, 1), b.edge(0.32, 1, 6), b.edge(0.37, 1)),
			arc(b.edge(0.28, -1), b.edge(0.32, -1, 5), b.edge(0.37, -1))
		),
		inner(...spread(0.45, 0.85, 5).map((t) => line(b.edge(t, 1, -1), b.edge(t, 1, 4)))),
		tellFine('tail-end', arc([56, 70], [52, 71], [51, 67]), arc([57, 73], [52, 75], [50, 72]))
	];
}
function caterpillar(): Stroke[] {
	const { b, strokes } = grub(
		[
			[16, 46],
			[50, 44],
			[84, 47]
		],
		[4, 5.5, 6, 6, 5.5, 4],
		1
	);
	return [
		...strokes,
		tellFine(
			'soft-feet',
			...[0.44, 0.53, 0.62, 0.71, 0.95].map((t) => {
				const p = b.edge(t, -1);
				return shape([p[0] - 2, p[1] - 0.5], [p[0] - 1.6, p[1] + 4], [p[0] + 1.6, p[1] + 4], [p[0] + 2, p[1] - 0.5]);
			})
		),
		filled(
			...[0.44, 0.53, 0.62, 0.71, 0.95].map((t) => {
				const p = b.edge(t, -1);
				return dots(
					[
						[p[0] - 1.2, p[1] + 5.6],
						[p[0] + 1.2, p[1] + 5.6]
					],
					0.6
				);
			})
		)
	];
}

export const caddisGrubs: Record<string, Drawing> = {
	'caddis-free': {
		tells: 'One dark plate behind the head, deep notches between the other rings, two strong hooks behind.',
		strokes: free()
	},
	'caddis-net': {
		tells: 'Three dark plates in a row, bushy tufts along the belly, a fan of hair at each hook.',
		strokes: net()
	},
	'caddis-tunnel': { tells: 'One dark plate; two long soft stalks behind, each ending in a hook.', strokes: tunnel() },
	'caddis-white-lip': { tells: 'A pale T in front of the head, fringed in front.', strokes: whiteLip() },
	'caddis-out-of-case': {
		tells: 'A soft grub with a hump on top and one at the side, and two very short hooks.',
		strokes: outOfCase()
	},
	'moth-caterpillar': {
		tells: 'Four pairs of stubs under the middle and one at the end, each with a ring of dots.',
		strokes: caterpillar()
	}
};
