import { z } from 'zod';
import type { Sheet } from '../../logbook';
import { ParameterCode, unitCodes } from '../../quantity';
import { counted, stepCommon, Word, type StepKind } from '../step-kind';

const schema = z.object({
	...stepCommon,
	tool: z.literal('reading'),
	parameter: ParameterCode,
	unit: z.enum(unitCodes),
	/** One figure is asked for each: id and the word for its place. */
	slots: z.array(z.object({ id: Word, label: Word })).min(1),
	/** Replicates further apart than this are asked about; in the parameter's own unit. */
	spreadLimit: z.number().positive().optional(),
	/** A meter has come to rest when its figures of so many seconds lie within so much, in the step's unit. */
	settled: z.object({ within: z.number().positive(), for_s: z.number().positive() }).optional()
});
export type ReadingStep = z.infer<typeof schema>;

export const readingStep = {
	schema,
	places: (step) => [`readings/${step.parameter}`],
	claims: (step) => step.slots.map((slot) => `readings/${step.parameter}/${slot.id}`),
	progress: (step, { sheet }) =>
		counted(
			step.slots.filter((slot) => sheet.readings?.[step.parameter]?.[slot.id] !== undefined).length,
			slotsAsked(step, sheet).length
		),
	parameter: (step) => step.parameter
} as const satisfies StepKind<ReadingStep>;

/** The places at which a figure is asked for: one will do where nobody goes across the stream. */
export function slotsAsked(step: ReadingStep, { arrival }: Pick<Sheet, 'arrival'>): typeof step.slots {
	const isFromBank = arrival?.access !== undefined && arrival.access !== 'wade';
	return isFromBank ? step.slots.slice(0, 1) : step.slots;
}
