import { z } from 'zod';

const positive = z.number({ error: 'a number is needed' }).positive('more than 0');

/** The law of a flume, discharge_m3_s = coefficient × head_m^exponent, and where it holds. */
export const FlumeLaw = z.strictObject({
	coefficient: positive,
	exponent: positive,
	/** Depth below over head from which on the water below holds the flow back. */
	submergenceLimit: z.number().positive().max(1),
	minimumHead_m: z.number().nonnegative(),
	maximumHead_m: positive
});
export type FlumeLaw = z.infer<typeof FlumeLaw>;

/** A flume that was rated: which one, its law, and who says so. A gauging keeps the rating it was worked out by. */
export const FlumeRating = z
	.strictObject({
		...FlumeLaw.shape,
		name: z.string().min(1).max(80),
		throat_m: positive.max(10),
		source: z.string().max(200)
	})
	.refine((r) => r.minimumHead_m < r.maximumHead_m, {
		error: 'the rating holds over no head at all',
		path: ['maximumHead_m']
	});
export type FlumeRating = z.infer<typeof FlumeRating>;

/** Where nobody knows the flume's own: the tail is judged against the head by this. */
export const USUAL_SUBMERGENCE = 0.5;
