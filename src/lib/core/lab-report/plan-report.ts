import { z } from 'zod';
import { heldBeforeAnalysis, ruleFor, whyNotFrom } from '../custody';
import type { FileRow } from '../library';
import {
	amount,
	areAlike,
	figureIn,
	isImplausible,
	ParameterCode,
	parameterOf,
	plausibleRange,
	unitCodes,
	whyImpossible,
	withQualifier,
	writeFigure,
	writeNumber,
	type Figure,
	type OwnParameters,
	type Unit
} from '../quantity';
import type { LabFigure, Preservative } from '../subjects/bottle/branch';
import { isUnderLabsLimit } from '../subjects/bottle/found';
import { decimalMarkOf, isEither } from './decimals';
import { fieldOfHeading, neededFields, type ReportField, type ReportMapping } from './mapping';
import { cellsOf, readReportRow, type ReportRow, type StrangeWord } from './read-row';

/** A bottle of the program, as far as a report is held against it. */
export interface KnownBottle {
	visitId: string;
	/** Its id in the visit's sheet. */
	id: string;
	label: string;
	site: string;
	role: 'routine' | 'duplicate' | 'blank';
	filledAt: string | null;
	preserved: Preservative | null;
	/** What reports have said of it before. */
	reports: Partial<Record<ParameterCode, LabFigure | undefined>>;
}

/** What a person said of one row, where the file is wrong. */
export const RowCorrection = z.strictObject({
	label: z.string().max(80).optional(),
	unit: z.enum(unitCodes).optional(),
	isLeftOut: z.boolean().optional()
});
export type RowCorrection = z.infer<typeof RowCorrection>;
/** By the line of the file. */
export const RowCorrections = z.record(z.string().regex(/^\d{1,6}$/), RowCorrection);

export interface ReportLine {
	line: number;
	label: string;
	parameter: ParameterCode | null;
	figure: Figure | null;
	/** `corrects`: the same lab said something else before. */
	verdict: 'new' | 'corrects' | 'same' | 'refused' | 'left out';
	was: Figure | null;
	/** Why it is not written. */
	why: string[];
	/** What is written, and ought to be looked at. */
	doubts: string[];
	isLabelUnknown: boolean;
	/** Units in which the figure would be a usual one, where as it stands it is not. */
	unitsThatFit: Unit[];
	write: { visitId: string; bottle: string; parameter: ParameterCode; value: LabFigure } | null;
}

export interface ReportPlan {
	lines: ReportLine[];
	strange: StrangeWord[];
	/** Headings that say nothing here, each with the first that stands under it. */
	unknown: { heading: string; example: string }[];
	missingFields: ReportField[];
	/** A comma may part thousands or decimals, and the file does not show which. */
	isDecimalAsked: boolean;
}

export interface ReportFile {
	rows: readonly FileRow[];
	lab: string;
	report: string;
	isSimulated: boolean;
}

interface PlanOptions {
	mapping: ReportMapping;
	corrections: Readonly<Record<string, RowCorrection>>;
	bottles: readonly KnownBottle[];
	own: OwnParameters;
}

/** What a report would write, row by row. Nothing is written here. */
export function planReport(file: ReportFile, options: PlanOptions): ReportPlan {
	const { mapping, corrections } = options;
	const headings = [...new Set(file.rows.flatMap((r) => Object.keys(r.cells)))];
	const meant = new Map(headings.map((h) => [h, fieldOfHeading(h, mapping)]));
	const given = new Set(meant.values());
	const missingFields = neededFields.filter((f) => !given.has(f));
	const figures = file.rows.flatMap((r) => {
		const { value = '', limit = '' } = cellsOf(r, mapping);
		return [value, limit];
	});
	const mark = mapping.decimals ?? decimalMarkOf(figures);
	const by = { mapping, mark, own: options.own, isSimulated: file.isSimulated };
	const byLabel = new Map<string, KnownBottle[]>();
	for (const bottle of options.bottles) {
		const label = bottle.label.toUpperCase();
		const there = byLabel.get(label);
		if (there) there.push(bottle);
		else byLabel.set(label, [bottle]);
	}
	const strange = new Map<string, StrangeWord>();
	const lines = missingFields.length
		? []
		: file.rows.map((row): ReportLine => {
				const correction = corrections[String(row.line)] ?? {};
				const read = readReportRow(row, by, correction.unit);
				if ('row' in read) return lineOf(row.line, read.row, correction, byLabel, file, options);
				for (const word of read.strange) strange.set(JSON.stringify(word), word);
				return {
					...notWritten(row.line, read.label),
					verdict: correction.isLeftOut ? 'left out' : 'refused',
					why: read.why,
					unitsThatFit: unitsForImpossible(row, by)
				};
			});
	refuseTwice(lines);
	return {
		lines,
		strange: [...strange.values()],
		unknown: headings
			.filter((h) => meant.get(h) === null)
			.map((heading) => ({ heading, example: file.rows.find((r) => r.cells[heading])?.cells[heading] ?? '' })),
		missingFields,
		isDecimalAsked: mark === null && figures.some(isEither)
	};
}

const notWritten = (line: number, label: string): ReportLine => ({
	line,
	label,
	parameter: null,
	figure: null,
	verdict: 'refused',
	was: null,
	why: [],
	doubts: [],
	isLabelUnknown: false,
	unitsThatFit: [],
	write: null
});

function lineOf(
	line: number,
	row: ReportRow,
	correction: RowCorrection,
	byLabel: ReadonlyMap<string, readonly KnownBottle[]>,
	file: ReportFile,
	{ own }: PlanOptions
): ReportLine {
	const label = (correction.label ?? row.label).toUpperCase();
	const { parameter, said } = row;
	const { figure } = said;
	const start = { ...notWritten(line, label), parameter, figure };
	if (correction.isLeftOut) return { ...start, verdict: 'left out' };
	const [bottle, twin] = byLabel.get(label) ?? [];
	if (!bottle) return { ...start, isLabelUnknown: true, why: [`No bottle of this program has the label ${label}.`] };
	if (twin)
		return { ...start, why: [`Two bottles have the label ${label}, at ${bottle.site} and ${twin.site}: which is it?`] };
	const day = bottle.filledAt?.slice(0, 10);
	if (day !== undefined && said.analysedOn !== undefined && said.analysedOn < day)
		return { ...start, why: [`Analysed on ${said.analysedOn}, before the bottle was filled on ${day}.`] };
	const value: LabFigure = { ...said, lab: file.lab, report: file.report };
	const before = bottle.reports[parameter];
	const known = parameterOf(parameter, own);
	const write = { visitId: bottle.visitId, bottle: bottle.id, parameter, value };
	const doubts = doubtsOf(row, bottle, own);
	const unitsThatFit = isImplausible(known, figure) ? usualIn(figure, parameter, own) : [];
	const found = { ...start, doubts, unitsThatFit };
	if (before === undefined) return { ...found, verdict: 'new', write };
	if (before.lab !== file.lab)
		return {
			...start,
			why: [
				`${before.lab} has reported ${writeFigure(before.figure)} of this bottle already. A bottle that is split ` +
					'between two labs has a label for each half.'
			]
		};
	const isSame = isSameFigure(before.figure, figure, known.unit);
	return isSame
		? { ...found, verdict: 'same', doubts: [] }
		: { ...found, verdict: 'corrects', was: before.figure, write };
}

function isSameFigure(a: Figure, b: Figure, unit: Unit): boolean {
	const [first, second] = [a, b].map((f) => amount(figureIn(f, unit)));
	return first!.qualifier === second!.qualifier && Math.abs(first!.number - second!.number) < 1e-9;
}

/** What is unlikely about a row that can be written all the same. */
function doubtsOf({ parameter, said }: ReportRow, bottle: KnownBottle, own: OwnParameters): string[] {
	const known = parameterOf(parameter, own);
	const { figure, limit, analysedOn } = said;
	const { qualifier } = amount(figure);
	const because = whyNotFrom(parameter, bottle.preserved);
	const rule = ruleFor(parameter);
	const late = rule ? heldBeforeAnalysis(rule, bottle.filledAt, analysedOn) : null;
	return [
		...(isImplausible(known, figure)
			? [`${writeFigure(figure)} is unusual for a stream (${plausibleRange(known)}): is the unit right?`]
			: []),
		...(isUnderLabsLimit(said)
			? [`The figure lies under the lab’s own reporting limit of ${writeNumber(limit!)}.`]
			: []),
		...(bottle.role === 'blank' && qualifier !== 'below' && !isUnderLabsLimit(said)
			? ['It is a blank: nothing should be in it.']
			: []),
		...(because === null ? [] : [`It cannot come from this bottle: ${because}.`]),
		...(late === null
			? []
			: [
					`Analysed ${Math.floor(late.held_h / 24)} days or more after filling; it keeps ` +
						`${writeNumber(late.limit_h / 24)}.`
				])
	];
}

/** Units in which the same number would be usual: a thousandfold slip is the commonest. */
const usualIn = (figure: Figure, code: ParameterCode, own: OwnParameters): Unit[] => {
	const known = parameterOf(code, own);
	const { number, qualifier } = amount(figure);
	return unitCodes.filter((unit) => {
		if (unit === figure.unit || !areAlike(unit, known.unit)) return false;
		const other = withQualifier(number, qualifier, unit);
		return whyImpossible(known, other) === null && !isImplausible(known, other);
	});
};

/** The same for a number that no stream has. */
function unitsForImpossible(row: FileRow, by: Parameters<typeof readReportRow>[1]): Unit[] {
	return unitCodes.filter((unit) => {
		const read = readReportRow(row, by, unit);
		return 'row' in read && !isImplausible(parameterOf(read.row.parameter, by.own), read.row.said.figure);
	});
}

/** A bottle's parameter that stands in two rows: the same figure is taken once, two figures not at all. */
function refuseTwice(lines: ReportLine[]): void {
	const seen = new Map<string, ReportLine>();
	for (const line of lines) {
		if (line.write === null) continue;
		const key = `${line.write.visitId} ${line.write.bottle} ${line.write.parameter}`;
		const first = seen.get(key);
		if (first === undefined) {
			seen.set(key, line);
			continue;
		}
		const unit = first.figure!.unit;
		if (areAlike(unit, line.figure!.unit) && isSameFigure(first.figure!, line.figure!, unit)) {
			Object.assign(line, { verdict: 'same', write: null, why: [`Line ${first.line} says the same.`] });
			continue;
		}
		for (const [one, other] of [
			[first, line],
			[line, first]
		] as const) {
			one.write = null;
			one.verdict = 'refused';
			one.why = [`Line ${other.line} gives another figure for it. Leave one of them out.`];
		}
	}
}

/**
 * Bottles that ought to be in the report and are not: filled on the same days, for the same purpose, as those that are;
 * with the parameters that these have.
 */
export function notReported(
	lines: readonly ReportLine[],
	bottles: readonly KnownBottle[]
): { label: string; parameters: ParameterCode[] }[] {
	const filledLike = ({ id, filledAt }: KnownBottle) => `${id} ${filledAt?.slice(0, 10)}`;
	const byPlace = new Map(bottles.map((b) => [`${b.visitId} ${b.id}`, b]));
	const said = new Set(
		lines.flatMap(({ write: w }) => (w === null ? [] : [`${w.visitId} ${w.bottle} ${w.parameter}`]))
	);
	const wanted = new Map<string, Set<ParameterCode>>();
	for (const { write } of lines) {
		const bottle = write === null ? undefined : byPlace.get(`${write.visitId} ${write.bottle}`);
		if (write === null || !bottle) continue;
		const like = filledLike(bottle);
		wanted.set(like, (wanted.get(like) ?? new Set()).add(write.parameter));
	}
	return bottles.flatMap((b) => {
		if (b.filledAt === null) return [];
		const parameters = [...(wanted.get(filledLike(b)) ?? [])].filter(
			(p) => b.reports[p] === undefined && !said.has(`${b.visitId} ${b.id} ${p}`)
		);
		return parameters.length ? [{ label: b.label, parameters }] : [];
	});
}
