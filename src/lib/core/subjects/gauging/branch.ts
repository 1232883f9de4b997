import { z } from 'zod';
import { FlumeRating } from '../../discharge';
import {
	asTyped,
	count,
	depth_m,
	leaf,
	measure,
	SheetId,
	Text,
	time_s,
	velocity_m_s,
	Word,
	YesNo,
	type LengthUnit
} from '../../leaf';

const tape_m = asTyped<LengthUnit>('distance', 'm', -10, 500);
const area_m2 = measure('area', 0, 1000, 'm²');
const volume_L = measure('volume', 0, 500, 'L');
const fraction = measure('fraction', 0, 1, '');

export const gaugingMethods = ['verticals', 'sweep', 'float', 'flume', 'bucket'] as const;
export type GaugingMethod = (typeof gaugingMethods)[number];
/** Where in the depth of a vertical its velocity is read. */
export const velocityPointMethods = ['one-point', 'two-point', 'three-point', 'raise'] as const;
export type VelocityPointMethod = (typeof velocityPointMethods)[number];
export const arithmetics = ['mid-section', 'mean-section', 'mean-depth'] as const;
export type Arithmetic = (typeof arithmetics)[number];

const vertical = z.object({
	distance_m: leaf(tape_m),
	depth_m: leaf(depth_m),
	/**
	 * The mean in the vertical, read while the meter was slowly raised; in older logbooks also what was read at 0.6
	 * of the depth.
	 */
	velocity_m_s: leaf(velocity_m_s),
	velocity02_m_s: leaf(velocity_m_s),
	velocity06_m_s: leaf(velocity_m_s),
	velocity08_m_s: leaf(velocity_m_s),
	points: leaf(count.min(1).max(5))
});

export const gaugings = z
	.record(
		SheetId,
		z.object({
			instrument: leaf(Word),
			method: leaf(z.enum(gaugingMethods, { error: gaugingMethods.join(', ') })),
			school: leaf(z.enum(velocityPointMethods, { error: velocityPointMethods.join(', ') })),
			arithmetic: leaf(z.enum(arithmetics, { error: arithmetics.join(', ') })),
			/** Why it was done another way than the card asks. */
			because: leaf(Text),
			wettedWidth_m: leaf(tape_m),
			bankfullWidth_m: leaf(tape_m),
			/** How far the tape hung through in the middle. */
			tapeSag_m: leaf(depth_m),
			sweepVelocity_m_s: leaf(velocity_m_s),
			floats: z
				.object({
					length_m: leaf(asTyped<LengthUnit>('length', 'm', 0.1, 500)),
					coefficient: leaf(fraction),
					/** Mean depth of the reach, on which the coefficient depends. */
					depth_m: leaf(depth_m),
					averaging: leaf(z.enum(['times', 'velocities'], { error: 'times or velocities' })),
					runs: z.record(SheetId, z.object({ time_s: leaf(time_s) })).optional(),
					areas: z
						.record(
							SheetId,
							z.object({
								area_m2: leaf(area_m2),
								/** Instead of the area: the width of the water, and depths at equal steps across it. */
								width_m: leaf(tape_m),
								depths: z.record(SheetId, z.object({ depth_m: leaf(depth_m) })).optional()
							})
						)
						.optional()
				})
				.optional(),
			flume: z
				.object({
					/**
					 * The rating that this gauging is worked out by, whole, so that a later change of the shelf does
					 * not change it.
					 */
					rating: leaf(FlumeRating),
					head_m: leaf(depth_m),
					tailDepth_m: leaf(depth_m),
					isLevelAlong: leaf(YesNo),
					isLevelAcross: leaf(YesNo),
					/** Packed in so that no water goes round or under it. */
					isTight: leaf(YesNo)
				})
				.optional(),
			fills: z.record(SheetId, z.object({ volume_L: leaf(volume_L), time_s: leaf(time_s) })).optional(),
			edges: z
				.object({
					startDistance_m: leaf(tape_m),
					endDistance_m: leaf(tape_m),
					startDepth_m: leaf(depth_m),
					endDepth_m: leaf(depth_m),
					startVelocityFraction: leaf(fraction),
					endVelocityFraction: leaf(fraction)
				})
				.optional(),
			verticals: z.record(SheetId, vertical).optional()
		})
	)
	.optional();
