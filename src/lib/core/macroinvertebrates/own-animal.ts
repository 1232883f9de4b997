import { z } from 'zod';
import { sensitivityGroups, taxonRanks } from './taxon';

/** What a program says of a kind of animal: one that it adds to those shipped, or one of these called or rated otherwise. */
export const OwnAnimal = z.object({
	/** As it stands in a logbook: the scientific name, one word with a capital. */
	code: z.string(),
	name: z.string(),
	rank: z.enum(taxonRanks),
	/** The larger kind that it belongs to. */
	partOf: z.string().nullable(),
	/** What other lists call it. */
	otherNames: z.array(z.string()),
	tolerance: z.number().nullable(),
	score: z.number().nullable(),
	group: z.enum(sensitivityGroups).nullable(),
	/** The kind that it was joined to: it cannot be told from it, or is a part of it by now. */
	countsAs: z.string().nullable()
});
export type OwnAnimal = z.infer<typeof OwnAnimal>;
