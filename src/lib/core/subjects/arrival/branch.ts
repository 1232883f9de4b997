import { z } from 'zod';
import { depth_m, Instant, leaf, measure, SheetId, Text, ticks, velocity_m_s, Word } from '../../leaf';

export const accessWays = ['wade', 'bank', 'pole', 'bridge', 'syringe', 'leave'] as const;
export type AccessWay = (typeof accessWays)[number];

/** Reasons of their own for staying out, whatever the depth and the speed. */
export const dangers = [
	'high-water',
	'ice',
	'storm',
	'sewage',
	'slippery',
	'soft-silt',
	'animals',
	'no-leave',
	'alone'
] as const;
export type Danger = (typeof dangers)[number];

/** Where the phone was. `isSimulated`: from the stand-in of a phone that has no position. */
export const Position = z.strictObject({
	latitude: measure('latitude', -90, 90, '°'),
	longitude: measure('longitude', -180, 180, '°'),
	accuracy_m: measure('accuracy', 0, 100_000, 'm'),
	isSimulated: z.boolean()
});
export type Position = z.infer<typeof Position>;

export const arrival = z
	.object({
		crew: z.record(SheetId, z.object({ initials: leaf(Word.max(6, 'initials: at most 6 letters')) })).optional(),
		position: leaf(Position),
		/** How the place was told to be the right one. */
		confirmedBy: leaf(
			z.enum(['position', 'photo-point', 'landmarks'], { error: 'by position, photo-point or landmarks' })
		),
		depth_m: leaf(depth_m),
		velocity_m_s: leaf(velocity_m_s),
		access: leaf(z.enum(accessWays, { error: accessWays.join(', ') })),
		dangers: ticks(dangers),
		reason: leaf(Text),
		/** Who knows that they are out, and when that person starts to ask. */
		waiting: z.object({ who: leaf(Word), backAt: leaf(Instant) }).optional()
	})
	.optional();

/** Who had the visit, and to whom it was given over. */
export const handovers = z
	.record(SheetId, z.object({ to: leaf(Word), at: leaf(Instant), note: leaf(Text) }))
	.optional();
