import { z } from 'zod';
import { doneWhen, stepCommon, Word, type StepKind } from '../step-kind';
import { bottleKinds, preservatives, techniques } from './branch';

const schema = z.object({
	...stepCommon,
	tool: z.literal('bottle'),
	bottle: z.object({
		id: Word,
		kind: z.enum(bottleKinds),
		preserved: z.enum(preservatives).optional(),
		/** Part of it goes through a filter on the bank. */
		isFiltered: z.boolean().optional()
	}),
	/** How often it is rinsed with stream water; a sterile bottle never is. Three times where left out. */
	rinses: z.number().int().min(0).max(5).optional(),
	/** How it is filled where nothing else is said. */
	technique: z.enum(techniques).optional()
});
export type BottleStep = z.infer<typeof schema>;

export const bottleStep = {
	schema,
	places: (step) => [`bottles/${step.bottle.id}`],
	progress: (step, { sheet }) => {
		const bottle = sheet.bottles?.[step.bottle.id];
		return doneWhen(bottle?.label !== undefined && bottle.filledAt !== undefined);
	},
	parameter: () => null
} as const satisfies StepKind<BottleStep>;

/** How often a bottle is rinsed where the card says nothing; a sterile one never is. */
export const rinsesAsked = (step: BottleStep): number => (step.bottle.kind === 'bacteria' ? 0 : (step.rinses ?? 3));

/** The step that a bottle belongs to: its own, else its duplicate's or its blank's, which are named after it. */
export function stepOfBottle(id: string, steps: readonly BottleStep[]): BottleStep | undefined {
	const named = steps.filter((s) => id === s.bottle.id || id.startsWith(`${s.bottle.id}-`));
	return named.sort((a, b) => b.bottle.id.length - a.bottle.id.length)[0];
}
