import { readDay, type FileRow } from '../library';
import type { LabFigure } from '../subjects/bottle/branch';
import {
	isUnitOf,
	ParameterCode,
	parameterOf,
	whyImpossible,
	withQualifier,
	type OwnParameters,
	type Qualifier,
	type Unit,
	units
} from '../quantity';
import { readReported, type DecimalMark } from './decimals';
import { fieldOfHeading, unitKey, type ReportField, type ReportMapping } from './mapping';
import { bare, ofElement, parameterNamed, unitNamed } from './names';

/** One row that could be read. */
export interface ReportRow {
	label: string;
	parameter: ParameterCode;
	said: Omit<LabFigure, 'lab' | 'report'>;
}

/** A word that nobody here knows: a parameter's, or a unit's for one parameter. */
export type StrangeWord = { of: 'parameter'; text: string } | { of: 'unit'; text: string; parameter: ParameterCode };

export type RowRead = { row: ReportRow } | { why: string[]; label: string; strange: StrangeWord[] };

export interface ReadBy {
	mapping: ReportMapping;
	/** The mark that the figures of the whole file show. */
	mark: DecimalMark | null;
	own: OwnParameters;
	isSimulated: boolean;
}

const BELOW = new Set(['<', 'u', 'nd', 'bdl', 'below', 'notdetected']);
const ABOVE = new Set(['>', 'over', 'above']);
const MOST_WRITTEN = 300;

/** The cells of a row by what they mean; of two headings that mean the same the first that says anything. */
export function cellsOf({ cells }: FileRow, mapping: ReportMapping): Partial<Record<ReportField, string>> {
	const found: Partial<Record<ReportField, string>> = {};
	for (const [heading, text] of Object.entries(cells)) {
		const field = fieldOfHeading(heading, mapping);
		if (field && (found[field] ?? '') === '') found[field] = text.trim();
	}
	return found;
}

/**
 * One row of a report as a figure in a unit that is known for sure, or all that is wrong with it. `unit` overrules the
 * file's, where a person said so of this row.
 */
export function readReportRow(given: FileRow, by: ReadBy, unit?: Unit): RowRead {
	const cells = cellsOf(given, by.mapping);
	const label = (cells.label ?? '').toUpperCase();
	const refused = (why: string[], strange: StrangeWord[] = []): RowRead => ({ why, label, strange });
	if (given.broken !== undefined) return refused([given.broken]);
	const named = namedIn(cells.parameter ?? '', by);
	if (named === null) {
		const text = cells.parameter ?? '';
		return text === ''
			? refused(['It names no parameter.'])
			: refused([`“${text}” is no parameter known here.`], [{ of: 'parameter', text }]);
	}
	const parameter = parameterOf(named.code, by.own);
	const inUnit = unit ?? unitIn(cells.unit ?? '', named, by);
	if (inUnit === null) {
		const text = cells.unit ?? '';
		return text === ''
			? refused(['It has no unit.'])
			: refused([whyNoUnit(text, parameter)], [{ of: 'unit', text, parameter: named.code }]);
	}
	const read = figureIn(cells, by);
	const why = [...('why' in read ? [read.why] : []), ...(label === '' ? ['It names no bottle.'] : [])];
	if ('why' in read || why.length) return refused(why);
	const figure = withQualifier(read.number, read.qualifier, inUnit);
	const impossible = whyImpossible(parameter, figure);
	if (impossible !== null) return refused([`${impossible}.`]);
	const rest = restIn(cells, by);
	if ('why' in rest) return refused([rest.why]);
	const asWritten = Object.values(given.cells)
		.filter((c) => c !== '')
		.join(' · ')
		.slice(0, MOST_WRITTEN);
	return {
		row: {
			label,
			parameter: named.code,
			said: { figure, ...rest, asWritten, ...(by.isSimulated ? { isSimulated: true as const } : {}) }
		}
	};
}

function namedIn(word: string, { mapping, own }: ReadBy): { code: ParameterCode; asElement: boolean } | null {
	const said = Object.hasOwn(mapping.parameters, word) ? mapping.parameters[word] : undefined;
	const known = parameterNamed(word);
	const ofProgram = Object.entries(own).find(([, one]) => one !== undefined && bare(one.name) === bare(word))?.[0];
	const code = ParameterCode.safeParse(said ?? known?.code ?? ofProgram);
	return code.success ? { code: code.data, asElement: known?.asElement === true } : null;
}

/**
 * The unit of a row. A bare concentration of an ion says nothing, unless the parameter's own word says that it is of
 * the element.
 */
function unitIn(
	word: string,
	{ code, asElement }: { code: ParameterCode; asElement: boolean },
	by: ReadBy
): Unit | null {
	const said = by.mapping.units[unitKey(code, word)];
	const parameter = parameterOf(code, by.own);
	const unit = said ?? unitNamed(word);
	if (unit === null) return null;
	if (isUnitOf(parameter, unit)) return unit;
	return asElement || parameter.ion === undefined ? ofElement(unit, parameter.unit) : null;
}

function whyNoUnit(text: string, { name, ion }: { name: string; ion?: string }): string {
	const bareUnit = unitNamed(text);
	if (bareUnit === null) return `“${text}” is no unit known here.`;
	return ion !== undefined && ofElement(bareUnit, 'mg_L_N') !== null
		? `${name} in ${text}: of the ion, or of what is in it? Say which, once.`
		: `${name} is not measured in ${units[bareUnit].symbol}.`;
}

/** The figure of a row; `ND` and its like are below the reporting limit, which must then be there. */
function figureIn(
	cells: Partial<Record<ReportField, string>>,
	by: ReadBy
): { number: number; qualifier: Qualifier } | { why: string } {
	const text = cells.value ?? '';
	const sign = bareSign(cells.qualifier ?? '');
	if (BELOW.has(bareSign(text)) || (text === '' && BELOW.has(sign))) {
		const limit = readReported(cells.limit ?? '', by.mark);
		return 'why' in limit
			? { why: 'It was not found, and no reporting limit says below what.' }
			: { number: limit.number, qualifier: 'below' };
	}
	if (text === '') return { why: 'It has no figure.' };
	const read = readReported(text, by.mark);
	if ('why' in read || read.qualifier !== null) return read;
	if (BELOW.has(sign)) return { ...read, qualifier: 'below' };
	return ABOVE.has(sign) ? { ...read, qualifier: 'above' } : read;
}

const bareSign = (text: string): string => (/^[<>]$/.test(text.trim()) ? text.trim() : bare(text));

/** What stands beside the figure: each may be missing, none may be nonsense. */
function restIn(
	cells: Partial<Record<ReportField, string>>,
	{ mark }: ReadBy
): Pick<LabFigure, 'uncertainty' | 'limit' | 'method' | 'analysedOn'> | { why: string } {
	const rest: Pick<LabFigure, 'uncertainty' | 'limit' | 'method' | 'analysedOn'> = {};
	for (const field of ['uncertainty', 'limit'] as const) {
		const text = (cells[field] ?? '').replace(/^[±<]\s*/, '');
		if (text === '') continue;
		const read = readReported(text, mark);
		if ('why' in read || read.qualifier !== null || read.number <= 0)
			return { why: `“${cells[field]}” is no ${field === 'limit' ? 'reporting limit' : 'uncertainty'}.` };
		rest[field] = read.number;
	}
	if (cells.method) rest.method = cells.method.slice(0, 80);
	if (cells.analysedOn) {
		const day = readDay(cells.analysedOn.replace(/[T ]\d\d:\d\d.*$/, ''));
		if ('why' in day) return { why: `${day.why}.` };
		rest.analysedOn = day.day;
	}
	return rest;
}
