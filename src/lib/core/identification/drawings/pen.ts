/*
 * The pen that all animals are drawn with, so that they are in one hand: bodies along a middle line, legs of three
 * strokes, what tells the kind in the thickest line. Measures are in hundredths of the field, y downwards, an animal
 * seen from above with its head up, from the side with its head to the left.
 */

export type Point = readonly [x: number, y: number];

/**
 * How thick a line is drawn, in hundredths of the field. What tells the kind is thickest, or fine where it is small.
 */
export const weights = { outline: 2, inner: 1.2, tell: 3, fine: 1.8, filled: 0.6 } as const;
export type Weight = keyof typeof weights;
export interface Stroke {
	/** A path as SVG and PDF write it. */
	d: string;
	weight: Weight;
	/** The character of the key that it shows, where it shows one. */
	shows?: string;
}
export interface Drawing {
	/** What to look at, in words: what the drawing says to whoever cannot see it. */
	tells: string;
	strokes: Stroke[];
	/** Length of the bar that is drawn beside a very small or a very large one. */
	bar?: { length: number; means_mm: number };
}

export const outline = (...d: string[]): Stroke => ({ d: d.join(''), weight: 'outline' });
export const inner = (...d: string[]): Stroke => ({ d: d.join(''), weight: 'inner' });
export const filled = (...d: string[]): Stroke => ({ d: d.join(''), weight: 'filled' });
/** A dark part that tells. */
export const tellFilled = (shows: string, ...d: string[]): Stroke => ({ d: d.join(''), weight: 'filled', shows });
/** The thing to look at, and the character that it answers. */
export const tell = (shows: string, ...d: string[]): Stroke => ({ d: d.join(''), weight: 'tell', shows });
/** The same where thick lines would run into each other. */
export const tellFine = (shows: string, ...d: string[]): Stroke => ({ d: d.join(''), weight: 'fine', shows });
/** Closed forms cover what lies under them. */
export const isClosed = ({ d }: Stroke): boolean => d.split('M').length === d.split('Z').length;

const n = (x: number) => String(Math.round(x * 10) / 10);
const at = ([x, y]: Point) => `${n(x)} ${n(y)}`;

export const line = (...points: Point[]): string => `M${points.map(at).join('L')}`;
export const shape = (...points: Point[]): string => `${line(...points)}Z`;
export const oval = ([x, y]: Point, rx: number, ry = rx): string =>
	`M${n(x - rx)} ${n(y)}a${n(rx)} ${n(ry)} 0 1 0 ${n(2 * rx)} 0a${n(rx)} ${n(ry)} 0 1 0 ${n(-2 * rx)} 0Z`;
/** A line bent once: from, towards, to. */
export const arc = (from: Point, towards: Point, to: Point): string => `M${at(from)}Q${at(towards)} ${at(to)}`;
export const go = ([x, y]: Point, angle: number, length: number): Point => [
	x + length * Math.cos((angle * Math.PI) / 180),
	y + length * Math.sin((angle * Math.PI) / 180)
];
/** The same left and right of the middle of the field. */
export const both = (draw: (side: 1 | -1) => string): string => draw(1) + draw(-1);

/** Through all points without a corner (Catmull and Rom), as a list of so many points for each stretch. */
function smooth(points: readonly Point[], steps: number): Point[] {
	const p = (i: number) => points[Math.max(0, Math.min(points.length - 1, i))]!;
	const along = (a: number, b: number, c: number, d: number, t: number) =>
		0.5 * (2 * b + (c - a) * t + (2 * a - 5 * b + 4 * c - d) * t ** 2 + (3 * b - a - 3 * c + d) * t ** 3);
	const found: Point[] = [];
	for (let i = 0; i + 1 < points.length; i++)
		for (let s = 0; s < steps; s++) {
			const [a, b, c, d] = [p(i - 1), p(i), p(i + 1), p(i + 2)];
			found.push([along(a[0], b[0], c[0], d[0], s / steps), along(a[1], b[1], c[1], d[1], s / steps)]);
		}
	return [...found, points.at(-1)!];
}
/** A bent line through all points. */
export const through = (...points: Point[]): string => line(...smooth(points, 6));

/** A body along a middle line: half its width is given at places spread evenly from its front to its end. */
export interface Body {
	outline: string;
	/** A place: 0 front to 1 end, on one side, so far outside of the edge. */
	edge(t: number, side: 1 | -1, outside?: number): Point;
	/** A place on the middle line. */
	middle(t: number): Point;
	/** Lines across, evenly spread. */
	rings(from: number, to: number, count: number): string;
	half(t: number): number;
}
export function body(middle: readonly Point[], halves: readonly number[]): Body {
	const line_ = smooth(middle, 12);
	const last = line_.length - 1;
	const place = (t: number) => {
		const i = Math.min(last - 1, Math.floor(t * last));
		const f = t * last - i;
		const [a, b] = [line_[i]!, line_[i + 1]!];
		const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
		const length = Math.hypot(dx, dy) || 1;
		return { x: a[0] + f * dx, y: a[1] + f * dy, across: [-dy / length, dx / length] as const };
	};
	const half = (t: number) => {
		const i = Math.min(halves.length - 2, Math.floor(t * (halves.length - 1)));
		const f = t * (halves.length - 1) - i;
		const eased = f * f * (3 - 2 * f);
		return halves[i]! + eased * (halves[i + 1]! - halves[i]!);
	};
	const edge = (t: number, side: 1 | -1, outside = 0): Point => {
		const { x, y, across } = place(t);
		const out = side * (half(t) + outside);
		return [x - out * across[0], y - out * across[1]];
	};
	const steps = Array.from({ length: 41 }, (_, i) => i / 40);
	return {
		outline: shape(...steps.map((t) => edge(t, 1)), ...steps.toReversed().map((t) => edge(t, -1))),
		edge,
		middle: (t) => [place(t).x, place(t).y],
		rings: (from, to, count) =>
			spread(from, to, count)
				.map((t) => line(edge(t, 1), edge(t, -1)))
				.join(''),
		half
	};
}
/** A body seen from above, its head up. */
export const upright = (top: number, length: number, halves: readonly number[]): Body =>
	body(
		[
			[50, top],
			[50, top + length / 2],
			[50, top + length]
		],
		halves
	);

export const spread = (from: number, to: number, count: number): number[] =>
	Array.from({ length: count }, (_, i) => (count === 1 ? from : from + ((to - from) * i) / (count - 1)));

/** A pair of legs: where, how long, and by how much it points backwards (degrees; forwards below 0). */
export interface LegPair {
	t: number;
	reach: number;
	back: number;
	/** How much the shin is bent on. */
	bend?: number;
}
/** Legs to both sides, each of thigh, shin and foot, the thigh thickest. */
export function legs(of: Body, pairs: readonly LegPair[]): Stroke[] {
	const joints = ({ t, reach, back, bend = 35 }: LegPair, side: 1 | -1): Point[] => {
		const turn = back < 0 ? -bend : bend;
		const to = (angle: number) => (side === 1 ? angle : 180 - angle);
		const hip = of.edge(t, side, -0.5);
		const knee = go(hip, to(back), 0.42 * reach);
		const ankle = go(knee, to(back + turn), 0.38 * reach);
		return [hip, knee, ankle, go(ankle, to(back + 0.7 * turn), 0.2 * reach)];
	};
	const all = pairs.flatMap((pair) => [joints(pair, 1), joints(pair, -1)]);
	return [outline(...all.map((j) => line(j[0]!, j[1]!))), inner(...all.map((j) => line(j[1]!, j[2]!, j[3]!)))];
}
/** Short legs of a grub that lies on its side: hanging from its lower edge. */
export const hanging = (of: Body, ts: readonly number[], length: number, back = -15): Stroke =>
	outline(
		...ts.map((t) => {
			const hip = of.edge(t, -1, -0.5);
			const knee = go(hip, 90 - back, length / 2);
			return line(hip, knee, go(knee, 90 - back + 35, length / 2));
		})
	);
/** Feelers, or tails: a bent line to each side. */
export const whiskers = (from: readonly [Point, Point], angle: number, length: number, bow = 0): string =>
	both((side) => {
		const start = side === 1 ? from[0] : from[1];
		const a = side === 1 ? angle : 180 - angle;
		const end = go(start, a, length);
		return arc(start, go(go(start, a, length / 2), a + 90 * side, bow), end);
	});
/** A head from above: a rounded form with two eyes. */
export function head(top: number, halfWidth: number, length: number, eye = 1.4): Stroke[] {
	return [
		outline(upright(top, length, [0.55 * halfWidth, halfWidth, 0.8 * halfWidth]).outline),
		filled(both((s) => oval([50 + s * 0.75 * halfWidth, top + 0.5 * length], eye)))
	];
}
export const dots = (points: readonly Point[], r = 0.9): string => points.map((p) => oval(p, r)).join('');
