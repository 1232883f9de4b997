import { z } from 'zod';
import { Instant, leaf, measure, SheetId, Word, YesNo } from '../../leaf';

/** How many there were, to a power of ten, where nobody counts. */
export const abundances = ['1', '2-10', '11-100', '101-1000', 'over-1000'] as const;
export type Abundance = (typeof abundances)[number];

/**
 * A tray that is sorted. Its counts are `tallies/<step>/taxa/<kind>`: taps add, so that two people at one tray both
 * count.
 */
export const trays = z
	.record(
		SheetId,
		z.object({
			begunAt: leaf(Instant),
			endedAt: leaf(Instant),
			/** Breaks of a timed pick, each under a name of its own. */
			pauses: z.record(SheetId, z.object({ from: leaf(Instant), to: leaf(Instant) })).optional(),
			/** Squares of the grid that were sorted whole, by their number; what was tapped before belongs to the square. */
			squares: z.record(SheetId, z.object({ doneAt: leaf(Instant) })).optional(),
			/** Kinds that were there, where nobody counts. */
			present: z.record(SheetId, leaf(YesNo)).optional(),
			classes: z.record(SheetId, leaf(z.enum(abundances))).optional(),
			/** What a compartment that had no name turned out to hold. */
			names: z.record(SheetId, leaf(SheetId)).optional(),
			/**
			 * What was seen of an animal that the key was asked about, by character; what it was called then, and how
			 * likely the key held that. Without a name it is still being looked at.
			 */
			namings: z
				.record(
					SheetId,
					z.object({
						answers: z.record(SheetId, leaf(SheetId)).optional(),
						taxon: leaf(SheetId),
						chance: leaf(measure('chance', 0, 1, ''))
					})
				)
				.optional(),
			/** Its counts came in from a file: whose, and which. */
			countedElsewhere: leaf(Word),
			/** Everything went back alive to where it came from. */
			returned: leaf(YesNo)
		})
	)
	.optional();
