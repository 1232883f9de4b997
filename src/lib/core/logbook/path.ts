import { z } from 'zod';
import { Figure, isKnownCode, isParameterCode, parameters, whyImpossible } from '../quantity';
import type { LeafKind } from '../leaf';
import { SheetSchema } from './sheet';

/** A place in the sheet that an entry may write. */
export interface Place {
	kind: LeafKind;
	schema: z.ZodType;
	/** The key of the path that names a parameter, where there is one. */
	parameter: string | null;
}

/**
 * The place a path leads to, or null where the sheet has none. Walks the sheet's schema: a branch by its key, a record
 * by any key that its key schema takes.
 */
export function placeAt(path: string): Place | null {
	const known = places.get(path);
	if (known !== undefined) return known;
	const place = walk(SheetSchema, path.split('/'), null);
	if (places.size < MOST_REMEMBERED) places.set(path, place);
	return place;
}

/**
 * Why this value cannot stand at this path, or null. Possible, not plausible: an unlikely figure is asked about
 * elsewhere.
 */
export function whyRefused(path: string, value: unknown): string | null {
	const place = placeAt(path);
	if (place === null) return 'the sheet has no such place';
	const parsed = place.schema.safeParse(value);
	if (!parsed.success) return describe(parsed.error);
	// what a parameter of a program's own can be is said by its card, which is not known here
	if (place.kind === 'figure' && place.parameter !== null && isKnownCode(place.parameter))
		return whyImpossible(parameters[place.parameter], parsed.data as Figure);
	return null;
}

const MOST_REMEMBERED = 20_000;
const places = new Map<string, Place | null>();

function walk(schema: z.ZodType, [key, ...rest]: string[], parameter: string | null): Place | null {
	const inner = schema instanceof z.ZodOptional ? (schema.unwrap() as z.ZodType) : schema;
	const kind = inner.meta()?.['leaf'] as LeafKind | undefined;
	if (kind !== undefined) return key === undefined ? { kind, schema: inner, parameter } : null;
	if (key === undefined) return null;
	if (inner instanceof z.ZodObject) {
		const child = Object.hasOwn(inner.shape, key) ? (inner.shape[key] as z.ZodType) : undefined;
		return child ? walk(child, rest, parameter) : null;
	}
	if (inner instanceof z.ZodRecord) {
		if (!(inner.keyType as z.ZodType).safeParse(key).success) return null;
		return walk(inner.valueType as z.ZodType, rest, isParameterCode(key) ? key : parameter);
	}
	return null;
}

const describe = (error: z.ZodError) =>
	error.issues.map((issue) => (issue.path.length ? `${issue.path.join('.')}: ` : '') + issue.message).join('; ');
