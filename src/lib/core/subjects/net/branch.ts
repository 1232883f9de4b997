import { z } from 'zod';
import { Instant, leaf, SheetId, Word } from '../../leaf';

/** A sample with a net: how much was worked, and since when. Places and metres are taps, and add up. */
export const nets = z
	.record(
		SheetId,
		z.object({
			begunAt: leaf(Instant),
			endedAt: leaf(Instant),
			places: leaf(z.number().int(), 'counter'),
			metres: z.record(SheetId, leaf(z.number().int(), 'counter')).optional(),
			label: leaf(Word)
		})
	)
	.optional();
