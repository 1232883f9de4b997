import { z } from 'zod';
import { counted, stepCommon, Word, type StepKind } from '../step-kind';

/** Oxygen fixed in a bottle and titrated by drops. */
const schema = z.object({
	...stepCommon,
	tool: z.literal('titration'),
	bottles: z.array(z.object({ id: Word, label: Word })).min(1),
	mgLPerDrop: z.number().positive().max(5),
	/** The floc settles so long before the acid. */
	settle_s: z.number().positive().max(3600),
	/** Titrated within so many hours of fixing. */
	within_h: z.number().positive(),
	/** What a bottle holds, and what of it the reagents displace: made good where it is titrated by burette. */
	bottle_mL: z.number().positive().max(2000).optional(),
	reagents_mL: z.number().nonnegative().max(50).optional()
});
export type TitrationStep = z.infer<typeof schema>;

/** The step that a bottle belongs to; a third one, that was asked for, to the first step. */
export const stepOfTitration = (id: string, steps: readonly TitrationStep[]): TitrationStep | undefined =>
	steps.find((s) => s.bottles.some((b) => b.id === id)) ?? steps[0];

/** Whether somebody has found the end point of a bottle, by drops or by burette. */
export const isTitrated = ({
	drops,
	titrant_mL
}: {
	drops?: number | undefined;
	titrant_mL?: number | undefined;
}): boolean => drops !== undefined || titrant_mL !== undefined;

export const titrationStep = {
	schema,
	places: () => ['titrations'],
	claims: (step) => step.bottles.map((bottle) => `titrations/${bottle.id}`),
	progress: (step, { sheet }) =>
		counted(step.bottles.filter(({ id }) => isTitrated(sheet.titrations?.[id] ?? {})).length, step.bottles.length),
	parameter: () => 'dissolved-oxygen'
} as const satisfies StepKind<TitrationStep>;
