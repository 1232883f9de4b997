import {
	arc,
	inner,
	line,
	oval,
	outline,
	spread,
	tell,
	tellFine,
	through,
	type Drawing,
	type Point,
	type Stroke
} from './pen';

/*
 * Shells, tip up, the opening towards us.
 */
/** A spiral shell of four turns; `side` 1 opens on the right. */
function snail(side: 1 | -1, slim: number, lidOrFoot: (x: number, y: number) => Stroke[]): Stroke[] {
	const x = (dx: number) => 50 + side * dx * slim;
	const outer =
		`M${x(0)} 14Q${x(-10)} 22 ${x(-12)} 32Q${x(-20)} 40 ${x(-22)} 56Q${x(-22)} 74 ${x(-4)} 76Q${x(16)} ` +
		`76 ${x(22)} 60Q${x(20)} 46 ${x(12)} 34Q${x(9)} 22 ${x(0)} 14Z`;
	return [
		outline(outer),
		inner(
			arc([x(-7), 21], [x(0), 25], [x(7), 21]),
			arc([x(-12), 32], [x(2), 38], [x(12), 33]),
			arc([x(-20), 46], [x(-4), 54], [x(8), 44])
		),
		...lidOrFoot(x(9), 60)
	];
}
function lidded(): Stroke[] {
	return snail(1, 1, (x, y) => [
		outline(oval([x, y], 12.5, 15)),
		tell('lid', oval([x, y], 10, 12.5)),
		inner(oval([x + 1, y + 1], 6, 8), oval([x + 2, y + 2], 2.6, 4))
	]);
}
function lunged(side: 1 | -1, horns: Stroke): Stroke[] {
	return [
		...snail(side, 0.78, (x, y) => [tell('shell', oval([x, y - 2], 9.5, 16))]),
		outline('M30 78Q48 72 70 78Q72 86 50 86Q30 86 30 78Z'),
		horns
	];
}
function valve(): Stroke[] {
	return [
		outline('M50 30Q40 32 36 40Q24 46 26 58Q28 70 46 70Q70 72 74 56Q72 42 60 38Q58 30 50 30Z'),
		inner(arc([40, 36], [50, 42], [60, 38]), arc([30, 48], [44, 54], [58, 44])),
		outline(oval([60, 56], 13)),
		tellFine('lid', oval([60, 56], 10.5)),
		inner(through(...spread(0, 14, 26).map((a): Point => [60 + 0.65 * a * Math.cos(a), 56 + 0.65 * a * Math.sin(a)]))),
		tellFine('gill-shape', line([78, 60], [93, 50])),
		inner(
			...spread(0.2, 0.95, 5).map(
				(f) =>
					line([78 + 15 * f, 60 - 10 * f], [79 + 15 * f, 55 - 10 * f]) +
					line([78 + 15 * f, 60 - 10 * f], [83 + 15 * f, 61 - 10 * f])
			)
		)
	];
}
function ramshorn(): Stroke[] {
	const spiral = spread(0, 6.2 * Math.PI, 90).map((a): Point => [
		46 + (2 + 1.25 * a) * Math.cos(a),
		44 + (2 + 1.25 * a) * Math.sin(a)
	]);
	return [
		tell('shell', line(...spiral, [60.5, 53])),
		outline('M66 66Q82 66 90 74Q92 80 78 79Q68 78 60 71'),
		tellFine('feelers', line([86, 71], [93, 58]), line([89, 74], [96, 64]))
	];
}
function limpet(): Stroke[] {
	return [
		tell('shell', 'M10 44Q18 28 36 26Q42 26 50 44Z'),
		inner(line([4, 44.6], [56, 44.6]), arc([18, 44], [26, 33], [37, 27]), arc([30, 44], [36, 36], [38, 27])),
		tell('shell', oval([72, 68], 19, 14)),
		outline(oval([78, 68], 1.6)),
		inner(arc([58, 68], [68, 60], [77, 67]))
	];
}
function nerite(): Stroke[] {
	return [
		outline('M28 66Q24 34 50 32Q76 34 72 66Q50 74 28 66Z'),
		tellFine('lid', 'M33 56Q33 38 50 38Q67 38 67 56Z', 'M33 56L67 56L63 64L37 64Z'),
		inner(
			...spread(36, 64, 6).map((x) =>
				line([x, 62 + (1 - Math.abs(x - 50) / 20) * 4], [x + 2, 66 + (1 - Math.abs(x - 50) / 20) * 3])
			),
			arc([32, 46], [50, 30], [68, 46])
		)
	];
}
function clam(): Stroke[] {
	return [
		tell('shell', 'M50 30Q54 28 57 33Q72 38 71 54Q69 70 50 71Q31 70 29 54Q28 38 43 33Q46 28 50 30Z'),
		inner(
			...[0.45, 0.65, 0.85].map((k) => arc([50 - 20 * k, 31 + 26 * k], [50, 31 + 54 * k], [50 + 20 * k, 31 + 26 * k]))
		),
		outline('M64 66Q74 72 78 80Q70 80 60 70')
	];
}
function mussel(): Stroke[] {
	return [
		tell('shell', 'M30 32Q34 27 38 31Q70 32 88 48Q96 62 80 68Q50 76 24 66Q8 60 12 46Q18 36 30 32Z'),
		inner(
			...[0.3, 0.5, 0.7, 0.87].map((k) =>
				arc([33 - 18 * k, 31 + 22 * k], [33 + 16 * k, 31 + 56 * k], [33 + 56 * k, 31 + 22 * k])
			),
			line([38, 31], [58, 35])
		)
	];
}
const threadHorns = tellFine('feelers', line([34, 80], [22, 72]), line([33, 83], [20, 82]));
const broadHorns = tellFine('feelers', 'M66 78L78 68L72 82Z', 'M68 83L82 80L72 86Z');
export const molluscs: Record<string, Drawing> = {
	'lidded-snail': {
		tells: 'Opening on the right, filled by an oval plate with rings like a cut tree.',
		strokes: lidded()
	},
	'valve-snail': { tells: 'Round opening, round lid with a spiral; a feather beside the shell.', strokes: valve() },
	'left-snail': { tells: 'Opening on the left, no lid; two thread horns.', strokes: lunged(-1, threadHorns) },
	'right-snail': {
		tells: 'Opening on the right, no lid; two broad three-cornered horns.',
		strokes: lunged(1, broadHorns)
	},
	ramshorn: { tells: 'A flat coil of four turns like a rope; two long thin horns.', strokes: ramshorn() },
	limpet: { tells: 'A cap, its tip bent backwards.', strokes: limpet() },
	nerite: { tells: 'A half globe; its D-shaped opening half closed by a flat shelf.', strokes: nerite() },
	'pea-clam': {
		tells: 'Nearly round, the beak in the middle of the top.',
		strokes: clam(),
		bar: { length: 6, means_mm: 1 }
	},
	mussel: { tells: 'A long egg, the beak well towards one end.', strokes: mussel(), bar: { length: 10, means_mm: 10 } }
};
