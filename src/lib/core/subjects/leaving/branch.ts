import { z } from 'zod';
import { Instant, leaf, SheetId, Word, YesNo } from '../../leaf';

/** Nets, boots and the like that came out of this water wet. */
export const gear = z
	.record(SheetId, z.object({ what: leaf(Word), wetAt: leaf(Instant), disinfectedAt: leaf(Instant) }))
	.optional();

export const leaving = z
	.object({
		at: leaf(Instant),
		checked: leaf(YesNo),
		/** What was looked at once more: lids, labels, ice, the bank. */
		looked: z.record(SheetId, leaf(YesNo)).optional()
	})
	.optional();
