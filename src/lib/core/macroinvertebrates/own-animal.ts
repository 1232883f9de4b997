import { z } from 'zod';
import { sensitivityGroups, taxonRanks } from './taxon';

/**
 * What a program says of a kind of animal: one that it adds to those shipped, or one of these called or rated
 * otherwise.
 */
export const OwnAnimal = z.object({
	/** As it stands in a logbook: the scientific name, one word with a capital. */
	code: z.string(),
	name: z.string(),
	rank: z.enum(taxonRanks),
	/** The larger kind that it belongs to. */
	partOf: z.string().nullable().default(null),
	/** What other lists call it. */
	otherNames: z.array(z.string()).default([]),
	tolerance: z.number().nullable().default(null),
	score: z.number().nullable().default(null),
	group: z.enum(sensitivityGroups).nullable().default(null),
	/** The kind that it was joined to: it cannot be told from it, or is a part of it by now. */
	countsAs: z.string().nullable().default(null),
	/** How to tell it, for whoever holds it under a lens. */
	tell: z.string().default(''),
	/** The drawing that is most like it; null: that of its family. */
	drawing: z.string().nullable().default(null),
	/** What it shows of what the key asks about; in all else it is like those it belongs to. */
	shows: z.array(z.object({ character: z.string(), state: z.string() })).default([])
});
export type OwnAnimal = z.infer<typeof OwnAnimal>;
