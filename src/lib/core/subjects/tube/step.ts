import { z } from 'zod';
import { doneWhen, stepCommon, type StepKind } from '../step-kind';

const schema = z.object({
	...stepCommon,
	tool: z.literal('tube'),
	tubeLength_cm: z.number().positive(),
	minimumDepth_cm: z.number().positive()
});
export type TubeStep = z.infer<typeof schema>;

export const tubeStep = {
	schema,
	places: () => ['readings/tube-depth'],
	progress: (_, { sheet }) => doneWhen(sheet.readings?.['tube-depth'] !== undefined),
	parameter: () => 'tube-depth'
} as const satisfies StepKind<TubeStep>;
