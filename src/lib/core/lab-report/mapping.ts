import { z } from 'zod';
import { ParameterCode, unitCodes } from '../quantity';
import { bare } from './names';

/** What a row of a report can say, in the order in which it is asked for. */
export const reportFields = {
	label: 'label of the bottle',
	parameter: 'parameter',
	value: 'figure',
	unit: 'unit',
	qualifier: 'below or over',
	limit: 'reporting limit',
	uncertainty: 'uncertainty, ±',
	method: 'method',
	analysedOn: 'day of the analysis'
} as const;
export type ReportField = keyof typeof reportFields;
const fieldNames = Object.keys(reportFields) as [ReportField, ...ReportField[]];

/** Without these a file says nothing. */
export const neededFields = ['label', 'parameter', 'value', 'unit'] as const satisfies ReportField[];

const words = <V extends z.ZodType>(value: V) => z.record(z.string().max(200), value).default({});

/** What one laboratory's words mean here: said once, and remembered for its next report. `''`: says nothing here. */
export const ReportMapping = z.object({
	headings: words(z.enum([...fieldNames, ''])),
	parameters: words(z.union([ParameterCode, z.literal('')])),
	/** By parameter and unit as `unitKey` writes them: mg/L may be as N of one parameter, as the ion of another. */
	units: words(z.enum(unitCodes)),
	/** What parts the whole from its decimals, where the file does not show it by itself. */
	decimals: z.enum(['point', 'comma']).optional()
});
export type ReportMapping = z.infer<typeof ReportMapping>;

export const unitKey = (parameter: ParameterCode, unit: string): string => `${parameter} ${bare(unit)}`;

const headingWords: Record<ReportField, readonly string[]> = {
	label: ['label', 'bottle', 'bottle label', 'sample', 'sample id', 'sample no', 'client sample id', 'your reference'],
	parameter: ['parameter', 'analyte', 'determinand', 'test', 'determination'],
	value: ['value', 'result', 'figure', 'concentration'],
	unit: ['unit', 'units'],
	qualifier: ['qualifier', 'flag', 'sign'],
	limit: ['limit', 'reporting limit', 'rl', 'mrl', 'loq', 'limit of quantification'],
	uncertainty: ['uncertainty', 'expanded uncertainty', 'u95'],
	method: ['method', 'procedure'],
	analysedOn: ['analysed', 'analyzed', 'date analysed', 'date analyzed', 'analysis date', 'analysed on']
};
const byHeading = new Map(
	fieldNames.flatMap((field) => headingWords[field].map((word) => [bare(word), field] as const))
);

/** What a heading means: as it was said once, else by its own word; null where nobody can tell. */
export function fieldOfHeading(
	heading: string,
	{ headings }: Pick<ReportMapping, 'headings'>
): ReportField | '' | null {
	if (Object.hasOwn(headings, heading)) return headings[heading]!;
	return byHeading.get(bare(heading)) ?? null;
}
