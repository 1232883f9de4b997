import { z } from 'zod';
import { whyNoMeasure, type AsTyped, type Unit } from '../quantity';

export type LeafKind = 'value' | 'figure' | 'counter';

/** A place that an entry may write; everything else in a sheet is a branch. */
export const leaf = <T extends z.ZodType>(schema: T, kind: LeafKind = 'value'): z.ZodOptional<T> =>
	schema.meta({ leaf: kind }).optional();

/** An id within a sheet: given by the card ("left") or made by a device. */
export const SheetId = z
	.string()
	.regex(/^[A-Za-z0-9][A-Za-z0-9_.-]{0,63}$/, 'an id has letters, digits, dots, dashes or underscores, at most 64');

/**
 * Where in a sheet a determination comes from, as one word: a place of it with dots between. Long enough for every
 * place, for a name that was cut could be another's.
 */
export const SourceId = z
	.string()
	.regex(
		/^[A-Za-z0-9][A-Za-z0-9_.-]{0,199}$/,
		'a source has letters, digits, dots, dashes or underscores, at most 200'
	);

/** Years beyond these are a clock that is wrong, and not every store keeps them. */
export const isOfThisCentury = (instant: string): boolean => instant >= '2000' && instant < '2101';

export const Instant = z.iso
	.datetime({ error: 'an instant is like 2026-05-14T09:12:00Z' })
	.refine(isOfThisCentury, 'an instant lies between the years 2000 and 2100');
/** A picture is named by the SHA-256 of its bytes, which travel apart from the line that speaks of it. */
export const PhotoHash = z.string().regex(/^[0-9a-f]{64}$/, 'a photo is named by the SHA-256 of its bytes');
export const Text = z.string({ error: 'words are needed here' }).max(2000, 'at most 2000 letters');
export const Word = Text.min(1, 'a word is needed here').max(80, 'at most 80 letters');
export const YesNo = z.boolean({ error: 'true or false' });

export const measure = (what: string, low: number, high: number, unit: string) =>
	z
		.number({ error: `${what} must be a number` })
		.min(low, `${what} under ${low} ${unit} is not possible`)
		.max(high, `${what} over ${high} ${unit} is not possible`);

/** A measure that keeps the unit it was read in: a bare number in the unit of its place, or `{ value, unit }`. */
export const asTyped = <U extends Unit>(what: string, unit: Unit, low: number, high: number) =>
	z.custom<AsTyped<U>>().superRefine((value, context) => {
		const why = whyNoMeasure(value, what, unit, low, high);
		if (why !== null) context.addIssue({ code: 'custom', message: why });
	});

export type LengthUnit = 'm' | 'cm' | 'ft' | 'inch';
export type SpeedUnit = 'm_s' | 'cm_s' | 'ft_s';
export const depth_m = asTyped<LengthUnit>('depth', 'm', 0, 10);
export const velocity_m_s = asTyped<SpeedUnit>('velocity', 'm_s', -5, 10);
export const time_s = measure('time', 0.1, 3600, 's');
export const temperature_C = measure('temperature', -5, 60, '°C');
export const count = z
	.number({ error: 'a count is a number' })
	.int('a count is whole')
	.min(0, 'a count is not below 0')
	.max(1_000_000, 'a count over a million is not possible');
/** For each of some things whether it was so: a place of its own each, so that two people can add at once. */
export const ticks = <T extends readonly [string, ...string[]]>(names: T) =>
	z.partialRecord(z.enum(names), leaf(YesNo)).optional();
