import { ABSOLUTE, type WadingRule } from '../../safety';

/** A wading limit as it is said: the water in which nobody wades. */
export function sayLimit(limit: WadingRule): string {
	return limit.siteDepth_m === undefined
		? sayCardLimit(limit)
		: `${sayCardLimit(limit)}, or here deeper than ${limit.siteDepth_m} m`;
}

function sayCardLimit(limit: WadingRule): string {
	switch (limit.school) {
		case 'depth-and-velocity':
			return `deeper than ${limit.depth_m} m, or faster than ${limit.velocity_m_s} m/s`;
		case 'depth-only':
			return `deeper than ${limit.depth_m} m, or faster than ${ABSOLUTE.velocity_m_s} m/s`;
		case 'product':
			return `depth × speed over ${Math.min(limit.product_m2_s, ABSOLUTE.product_m2_s)} m²/s, deeper than ${ABSOLUTE.depth_m} m, or faster than ${ABSOLUTE.velocity_m_s} m/s`;
	}
}
