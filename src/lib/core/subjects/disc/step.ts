import { z } from 'zod';
import { counted, stepCommon, type StepKind } from '../step-kind';

/** A disc on a line, in water too deep for the tube. */
const schema = z.object({ ...stepCommon, tool: z.literal('disc'), unit: z.enum(['m', 'cm', 'ft']) });
export type DiscStep = z.infer<typeof schema>;

export const discStep = {
	schema,
	places: () => ['readings/disc-depth'],
	progress: (_, { sheet }) =>
		counted(['down', 'up'].filter((way) => sheet.readings?.['disc-depth']?.[way] !== undefined).length, 2),
	parameter: () => 'disc-depth'
} as const satisfies StepKind<DiscStep>;
