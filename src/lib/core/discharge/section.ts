import { atLeast, finite, inRange, orDefault } from '../quantity';

/** One place across the stream where depth and mean velocity were measured; distance from the tape's zero. */
export interface Vertical {
	distance_m: number;
	depth_m: number;
	/** Mean in the vertical; negative where the water runs back. */
	velocity_m_s: number;
}

/** Where the water meets its two banks. A steep bank has a depth, and passes a fraction of its neighbour's velocity. */
export interface Edges {
	startDistance_m: number;
	endDistance_m: number;
	startDepth_m?: number | null;
	endDepth_m?: number | null;
	startVelocityFraction?: number | null;
	endVelocityFraction?: number | null;
}

export interface Section<V extends Vertical = Vertical> {
	edges: Edges;
	verticals: readonly V[];
}

/** Distances, depths and velocities from bank to bank: the start edge, the verticals in order, the end edge. */
export interface Stations {
	b: number[];
	d: number[];
	v: number[];
}

/**
 * The verticals in order of distance, checked. RangeError for none, two at one place, or one not between the edges.
 * ISO 748:2007, 8.2.
 */
export function orderedVerticals<V extends Vertical>({ edges, verticals }: Section<V>): V[] {
	const start = finite('startDistance_m', edges.startDistance_m);
	const end = finite('endDistance_m', edges.endDistance_m);
	if (start >= end) throw new RangeError(`the start edge must lie before the end edge: ${start} m, ${end} m`);
	if (verticals.length === 0) throw new RangeError('a section needs at least one vertical');
	for (const vertical of verticals) {
		finite('distance_m', vertical.distance_m);
		atLeast('depth_m', vertical.depth_m, 0);
		finite('velocity_m_s', vertical.velocity_m_s);
	}
	const ordered = [...verticals].sort((a, b) => a.distance_m - b.distance_m);
	for (const [i, { distance_m }] of ordered.entries()) {
		if (distance_m <= start || distance_m >= end)
			throw new RangeError(`a vertical must lie between the edges: ${distance_m} m`);
		if (distance_m === ordered[i + 1]?.distance_m) throw new RangeError(`two verticals at one place: ${distance_m} m`);
	}
	return ordered;
}

/**
 * The section as stations from edge to edge, an edge's velocity being its fraction of its neighbour's. ISO 748:2007,
 * 8.2.
 */
export function stations(section: Section): Stations {
	const { edges } = section;
	const verticals = orderedVerticals(section);
	const edge = (side: 'start' | 'end', neighbour: Vertical | undefined) => ({
		depth: atLeast(`${side}Depth_m`, orDefault(edges[`${side}Depth_m`], 0), 0),
		velocity:
			inRange(`${side}VelocityFraction`, orDefault(edges[`${side}VelocityFraction`], 0), 0, 1) *
			(neighbour?.velocity_m_s ?? 0)
	});
	const start = edge('start', verticals[0]);
	const end = edge('end', verticals.at(-1));
	return {
		b: [edges.startDistance_m, ...verticals.map((p) => p.distance_m), edges.endDistance_m],
		d: [start.depth, ...verticals.map((p) => p.depth_m), end.depth],
		v: [start.velocity, ...verticals.map((p) => p.velocity_m_s), end.velocity]
	};
}
