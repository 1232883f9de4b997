import { z } from 'zod';
import { ParameterCode, unitCodes } from '../../quantity';
import { doneWhen, Sentence, stepCommon, Word, type StepBase, type StepKind } from '../step-kind';

/** A test strip or colour kit: waits in turn, then a colour held against a chart. */
const schema = z.object({
	...stepCommon,
	tool: z.literal('kit'),
	parameter: ParameterCode,
	unit: z.enum(unitCodes),
	/** The strip that this is a pad of: one dip starts the clocks of all its pads. */
	strip: Word.optional(),
	/** What starts its clock: a strip's dip, or the last of its reagents. */
	begins: z.enum(['dip', 'reagents']).optional(),
	waits: z.array(z.object({ what: Word, for_s: z.number().positive().max(3600) })).min(1),
	/** The colour changes further; it is read within so many seconds. */
	readWithin_s: z.number().positive().max(3600),
	/** The blocks of the chart, the palest first; no colour at all lies below the first that is over 0. */
	chart: z.array(z.object({ value: z.number().nonnegative(), word: Word })).min(2),
	waste: Sentence.optional()
});
export type KitStep = z.infer<typeof schema>;

export const kitStep = {
	schema,
	places: (step) => [`readings/${step.parameter}`],
	claims: (step) => [colourPath(step)],
	progress: (step, { sheet }) => doneWhen(sheet.readings?.[step.parameter]?.[step.id] !== undefined),
	parameter: (step) => step.parameter,
	precedes: (step, other) =>
		isOnOneStrip(step, other) && colourWait_s(step) < colourWait_s(other)
			? 'Of the pads of one strip the one that is ready first is read first.'
			: null
} as const satisfies StepKind<KitStep>;

/** Whether another step is a pad of the same strip. */
export const isOnOneStrip = (step: KitStep, other: StepBase): other is KitStep =>
	other.tool === 'kit' && step.strip !== undefined && (other as KitStep).strip === step.strip;

/** Seconds that the colour of a kit needs, from the dip on. */
export const colourWait_s = ({ waits }: Pick<KitStep, 'waits'>): number => waits.reduce((sum, w) => sum + w.for_s, 0);

/** The place in the sheet that a kit's colour is read into. */
export const colourPath = ({ parameter, id }: Pick<KitStep, 'parameter' | 'id'>): string =>
	`readings/${parameter}/${id}`;
