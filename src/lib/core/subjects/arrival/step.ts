import { z } from 'zod';
import { doneWhen, stepCommon, type StepKind } from '../step-kind';

const schema = z.object({ ...stepCommon, tool: z.literal('arrive') });
export type ArriveStep = z.infer<typeof schema>;

export const arriveStep = {
	schema,
	places: () => ['arrival'],
	progress: (_, { sheet }) => doneWhen(sheet.arrival?.access !== undefined),
	parameter: () => null,
	isAlwaysAsked: true
} as const satisfies StepKind<ArriveStep>;
