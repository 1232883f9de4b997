import fc from 'fast-check';
import { z } from 'zod';
import type { LeafKind } from '../src/lib/core/leaf';
import { whyRefused } from '../src/lib/core/logbook';
import { shippedCards } from '../src/lib/core/method';
import { isKnownCode, parameters, unitCodes, units } from '../src/lib/core/quantity';
import { branches } from '../src/lib/core/subjects/branches';
import { kindOf, type Step } from '../src/lib/core/subjects/steps';

/*
 * Lines that a sheet can take, made from the schemas of the subjects themselves: a subject that comes in is met by
 * every property of any sheet, without a list that could forget it.
 */

export type AnyLine = [path: string, value: unknown];

/** An instant that things at a visit happen about. */
export const START_ms = Date.UTC(2026, 4, 14, 9);
const instant = fc
	.integer({ min: -600, max: 3000 })
	.map((minutes) => new Date(START_ms + minutes * 60_000).toISOString());
const words = fc.constantFrom('A', 'B', 'M', 'V', 'gone', 'TE3-260514-B', 'QU1-260514-B', 'something was seen', '');
/** Where a step of a card writes. */
function placesOf(step: Step): string[] {
	const kind = kindOf(step);
	return kind.claims?.(step) ?? kind.places(step);
}

/** Ids that cards give to their steps, slots and bottles, and some that a device makes up. */
const ids = [
	...new Set(
		shippedCards
			.flatMap((card) => card.steps)
			.flatMap(placesOf)
			.flatMap((place) => place.split('/').slice(1))
	)
];
const id = fc.oneof(fc.constantFrom('a', 'b', 'c', 'main', 'repeat'), fc.constantFrom(...ids));

interface Def {
	type: string;
	innerType?: z.ZodType;
	options?: z.ZodType[];
	entries?: Record<string, string>;
	values?: unknown[];
	shape?: Record<string, z.ZodType>;
	element?: z.ZodType;
	items?: z.ZodType[];
	keyType?: z.ZodType;
	valueType?: z.ZodType;
	in?: z.ZodType;
}
const defOf = (schema: z.ZodType) => schema.def as unknown as Def;

/** A line somewhere under a branch. */
function under(schema: z.ZodType, path: string): fc.Arbitrary<AnyLine> {
	const inner = schema instanceof z.ZodOptional ? (schema.unwrap() as z.ZodType) : schema;
	const kind = inner.meta()?.['leaf'] as LeafKind | undefined;
	if (kind !== undefined)
		return (kind === 'figure' ? figureAt(path) : valueOf(inner, path)).map((value) => [path, value]);
	const def = defOf(inner);
	if (def.shape) return fc.oneof(...Object.entries(def.shape).map(([key, child]) => under(child, `${path}/${key}`)));
	return keyOf(def.keyType!).chain((key) => under(def.valueType!, `${path}/${key}`));
}

function keyOf(schema: z.ZodType): fc.Arbitrary<string> {
	const { entries, options } = defOf(schema);
	if (entries) return fc.constantFrom(...Object.values(entries));
	return options ? fc.oneof(...options.map(keyOf)) : id;
}

const number = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true });

/** A figure of the parameter that the path names, in its own unit or one that is alike. */
function figureAt(path: string): fc.Arbitrary<unknown> {
	const code = path.split('/').find(isKnownCode);
	const own = code ? parameters[code].unit : 'one';
	const alike = unitCodes.filter((unit) => units[unit].dimension === units[own].dimension);
	const [low, high] = code ? parameters[code].possible : [0, 100];
	const amount = fc.oneof(number(low, Math.min(high, 100)), number(low, high));
	const more = {
		unit: fc.oneof(fc.constant(own), fc.constantFrom(...alike)),
		instrument: fc.constantFrom('M', 'gone')
	};
	return fc.oneof(
		...(['value', 'value', 'below', 'above'] as const).map((side) =>
			fc.record<Record<string, unknown>>({ [side]: amount, ...more }, { requiredKeys: [side, 'unit'] })
		)
	);
}

/** A measure as it was typed: a number in the unit of its place, or with the unit that was read. */
function typedAt(path: string): fc.Arbitrary<unknown> {
	const isSpeed = path.endsWith('_m_s');
	const amount = isSpeed ? number(-1, 4) : number(0, 12);
	return fc.oneof(
		amount,
		fc.record({ value: amount, unit: isSpeed ? fc.constant('ft_s') : fc.constantFrom('m', 'ft', 'cm') })
	);
}

function valueOf(schema: z.ZodType, path: string): fc.Arbitrary<unknown> {
	const def = defOf(schema);
	switch (def.type) {
		case 'enum':
			return fc.constantFrom(...Object.values(def.entries!));
		case 'literal':
			return fc.constantFrom(...def.values!);
		case 'boolean':
			return fc.boolean();
		case 'number':
			return numberOf(schema as z.ZodNumber);
		case 'string':
			return textOf(schema as z.ZodString);
		case 'union':
			return fc.oneof(...def.options!.map((option) => valueOf(option, path)));
		case 'object':
			return recordOf(def.shape!, path);
		case 'array':
			return fc.array(valueOf(def.element!, path), { maxLength: 3 });
		case 'tuple':
			return fc.tuple(...def.items!.map((item) => valueOf(item, path)));
		case 'pipe':
			return valueOf(def.in!, path);
		case 'optional':
		case 'nullable':
		case 'default':
			return valueOf(def.innerType!, path);
		default:
			return typedAt(path);
	}
}

function textOf({ format }: z.ZodString): fc.Arbitrary<string> {
	if (format === 'datetime') return instant;
	return format === 'uuid' ? fc.uuid() : words;
}

function numberOf({ minValue, maxValue, format }: z.ZodNumber): fc.Arbitrary<number> {
	const low = Math.max(minValue ?? -100, -1e6);
	const high = Math.min(maxValue ?? 100, 1e6);
	const near = Math.min(high, low + 100);
	if (format?.includes('int')) return fc.integer({ min: Math.ceil(low), max: Math.floor(near) });
	return fc.oneof(number(low, near), number(low, high));
}

function recordOf(shape: Record<string, z.ZodType>, path: string): fc.Arbitrary<unknown> {
	const fields = Object.entries(shape).map(([key, child]) => [key, valueOf(child, `${path}/${key}`)] as const);
	const requiredKeys = Object.keys(shape).filter((key) => defOf(shape[key]!).type !== 'optional');
	return fc.record(Object.fromEntries(fields), { requiredKeys });
}

export const branchNames = Object.keys(branches) as (keyof typeof branches)[];

/** A line of one branch, which the sheet takes or refuses. */
export const anyLineOf = (name: keyof typeof branches): fc.Arbitrary<AnyLine> => under(branches[name], name);

/** Up to forty lines that a sheet takes, of some branches only: what belongs together then meets. */
export const anyLines: fc.Arbitrary<AnyLine[]> = fc
	.subarray(
		branchNames.filter((name) => name !== 'opening'),
		{ minLength: 1, maxLength: 5 }
	)
	.chain((names) => fc.array(fc.oneof(...names.map(anyLineOf)), { maxLength: 60 }))
	.map((lines) => lines.filter(([path, value]) => whyRefused(path, value) === null));
