import {
	both,
	body,
	filled,
	head,
	inner,
	legs,
	line,
	oval,
	outline,
	shape,
	spread,
	tell,
	tellFine,
	upright,
	whiskers,
	type Drawing,
	type Stroke
} from './pen';

/*
 * Dragonflies and damselflies: a folding arm under the head. What the arm looks like from below or in front stands as a
 * smaller picture beside the animal.
 */
const flatMask = (x: number, y: number): Stroke[] => [
	outline(oval([x, y], 9, 7)),
	filled(both((s) => oval([x + s * 7.5, y - 2], 1.7))),
	tellFine('mouth', shape([x - 4.5, y - 4], [x + 4.5, y - 4], [x + 2, y + 8], [x - 2, y + 8]))
];
const spoonMask = (x: number, y: number, isRagged = false): Stroke[] => [
	outline(oval([x, y], 9.5, 9)),
	filled(both((s) => oval([x + s * 7.5, y - 5], 1.8))),
	tellFine(
		'mouth',
		`M${x - 8.5} ${y - 2}Q${x} ${y - 6} ${x + 8.5} ${y - 2}Q${x + 8} ${y + 8} ${x} ${y + 8.5}Q${x - 8} ${y + 8} ` +
			`${x - 8.5} ${y - 2}Z`,
		isRagged
			? line([x, y - 4], [x - 2, y - 1.5], [x + 2, y + 0.5], [x - 2, y + 2.5], [x + 2, y + 4.5], [x, y + 8])
			: line([x, y - 4], [x, y + 8])
	)
];
const strips = (y: number, length: number): Stroke =>
	inner(both((s) => shape([50 + s * 1, y], [50 + s * 3, y], [50 + s * 4.5, y + length], [50 + s * 2.5, y + length])));
const points = (y: number, width: number, length: number): string =>
	[-1, -0.5, 0, 0.5, 1].map((f) => line([50 + f * width, y], [50 + f * 0.5 * width, y + length])).join('');

function long(isHairy: boolean): Stroke[] {
	const b = upright(19, 62, [5, 5.5, 5.5, 7, 8, 7, 4]);
	return [
		outline(b.outline),
		outline(upright(9, 11, [4, 8, 6]).outline),
		...(isHairy
			? [
					filled(both((s) => oval([50 + s * 6, 12], 1.8))),
					tellFine(
						'back',
						...spread(0.3, 0.96, 11).map((t) => both((s) => line(b.edge(t, s), b.edge(Math.min(1, t + 0.03), s, 3))))
					)
				]
			: [
					tellFine(
						'eyes',
						both((s) => oval([50 + s * 4.4, 13.5], 4, 4.6))
					)
				]),
		inner(b.rings(0.12, 0.28, 3), b.rings(0.4, 0.95, 8)),
		...legs(b, [
			{ t: 0.05, reach: 24, back: -30 },
			{ t: 0.14, reach: 26, back: 10 },
			{ t: 0.24, reach: 30, back: 40 }
		]),
		strips(31, 15),
		isHairy ? outline(points(80, 4, 7)) : tellFine('tail-end', points(80, 4.5, 9)),
		...(isHairy ? spoonMask(82, 82, true) : flatMask(82, 82))
	];
}
function squat(isSpider: boolean): Stroke[] {
	const b = upright(24, 38, isSpider ? [6, 10, 17, 18, 13, 5] : [6, 9, 12, 13, 11, 5]);
	const reach = isSpider ? 44 : 34;
	return [
		outline(b.outline),
		...head(14, 7, 11, 2.4),
		inner(b.rings(0.14, 0.3, 2), b.rings(0.4, 0.94, 7)),
		strips(36, 11),
		...legs(b, [
			{ t: 0.06, reach: reach * 0.8, back: isSpider ? -12 : -35, bend: isSpider ? 20 : 35 },
			{ t: 0.17, reach: reach * 0.9, back: 0 },
			{ t: 0.3, reach, back: 30 }
		]).map((s) => (isSpider ? { ...s, weight: 'tell' as const, shows: 'leg-form' } : s)),
		inner(...[48, 52, 56].map((y) => line([49, y + 2], [50, y - 0.5], [51, y + 2]))),
		inner(points(62, 3, 4)),
		...(isSpider ? [tell('head', shape([48.5, 15], [50, 9], [51.5, 15]))] : spoonMask(82, 82))
	];
}
function damselfly(isLongFeeler: boolean): Stroke[] {
	const b = upright(18, 44, [4, 4.5, 4, 3.6, 3.4, 3]);
	const leaf = (angle: number, length: number) => {
		const l = body(
			[
				[50, 62],
				[50 + length * 0.5 * Math.sin(angle), 62 + length * 0.5 * Math.cos(angle)],
				[50 + length * Math.sin(angle), 62 + length * Math.cos(angle)]
			],
			[0.6, 2.6, 3, 2.4, 0.2]
		);
		return l.outline;
	};
	const leaves = [-0.42, 0, 0.42];
	return [
		outline(b.outline, upright(11, 7.5, [5, 7, 4]).outline),
		filled(both((s) => oval([50 + s * 6.6, 14.5], 2.1))),
		inner(b.rings(0.12, 0.26, 2), b.rings(0.4, 0.95, 8)),
		strips(28, 13),
		...legs(b, [
			{ t: 0.06, reach: isLongFeeler ? 30 : 24, back: isLongFeeler ? -12 : -30 },
			{ t: 0.14, reach: isLongFeeler ? 32 : 26, back: 8 },
			{ t: 0.24, reach: isLongFeeler ? 36 : 28, back: 40 }
		]),
		tellFine('tail-end', ...leaves.map((a) => leaf(a, a === 0 && isLongFeeler ? 19 : 26))),
		inner(
			...leaves.map((a) =>
				line([50, 62], [50 + 20 * Math.sin(a), 62 + (a === 0 && isLongFeeler ? 15 : 20) * Math.cos(a)])
			)
		),
		isLongFeeler
			? tell(
					'feelers',
					both((s) => line([50 + s * 3, 11], [50 + s * 7, 5.5]))
				)
			: inner(
					whiskers(
						[
							[53, 11],
							[47, 11]
						],
						-60,
						6
					)
				),
		...(isLongFeeler ? [inner(both((s) => line([50 + s * 7, 5.5], [50 + s * 13, 3])))] : [])
	];
}
export const dragonflies: Record<string, Drawing> = {
	'dragonfly-long': {
		tells: 'Huge eyes that nearly meet; five stiff points closing behind; a flat mask like a spade.',
		strokes: long(false)
	},
	'dragonfly-hairy': {
		tells: 'Small eyes on the front corners, hair along both edges, a spoon mask with ragged teeth.',
		strokes: long(true)
	},
	'dragonfly-squat': {
		tells: 'Short and broad; a hollow spoon covers all of the face below the eyes.',
		strokes: squat(false)
	},
	'dragonfly-spider': {
		tells: 'Legs twice as long as the body is wide, like a spider; a small horn between the feelers.',
		strokes: squat(true)
	},
	'dragonfly-digger': { tells: 'Feelers like two thick flat paddles.', strokes: digger() },
	damselfly: { tells: 'Three flat leaves behind, each with a midrib.', strokes: damselfly(false) },
	'damselfly-long-feeler': {
		tells: 'First joint of the feelers long and thick; the middle leaf shorter than the outer ones.',
		strokes: damselfly(true)
	}
};
function digger(): Stroke[] {
	const b = upright(26, 54, [5, 6, 8, 10, 9, 5, 2]);
	return [
		outline(b.outline, shape([50 - 6.5, 26], [50 - 4, 17], [50 + 4, 17], [50 + 6.5, 26])),
		filled(both((s) => oval([50 + s * 5.5, 24], 1.6))),
		inner(b.rings(0.12, 0.26, 2), b.rings(0.38, 0.95, 8)),
		strips(36, 14),
		...legs(b, [
			{ t: 0.05, reach: 17, back: -50 },
			{ t: 0.13, reach: 18, back: -30 },
			{ t: 0.26, reach: 25, back: 42 }
		]),
		tellFine(
			'feelers',
			both((s) => shape([50 + s * 1.5, 17], [50 + s * 5.5, 7], [50 + s * 8.5, 8.5], [50 + s * 4, 18]))
		),
		...flatMask(82, 82)
	];
}
