import type { GaugingView } from '$lib/core/subjects/gauging/view';
import { convert, writeFixed, writeNumber } from '$lib/core/quantity';

/*
 * The cross-section as lines and areas of a drawing: metres in, pixels out, labels in the tape's unit. Distances and
 * depths have each their own scale; how much deeper than wide it is drawn is told, so that nobody reads a steep bank
 * into it.
 */

export interface Strip {
	id: string;
	/** The panel's outline, from the water surface down to the bed and back. */
	outline: string;
	x: number;
	bedY: number;
	/** The depth as it is written beside the vertical. */
	depth: string;
	velocity_m_s: number | null;
	/** 0 to 1 of the fastest; null where the velocity is still to come. */
	speed: number | null;
	/** Height of the bar above the water. */
	bar: number;
	labelled: boolean;
}

export interface SectionDrawing {
	strips: Strip[];
	waterY: number;
	left: number;
	right: number;
	/** The ground: banks and bed. */
	ground: string;
	exaggeration: number;
	/** Marks along the tape. */
	ticks: { x: number; text: string }[];
	X: (distance_m: number) => number;
	/** Back from the drawing to the section, metres. */
	distanceAt: (x: number) => number;
	depthAt: (y: number) => number;
}

const LABEL_WIDTH = 34;
const BAR_SPACE = 46;

export function drawSection(
	view: GaugingView,
	width: number,
	height: number,
	tape: 'm' | 'ft' = 'm'
): SectionDrawing | null {
	const placed = view.verticals.filter(
		(v): v is typeof v & { distance_m: number } => v.distance_m !== null && v.depth_m !== null
	);
	if (placed.length === 0) return null;
	const step = placed.length > 1 ? (placed.at(-1)!.distance_m - placed[0]!.distance_m) / (placed.length - 1) : 0.5;
	const start = view.start ?? { distance_m: placed[0]!.distance_m - step, depth_m: 0 };
	const end = view.end ?? { distance_m: placed.at(-1)!.distance_m + step, depth_m: 0 };
	const points = [start, ...placed.map((v) => ({ distance_m: v.distance_m, depth_m: v.depth_m! })), end].sort(
		(a, b) => a.distance_m - b.distance_m
	);
	const from = points[0]!.distance_m;
	const to = points.at(-1)!.distance_m;
	const deepest = Math.max(0.1, ...points.map((p) => p.depth_m));
	const left = 14;
	const right = width - 14;
	const waterY = BAR_SPACE + 8;
	const perMetreX = (right - left) / Math.max(0.1, to - from);
	const perMetreY = (height - waterY - 40) / deepest;
	const X = (m: number) => left + (m - from) * perMetreX;
	const Y = (depth: number) => waterY + depth * perMetreY;

	const fastest = Math.max(0.01, ...placed.map((v) => Math.abs(v.velocity_m_s ?? 0)));
	const largest = Math.max(1, ...placed.map((v) => v.share_percent ?? 0));
	let labelledTo = -Infinity;
	const strips = placed.map((v, i): Strip => {
		const at = points.findIndex((p, k) => k > 0 && p.distance_m === v.distance_m && k >= i);
		const here = points[at] ?? points[i + 1]!;
		const before = points[at - 1] ?? here;
		const after = points[at + 1] ?? here;
		const a = midway(before, here);
		const b = midway(here, after);
		const outline =
			`M${X(a.distance_m)} ${waterY}L${X(a.distance_m)} ${Y(a.depth_m)}L${X(here.distance_m)} ` +
			`${Y(here.depth_m)}L${X(b.distance_m)} ${Y(b.depth_m)}L${X(b.distance_m)} ${waterY}Z`;
		const labelled = X(v.distance_m) - labelledTo >= LABEL_WIDTH; // each depth that has room beside the one before
		if (labelled) labelledTo = X(v.distance_m);
		return {
			id: v.id,
			outline,
			x: X(v.distance_m),
			bedY: Y(v.depth_m!),
			depth: writeFixed(convert(v.depth_m!, 'm', tape), tape === 'm' ? 2 : 1),
			velocity_m_s: v.velocity_m_s,
			speed: v.velocity_m_s === null ? null : Number((Math.abs(v.velocity_m_s) / fastest).toFixed(2)),
			bar: Math.round(Math.max(0, ((v.share_percent ?? 0) / largest) * BAR_SPACE)),
			labelled
		};
	});
	const bed = points.map((p) => `L${X(p.distance_m)} ${Y(p.depth_m)}`).join('');
	const ground = `M0 ${waterY - 14}L${X(from)} ${waterY}${bed}L${X(to)} ${waterY}L${width} ${waterY - 14}V${height}H0Z`;
	return {
		strips,
		waterY,
		left,
		right,
		ground,
		exaggeration: perMetreY / perMetreX,
		ticks: tapeMarks(convert(from, 'm', tape), convert(to, 'm', tape), (mark) => X(convert(mark, tape, 'm')), width),
		X,
		distanceAt: (x) => from + (x - left) / perMetreX,
		depthAt: (y) => Math.max(0, (y - waterY) / perMetreY)
	};
}

const midway = (a: { distance_m: number; depth_m: number }, b: { distance_m: number; depth_m: number }) => ({
	distance_m: (a.distance_m + b.distance_m) / 2,
	depth_m: (a.depth_m + b.depth_m) / 2
});

function tapeMarks(from: number, to: number, X: (mark: number) => number, width: number): SectionDrawing['ticks'] {
	const most = Math.max(2, Math.floor(width / 70));
	const step = [0.2, 0.5, 1, 2, 5, 10, 20, 50, 100].find((s) => (to - from) / s <= most) ?? 200;
	const marks: SectionDrawing['ticks'] = [];
	for (let mark = Math.ceil(from / step) * step; mark <= to + 1e-9; mark += step)
		marks.push({ x: X(mark), text: writeNumber(mark) });
	return marks;
}
