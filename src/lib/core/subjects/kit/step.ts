import { z } from 'zod';
import { ParameterCode, unitCodes } from '../../quantity';
import { doneWhen, Sentence, stepCommon, Word, type StepKind } from '../step-kind';

/** A test strip or colour kit: waits in turn, then a colour held against a chart. */
const schema = z.object({
	...stepCommon,
	tool: z.literal('kit'),
	parameter: ParameterCode,
	unit: z.enum(unitCodes),
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
	parameter: (step) => step.parameter
} as const satisfies StepKind<KitStep>;

/** Seconds that the colour of a kit needs, from the dip on. */
export const colourWait_s = ({ waits }: Pick<KitStep, 'waits'>): number => waits.reduce((sum, w) => sum + w.for_s, 0);

/** The place in the sheet that a kit's colour is read into. */
export const colourPath = ({ parameter, id }: Pick<KitStep, 'parameter' | 'id'>): string =>
	`readings/${parameter}/${id}`;
