import { z } from 'zod';
import { Instant, leaf, SheetId, Text, Word } from '../../leaf';

/** What a visit is: said once, by the entry that opens it. */
export const Opening = z.strictObject({
	siteId: z.uuid({ error: 'the site is named by its id' }).toLowerCase(),
	cardVersionId: z.uuid({ error: 'the card version is named by its id' }).toLowerCase(),
	roundId: z.uuid().toLowerCase().optional(),
	startedAt: Instant,
	/** It was written on paper, and is typed in from there by two people. */
	isOnPaper: z.boolean().optional()
});
export type Opening = z.infer<typeof Opening>;

export const opening = leaf(Opening);

/** `takenBy`: the initials of who does it, where the work is divided. */
export const steps = z
	.record(SheetId, z.object({ passedOver: leaf(Text), takenBy: leaf(Word.max(6, 'initials: at most 6 letters')) }))
	.optional();

export const remarks = z.record(SheetId, leaf(Text)).optional();

/** Counts by tap; those of two devices are summed. */
export const tallies = z
	.record(SheetId, z.object({ taxa: z.record(SheetId, leaf(z.number().int(), 'counter')).optional() }))
	.optional();
