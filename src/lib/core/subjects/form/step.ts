import { z } from 'zod';
import { forms, isAnswered } from '../../observations';
import { counted, stepCommon, type StepKind } from '../step-kind';

/** Questions answered in words: the conditions of the day, the habitat. */
const schema = z.object({ ...stepCommon, tool: z.literal('form'), form: z.enum(['conditions', 'habitat']) });
export type FormStep = z.infer<typeof schema>;

export const formStep = {
	schema,
	places: (step) => [step.form],
	progress: (step, { sheet }) => {
		const asked = forms[step.form];
		return counted(asked.filter((q) => isAnswered(q, sheet[step.form])).length, asked.length);
	},
	parameter: () => null
} as const satisfies StepKind<FormStep>;
