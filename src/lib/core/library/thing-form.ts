import { z } from 'zod';
import type { Kind, Library, Objection } from './kind';
import { lookupIn, objectionsTo, readRow, withRow, type Texts } from './rows';

const MOST_LETTERS = 20_000;

/** The texts of one thing as a form sends them: every field is there, and none is endless. */
export const textsOf = (kind: Kind) =>
	z.object(
		Object.fromEntries(
			Object.keys(kind.fields).map((name) => [
				name,
				z.string().max(MOST_LETTERS, 'That is too long to be kept.').default('')
			])
		)
	);

/**
 * The same with all that stands against them in a library, said at its field: what a form checks while one types, and
 * what is kept is held against again.
 */
export function thingForm(kind: Kind, id: string | null, library: Library, today: string) {
	const lookup = lookupIn(library);
	return textsOf(kind).check((c) => {
		const { row, objections } = readRow(kind, id ?? 'new', c.value, lookup);
		for (const { field, why } of objections.length ? objections : objectionsTo(kind, row, library, today))
			c.issues.push({ code: 'custom', message: why, path: field === '' ? [] : [field], input: c.value });
	});
}

/** What is odd in a thing that may stand, by field; nothing while something forbids it. */
export function doubtsOn(kind: Kind, id: string | null, texts: Texts, library: Library, today: string): Objection[] {
	const { row, objections } = readRow(kind, id ?? 'new', texts, lookupIn(library));
	if (objections.length || objectionsTo(kind, row, library, today).length) return [];
	return kind.doubts?.(row, withRow(library, kind, row), today) ?? [];
}
