import { z } from 'zod';
import { doneWhen, stepCommon, type StepKind } from '../step-kind';

export const LEVEL_PATH = 'readings/water-level/board';

/** The water level, read on a board that stands fixed in the stream. */
const schema = z.object({
	...stepCommon,
	tool: z.literal('staff'),
	unit: z.enum(['m', 'cm', 'ft']),
	/** From mark to mark, in the unit of the board. */
	mark: z.number().positive().max(50)
});
export type StaffStep = z.infer<typeof schema>;

export const staffStep = {
	schema,
	places: () => ['readings/water-level', 'staff'],
	progress: (_, { sheet }) => doneWhen(sheet.readings?.['water-level']?.['board'] !== undefined),
	parameter: () => 'water-level'
} as const satisfies StepKind<StaffStep>;
