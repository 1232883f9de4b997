import { positive } from '../quantity';

/*
 * Mean velocity over surface velocity by mean depth of the reach: U.S. Bureau of Reclamation, Water Measurement
 * Manual (2001), table 13-1, its feet in metres. A rough bed under shallow water slows the whole far more than the
 * surface.
 */
const BY_DEPTH_m: readonly (readonly [depth_m: number, coefficient: number])[] = [
	[0.3048, 0.66],
	[0.6096, 0.68],
	[0.9144, 0.7],
	[1.2192, 0.72],
	[1.524, 0.74],
	[1.8288, 0.76],
	[2.7432, 0.77],
	[3.6576, 0.78],
	[4.572, 0.79],
	[6.096, 0.8]
];

/**
 * What a velocity at the surface is reduced by where nothing is known of the depth (ISO 748:2007, 7.1.5: 0.84 to
 * 0.90).
 */
export const SURFACE_COEFFICIENT = 0.85;

/** Two standard uncertainties of such a coefficient; the bed is not in the table. */
export const FLOAT_COEFFICIENT_GIVE = 0.1;

/**
 * By how much a float's surface velocity is reduced at this mean depth: between the table's depths on the line,
 * outside it as at its ends. U.S. Bureau of Reclamation (2001), table 13-1.
 */
export function floatCoefficient({ depth_m }: { depth_m: number }): number {
	const depth = positive('depth_m', depth_m);
	const after = BY_DEPTH_m.findIndex(([d]) => d >= depth);
	if (after === -1) return BY_DEPTH_m.at(-1)![1];
	if (after === 0) return BY_DEPTH_m[0]![1];
	const [[d0, c0], [d1, c1]] = [BY_DEPTH_m[after - 1]!, BY_DEPTH_m[after]!];
	return c0 + ((c1 - c0) * (depth - d0)) / (d1 - d0);
}
