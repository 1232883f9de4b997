import type { Way } from '../quantity';

export interface PointOfWay {
	at_ms: number;
	way: Way;
}

export interface WayChange {
	/** The first point that was found the new way. */
	at_ms: number;
	from: Way;
	to: Way;
}

/**
 * Where a series goes over from one way of finding its figures to another: a step there may come from the way, not
 * from the stream.
 * @param points in order of time
 */
export const wayChanges = (points: readonly PointOfWay[]): WayChange[] =>
	points.flatMap(({ at_ms, way }, i) => {
		const before = points[i - 1];
		return before && before.way !== way ? [{ at_ms, from: before.way, to: way }] : [];
	});

/** More upright lines than these hide the figures; where ways take turns, a line for each turn says nothing either. */
const MOST_DRAWN = 8;

/** The changes that a chart marks: all of them, or none where they are too many. */
export function changesDrawn(points: readonly PointOfWay[]): WayChange[] {
	const changes = wayChanges(points);
	return changes.length <= MOST_DRAWN ? changes : [];
}

/** How the points of a series were found, the most frequent way first. */
export function waysCounted(points: readonly PointOfWay[]): { way: Way; points: number }[] {
	const counts = new Map<Way, number>();
	for (const { way } of points) counts.set(way, (counts.get(way) ?? 0) + 1);
	return [...counts].map(([way, n]) => ({ way, points: n })).sort((a, b) => b.points - a.points);
}
