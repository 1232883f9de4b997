import { atLeast, finite } from '../quantity';
import { total } from './velocity-area';

/**
 * Area (trapezoids), width, depths, wetted perimeter and hydraulic radius of a surveyed section, in m and m².
 * The perimeter counts the vertical walls at both ends. RangeError for fewer than two stations or two at one place.
 * ISO 748:2007, 8.2.
 */
export function sectionArea({ stations }: { stations: readonly { distance_m: number; depth_m: number }[] }) {
	if (stations.length < 2) throw new RangeError(`a section needs two stations or more: ${stations.length}`);
	const along = stations
		.map((s) => ({ x: finite('distance_m', s.distance_m), d: atLeast('depth_m', s.depth_m, 0) }))
		.sort((a, b) => a.x - b.x);
	const gaps = along.slice(1).map((to, i) => {
		const from = along[i]!;
		if (to.x === from.x) throw new RangeError(`two stations at one place: ${to.x} m`);
		return { dx: to.x - from.x, dd: to.d - from.d, depths: from.d + to.d };
	});
	const first = along[0]!;
	const last = along.at(-1)!;
	const area_m2 = total(gaps.map((g) => (g.dx * g.depths) / 2));
	const width_m = last.x - first.x;
	const wettedPerimeter_m = total(gaps.map((g) => Math.hypot(g.dx, g.dd))) + first.d + last.d;
	return {
		area_m2,
		width_m,
		meanDepth_m: area_m2 / width_m,
		maxDepth_m: Math.max(...along.map((s) => s.d)),
		wettedPerimeter_m,
		hydraulicRadius_m: area_m2 / wettedPerimeter_m
	};
}
