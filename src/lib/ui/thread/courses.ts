import { distance_km, type Position } from '$lib/core/schedule';

export interface PlacedStream {
	id: string;
	name: string;
	joins: { streamId: string; at_km: number } | null;
}
export interface PlacedSite extends Position {
	id: string;
	streamId: string;
	river_km: number;
}
export interface Course {
	name: string;
	points: Position[];
}

/**
 * The courses of streams as far as they are known: from site to site downstream, and on to where the stream joins
 * another, which lies between the sites of that one by their river kilometres. A stream without a site has no course.
 */
export function coursesOf(streams: readonly PlacedStream[], sites: readonly PlacedSite[]): Course[] {
	const along = new Map(
		streams.map((s) => [s.id, sites.filter((x) => x.streamId === s.id).sort((a, b) => b.river_km - a.river_km)])
	);
	return streams.flatMap(({ id, name, joins }) => {
		const own = along.get(id)!;
		const mouth = joins && placeAt(along.get(joins.streamId) ?? [], joins.at_km);
		const points = [...own, ...(mouth ? [mouth] : [])].map(({ latitude, longitude }) => ({ latitude, longitude }));
		return own.length > 0 && points.length > 1 ? [{ name, points }] : [];
	});
}

/** Where a stream is at so many km above its mouth, between its sites; null where it lies beyond all of them. */
function placeAt(sites: readonly PlacedSite[], at_km: number): Position | null {
	const below = sites.findIndex((s) => s.river_km <= at_km);
	const [from, to] = [sites[below - 1], sites[below]];
	if (!to) return null;
	if (to.river_km === at_km || !from) return to.river_km === at_km ? to : null;
	const share = (from.river_km - at_km) / (from.river_km - to.river_km);
	return {
		latitude: from.latitude + share * (to.latitude - from.latitude),
		longitude: from.longitude + share * (to.longitude - from.longitude)
	};
}

export interface Extent {
	west: number;
	east: number;
	south: number;
	north: number;
	/** Width over height on the ground. */
	ratio: number;
	width_km: number;
}

const LEAST_degrees = 0.01;
const MARGIN = 0.12;
const [LEAST_RATIO, MOST_RATIO] = [0.8, 2.6];

/** The stretch of ground that holds all positions with a margin, widened to a shape that a screen has. */
export function extentOf(positions: readonly Position[]): Extent {
	const range = (values: number[]) => {
		const [low, high] = [Math.min(...values), Math.max(...values)];
		return { middle: (low + high) / 2, span: Math.max(high - low, LEAST_degrees) * (1 + 2 * MARGIN) };
	};
	const latitude = range(positions.map((p) => p.latitude));
	const longitude = range(positions.map((p) => p.longitude));
	const narrowing = Math.cos((latitude.middle * Math.PI) / 180);
	const ratio = (longitude.span * narrowing) / latitude.span;
	const wanted = Math.min(MOST_RATIO, Math.max(LEAST_RATIO, ratio));
	if (ratio < wanted) longitude.span *= wanted / ratio;
	else latitude.span *= ratio / wanted;
	const [west, east] = [longitude.middle - longitude.span / 2, longitude.middle + longitude.span / 2];
	return {
		west,
		east,
		south: latitude.middle - latitude.span / 2,
		north: latitude.middle + latitude.span / 2,
		ratio: wanted,
		width_km: distance_km(
			{ latitude: latitude.middle, longitude: west },
			{ latitude: latitude.middle, longitude: east }
		)
	};
}
