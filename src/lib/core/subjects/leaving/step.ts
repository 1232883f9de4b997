import { z } from 'zod';
import { doneWhen, stepCommon, type StepKind } from '../step-kind';

const schema = z.object({ ...stepCommon, tool: z.literal('leave') });
export type LeaveStep = z.infer<typeof schema>;

export const leaveStep = {
	schema,
	places: () => ['leaving'],
	progress: (_, { sheet }) => doneWhen(sheet.leaving?.at !== undefined),
	parameter: () => null,
	isAlwaysAsked: true
} as const satisfies StepKind<LeaveStep>;
