import type { WadingRule } from '../../safety';

/** A wading limit as it is said. */
export function sayLimit(limit: WadingRule): string {
	return limit.siteDepth_m === undefined ? sayCardLimit(limit) : `${sayCardLimit(limit)}, or here deeper than ${limit.siteDepth_m} m`;
}

function sayCardLimit(limit: WadingRule): string {
	switch (limit.school) {
		case 'depth-and-velocity':
			return `deeper than ${limit.depth_m} m and faster than ${limit.velocity_m_s} m/s`;
		case 'depth-only':
			return `deeper than ${limit.depth_m} m`;
		case 'product':
			return `depth × speed over ${limit.product_m2_s} m²/s`;
	}
}
