/*
 * The catchment as a schematic: the main stream runs down the page, tributaries stand beside it and bend in where they
 * join, wider with each that joins. Sites are beads in their order along the stream; labels are placed where they touch
 * no line and no other label.
 */

export interface StreamIn {
	id: string;
	name: string;
	length_km: number;
	joins: { streamId: string; at_km: number } | null;
}

export interface SiteIn {
	id: string;
	streamId: string;
	river_km: number;
	/** The two lines of the label. */
	name: string;
	say: string;
}

/** done: sampled in this period. due: wants sampling. late: overdue. here: someone is there now. new: never sampled. */
export type BeadState = 'done' | 'due' | 'late' | 'here' | 'new';

export interface Box {
	x: number;
	y: number;
	w: number;
	h: number;
}

export interface Bead {
	id: string;
	x: number;
	y: number;
	label: { x: number; y: number; anchor: 'start' | 'end' };
	/** The second line, as much of it as there is room for. */
	say: string;
	box: Box;
}

export interface ThreadLayout {
	width: number;
	height: number;
	lines: { path: string; width: number }[];
	beads: Bead[];
	names: { text: string; x: number; y: number; anchor: 'start' | 'middle' | 'end' }[];
}

interface Point {
	x: number;
	y: number;
}

const ROW = 62; // between two beads on one stream
const BEND = 58; // how far above its mouth a tributary leaves its own column
const TOP = 34;
const EDGE = 48; // room for half a stream's name at either side
const OUTER = 0.5; // a tributary's own tributaries stand closer
const BEAD = 11;
const LINE_HEIGHT = 16;
const BOLD_CHAR = 7.8;
const PLAIN_CHAR = 6.7;

interface Placed {
	stream: StreamIn;
	x: number;
	mouth: Point;
	headY: number;
	children: Placed[];
	sites: SiteIn[];
	/** How many streams' water it carries at its foot. */
	order: number;
}

/** Lays a network out in a width; the height follows. Streams that join nothing stand side by side. */
export function layOutThread(streams: readonly StreamIn[], sites: readonly SiteIn[], width: number): ThreadLayout {
	const mains = streams.filter((s) => s.joins === null);
	const share = width / Math.max(1, mains.length);
	const placed = mains.map((main, i) => {
		const left = breadth(main, -1, streams);
		const right = breadth(main, 1, streams);
		const reach = (share - 2 * EDGE) / Math.max(1, left + right);
		return placeStream(main, share * i + EDGE + left * reach, TOP, 0, 1, { streams, sites, reach });
	});
	const all = placed.flatMap(flatten);
	const lines = all.flatMap(linesOf);
	const beads = labelled(all.flatMap(beadsOf), all, width);
	const height = Math.max(...all.map((p) => p.mouth.y), 120) + 30;
	const names = all.map((p) => ({ text: p.stream.name, x: p.x, y: p.headY - 9, anchor: 'middle' as const }));
	return { width, height, lines: lines.map(({ path, width: w }) => ({ path, width: w })), beads, names };
}

/** Tributaries go left and right by turns, from the head down. */
const tributariesOf = (stream: StreamIn, streams: readonly StreamIn[]) =>
	streams.filter((s) => s.joins?.streamId === stream.id).sort((a, b) => b.joins!.at_km - a.joins!.at_km);

/** How many columns a stream needs on one side. */
function breadth(stream: StreamIn, side: 1 | -1, streams: readonly StreamIn[]): number {
	const onSide = tributariesOf(stream, streams).filter((_, i) => (i % 2 === 0 ? -1 : 1) === side);
	const deeper = (s: StreamIn): number => Math.max(0, ...tributariesOf(s, streams).map((t) => OUTER + deeper(t)));
	return Math.max(0, ...onSide.map((t) => 1 + deeper(t)));
}

interface Ground {
	streams: readonly StreamIn[];
	sites: readonly SiteIn[];
	/** How far a tributary's column stands from the stream it joins. */
	reach: number;
}

/** Places what lies along a stream from its head down; tributaries push what follows down until they have room. */
function placeStream(
	stream: StreamIn,
	x: number,
	headY: number,
	depth: number,
	outward: 1 | -1,
	ground: Ground
): Placed {
	const own = ground.sites.filter((s) => s.streamId === stream.id);
	const joining = tributariesOf(stream, ground.streams);
	const along = [
		...own.map((site) => ({ km: site.river_km, site })),
		...joining.map((tributary) => ({ km: tributary.joins!.at_km, tributary }))
	].sort((a, b) => b.km - a.km);
	let y = headY + 14;
	let side: 1 | -1 = depth === 0 ? -1 : outward;
	const free = { '-1': headY, '1': headY };
	const children: Placed[] = [];
	const spots = new Map<string, number>();
	for (const item of along) {
		if ('site' in item) {
			y += spots.size || children.length ? ROW * 0.82 : 26;
			spots.set(item.site.id, y);
			continue;
		}
		const childX = x + side * ground.reach * (depth === 0 ? 1 : OUTER);
		const top = Math.max(headY, free[`${side}`]);
		const child = placeStream(item.tributary, childX, top, depth + 1, side, ground);
		const mouthY = Math.max(y + ROW * 0.5, child.mouth.y + BEND);
		moveDown(child, mouthY - BEND - child.mouth.y);
		child.mouth = { x, y: mouthY };
		free[`${side}`] = mouthY + 26;
		children.push(child);
		y = mouthY;
		if (depth === 0) side = side === 1 ? -1 : 1;
	}
	const placed: Placed = {
		stream,
		x,
		mouth: { x, y: y + (depth === 0 ? 52 : 34) },
		headY,
		children,
		sites: own,
		order: 1 + children.reduce((n, c) => n + c.order, 0)
	};
	beadY.set(placed, spots);
	return placed;
}

/** Where each site of a placed stream lies, down the page. */
const beadY = new WeakMap<Placed, Map<string, number>>();

/** A tributary whose mouth must lie lower moves down whole, head and beads with it. */
function moveDown(placed: Placed, by: number): void {
	placed.headY += by;
	placed.mouth = { ...placed.mouth, y: placed.mouth.y + by };
	const spots = beadY.get(placed);
	if (spots) for (const [id, y] of spots) spots.set(id, y + by);
	for (const child of placed.children) moveDown(child, by);
}

const flatten = (p: Placed): Placed[] => [p, ...p.children.flatMap(flatten)];

const widthOf = (order: number) => 2.5 + 1.4 * Math.sqrt(order) + 0.35 * order;

/** A stream's own line down to its mouth, in pieces that grow wider below each tributary. */
function linesOf(p: Placed): { path: string; width: number; points: Point[] }[] {
	const isTributary = p.mouth.x !== p.x;
	const footY = isTributary ? p.mouth.y - BEND : p.mouth.y;
	const joins = [...p.children].sort((a, b) => a.mouth.y - b.mouth.y);
	const pieces: { path: string; width: number; points: Point[] }[] = [];
	let from = p.headY;
	let order = 1;
	for (const to of [...joins.map((c) => c.mouth.y), footY]) {
		pieces.push({
			path: `M${p.x} ${from}V${to}`,
			width: widthOf(order),
			points: straight({ x: p.x, y: from }, { x: p.x, y: to })
		});
		order += joins[pieces.length - 1]?.order ?? 0;
		from = to;
	}
	if (isTributary) {
		const bend = [
			{ x: p.x, y: footY },
			{ x: p.x, y: footY + BEND * 0.75 },
			{ x: p.x + (p.mouth.x - p.x) * 0.45, y: p.mouth.y - 8 },
			p.mouth
		] as const;
		pieces.push({
			path: `M${bend[0].x} ${bend[0].y}C${bend[1].x} ${bend[1].y} ${bend[2].x} ${bend[2].y} ${bend[3].x} ${bend[3].y}`,
			width: widthOf(p.order),
			points: curve(bend)
		});
	}
	return pieces;
}

const straight = (a: Point, b: Point): Point[] => {
	const n = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / 5));
	return Array.from({ length: n + 1 }, (_, i) => ({ x: a.x + ((b.x - a.x) * i) / n, y: a.y + ((b.y - a.y) * i) / n }));
};

const curve = ([p0, p1, p2, p3]: readonly [Point, Point, Point, Point]): Point[] =>
	Array.from({ length: 41 }, (_, i) => {
		const t = i / 40;
		const mix = (a: number, b: number, c: number, d: number) =>
			(1 - t) ** 3 * a + 3 * t * (1 - t) ** 2 * b + 3 * t ** 2 * (1 - t) * c + t ** 3 * d;
		return { x: mix(p0.x, p1.x, p2.x, p3.x), y: mix(p0.y, p1.y, p2.y, p3.y) };
	});

const beadsOf = (p: Placed): { site: SiteIn; x: number; y: number }[] =>
	p.sites.map((site) => ({ site, x: p.x, y: beadY.get(p)!.get(site.id)! }));

/**
 * Tries right and left of each bead, a little higher and lower, and takes the first place that touches nothing. Where
 * there is none, the second line is cut to the widest room there is: nothing is printed over a stream or another label.
 */
function labelled(beads: { site: SiteIn; x: number; y: number }[], all: Placed[], width: number): Bead[] {
	const nearby = byBand(all.flatMap(linesOf).flatMap((l) => l.points));
	const taken: Box[] = [
		...beads.map((b) => ({ x: b.x - BEAD, y: b.y - BEAD, w: 2 * BEAD, h: 2 * BEAD })),
		...all.map((p) => ({ x: p.x - p.stream.name.length * 3.6, y: p.headY - 24, w: p.stream.name.length * 7.2, h: 18 }))
	];
	return [...beads]
		.sort((a, b) => a.y - b.y)
		.map(({ site, x, y }) => {
			const whole = Math.max(site.name.length * BOLD_CHAR, site.say.length * PLAIN_CHAR);
			const touchable = [...taken, ...nearby(y).map((p) => ({ x: p.x - GAP, y: p.y - GAP, w: 2 * GAP, h: 2 * GAP }))];
			const options = [0, -10, 10, -20, 20, -30, 30].flatMap((dy) =>
				(['start', 'end'] as const).map((anchor) => {
					const room = Math.min(whole, roomFor(anchor, x, y + dy, touchable, width));
					return { anchor, dy, room, cost: (whole - room) * 4 + Math.abs(dy) * 0.2 };
				})
			);
			const best = options.reduce((a, b) => (b.cost < a.cost ? b : a));
			// a site is always named, whatever lies there
			const w = Math.max(best.room, site.name.length * BOLD_CHAR);
			const at = best.anchor === 'start' ? x + OFF_BEAD : x - OFF_BEAD;
			const box = { x: best.anchor === 'start' ? at : at - w, y: y + best.dy - LINE_HEIGHT, w, h: 2 * LINE_HEIGHT };
			taken.push(box);
			return { id: site.id, x, y, label: { x: at, y: y + best.dy, anchor: best.anchor }, say: cut(site.say, w), box };
		});
}

const OFF_BEAD = 18;
const GAP = 3;

/** How far a label may reach from a bead before it touches something, or the edge. */
function roomFor(anchor: 'start' | 'end', x: number, y: number, things: readonly Box[], width: number): number {
	const across = { x: 0, y: y - LINE_HEIGHT, w: width, h: 2 * LINE_HEIGHT };
	const beside = things.filter((t) => overlaps(t, across));
	if (anchor === 'start') {
		const from = x + OFF_BEAD;
		return Math.min(width, ...beside.filter((t) => t.x + t.w > from).map((t) => t.x)) - from;
	}
	const to = x - OFF_BEAD;
	return to - Math.max(0, ...beside.filter((t) => t.x < to).map((t) => t.x + t.w));
}

const cut = (say: string, w: number): string =>
	say.length * PLAIN_CHAR <= w ? say : `${say.slice(0, Math.max(0, Math.floor(w / PLAIN_CHAR) - 1)).trimEnd()}…`;

const BAND = 64;

/** What of the streams' lines may lie under a label of a bead at y: three bands of the page instead of all of it. */
function byBand(points: readonly Point[]): (y: number) => Point[] {
	const bands = new Map<number, Point[]>();
	for (const point of points) {
		const band = Math.floor(point.y / BAND);
		const row = bands.get(band);
		if (row) row.push(point);
		else bands.set(band, [point]);
	}
	return (y) => [-1, 0, 1].flatMap((d) => bands.get(Math.floor(y / BAND) + d) ?? []);
}

export const overlaps = (a: Box, b: Box): boolean =>
	a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.h && b.y < a.y + a.h;
