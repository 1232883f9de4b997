import { z } from 'zod';
import { unitCodes } from './unit';

/**
 * Parameters that a program sets up for itself: chlorophyll, chlorine, whatever its meters and kits read beside what
 * is known here. A card carries the definitions of those that its steps read, so that a visit is worked out the same
 * wherever it is.
 */

/** The code of a parameter of a program's own: told from those known here by how it begins. */
export const OwnCode = z.templateLiteral(['own-', z.string().regex(/^[a-z0-9][a-z0-9-]{0,38}$/)], {
	error: 'a parameter of the program’s own begins with “own-”'
});
export type OwnCode = z.infer<typeof OwnCode>;

/** Ways in which a step finds a parameter of a program's own. */
export const ownWays = ['meter', 'kit'] as const;

const Range = z
	.tuple([z.number(), z.number()])
	.refine(([low, high]) => low < high, { error: 'a range goes from its least to its greatest' });

/** As `Parameter` has it, with the ways by which it may be found. */
export const OwnParameter = z
	.object({
		name: z.string().trim().min(1).max(60),
		unit: z.enum(unitCodes),
		decimals: z.number().int().min(0).max(6),
		possible: Range,
		plausible: Range,
		isNeverNought: z.boolean().optional(),
		ways: z.array(z.enum(ownWays)).min(1)
	})
	.refine(({ possible, plausible }) => plausible[0] >= possible[0] && plausible[1] <= possible[1], {
		error: 'the usual range lies within the possible one',
		path: ['plausible']
	});
export type OwnParameter = z.infer<typeof OwnParameter>;

/** Definitions by code: those of a card, or of a program. */
export const OwnParameters = z.record(OwnCode, OwnParameter);
export type OwnParameters = Readonly<Partial<Record<OwnCode, OwnParameter>>>;

export const isOwnCode = (word: string): word is OwnCode => OwnCode.safeParse(word).success;
