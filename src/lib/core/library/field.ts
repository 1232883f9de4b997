import { asWritten, asWrittenWithin, withPoint, writeNumber } from '../quantity';
import { sayDay } from '../wording';
import { z } from 'zod';
import type { KindName, Library } from './kind-name';

/*
 * One field of a thing in the library. A field has a text form, the same on the screen, in a CSV cell and in a map
 * file's properties, so that there is one reader and one writer for all of them.
 */

export type Read<T> = { value: T } | { why: string };

/** How names in a text find the things they mean, and back. Null where there is no such thing. */
export interface Lookup {
	find(kinds: readonly KindName[], text: string): string | null;
	nameOf(kinds: readonly KindName[], id: string): string;
	/** What people call the thing that a name means; the name itself where that says it. */
	commonNameOf(kinds: readonly KindName[], name: string): string;
}

export interface Field<T> {
	label: string;
	/** What is typed into: a line, a few lines, one of some words, several of them. */
	control: 'line' | 'lines' | 'one' | 'several';
	/** A calendar stands beside the line: for a day, or to add one to several. */
	picks?: 'day' | 'days' | undefined;
	unit?: string | undefined;
	/** What it writes is a bare number. */
	isNumber?: true;
	/** There are numbers among its words. */
	holdsNumbers?: true;
	/** A number in the unit that its kind says of each row. */
	isInRowUnit?: true | undefined;
	help?: string | undefined;
	isRequired: boolean;
	options?: readonly string[] | undefined;
	/** Words that may stand here, where the program's own list says which. */
	optionsIn?: ((library: Library) => string[]) | undefined;
	/** Kinds of thing that are named here. */
	refers?: readonly KindName[] | undefined;
	read(text: string, lookup: Lookup): Read<T>;
	write(value: T, lookup: Lookup): string;
}

/** The text of a field as people write numbers; its reader takes either. Files have a point. */
export function asShown(field: Field<unknown> | undefined, text: string): string {
	if (field?.holdsNumbers) return asWrittenWithin(text);
	return field?.isNumber ? asWritten(text) : text;
}

/** The same where nobody types: a day too is written as people write it. */
export const asRead = (field: Field<unknown> | undefined, text: string): string =>
	field?.picks === 'day' && text !== '' ? sayDay(Date.parse(text), 'UTC', true) : asShown(field, text);

interface Asked {
	label: string;
	help?: string;
	isRequired?: boolean;
}

const parts = (text: string): string[] =>
	text
		.split(';')
		.map((p) => p.trim())
		.filter((p) => p !== '');
const missing = (label: string): { why: string } => ({ why: `${label} is missing.` });

/** Words in one line; '' where nothing is said and nothing need be. */
export function words(asked: Asked & { most?: number; pattern?: RegExp; patternSays?: string }): Field<string> {
	const { label, help, isRequired = false, most = 80, pattern, patternSays } = asked;
	const Schema = z.string().max(most, `${label} has more than ${most} letters.`);
	return {
		label,
		help,
		isRequired,
		control: most > 120 ? 'lines' : 'line',
		read: (text) => {
			const given = text.trim();
			if (given === '') return isRequired ? missing(label) : { value: '' };
			if (pattern && !pattern.test(given)) return { why: `${label}: ${patternSays ?? 'not as it should be'}.` };
			const parsed = Schema.safeParse(given);
			return parsed.success ? { value: parsed.data } : { why: parsed.error.issues[0]!.message };
		},
		write: (value) => value
	};
}

interface NumberAsked extends Asked {
	unit?: string;
	least: number;
	most: number;
	whole?: boolean;
	isInRowUnit?: true;
}

/** A number, with a decimal point or comma. */
export function number(asked: NumberAsked): Field<number> {
	const inner = maybeNumber({ ...asked, isRequired: true });
	return {
		...inner,
		read: (text, lookup) => inner.read(text, lookup) as Read<number>,
		write: (value) => String(value)
	};
}

/** A number that may be left out. */
export function maybeNumber({
	label,
	help,
	isRequired = false,
	unit,
	least,
	most,
	whole,
	isInRowUnit
}: NumberAsked): Field<number | null> {
	const say = unit ? ` ${unit}` : '';
	return {
		label,
		help,
		unit,
		isNumber: true,
		isInRowUnit,
		isRequired,
		control: 'line',
		read: (text) => {
			const given = text.trim();
			if (given === '') return isRequired ? missing(label) : { value: null };
			const digits = withPoint(given);
			const value = /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(digits) ? Number(digits) : NaN;
			if (!Number.isFinite(value)) return { why: `${label}: “${given}” is not a number.` };
			if (whole && !Number.isInteger(value)) return { why: `${label} is a whole number; ${given} is not.` };
			if (value < least || value > most)
				return {
					why: `${label} lies between ${writeNumber(least)} and ${writeNumber(most)}${say}; ${given} does not.`
				};
			return { value };
		},
		write: (value) => (value === null ? '' : String(value))
	};
}

export function yesNo({ label, help }: Asked): Field<boolean> {
	const said: Record<string, boolean> = { yes: true, no: false, '': false, true: true, false: false };
	return {
		label,
		help,
		isRequired: false,
		control: 'one',
		options: ['no', 'yes'],
		read: (text) => {
			const value = said[text.trim().toLowerCase()];
			return value === undefined ? { why: `${label} is yes or no; “${text}” is neither.` } : { value };
		},
		write: (value) => (value ? 'yes' : 'no')
	};
}

export function oneOf<const Word extends string>({
	label,
	help,
	options
}: Asked & { options: readonly Word[] }): Field<Word> {
	return {
		label,
		help,
		isRequired: true,
		control: 'one',
		options,
		read: (text) => {
			const value = options.find((o) => o.toLowerCase() === text.trim().toLowerCase());
			if (text.trim() === '') return missing(label);
			return value === undefined ? { why: `${label} is one of ${options.join(', ')}; “${text}” is not.` } : { value };
		},
		write: (value) => value
	};
}

/** One of some words, or none. */
export function maybeOneOf<const Word extends string>(asked: Asked & { options: readonly Word[] }): Field<Word | null> {
	const inner = oneOf(asked);
	return {
		...inner,
		isRequired: false,
		read: (text, lookup) => (text.trim() === '' ? { value: null } : inner.read(text, lookup)),
		write: (value) => value ?? ''
	};
}

export function someOf<const Word extends string>({
	label,
	help,
	isRequired = false,
	options
}: Asked & { options: readonly Word[] }): Field<Word[]> {
	return {
		label,
		help,
		isRequired,
		control: 'several',
		options,
		read: (text) => {
			const given = parts(text);
			const strange = given.find((g) => !options.some((o) => o.toLowerCase() === g.toLowerCase()));
			if (strange !== undefined) return { why: `${label}: “${strange}” is not one of ${options.join(', ')}.` };
			const value = options.filter((o) => given.some((g) => g.toLowerCase() === o.toLowerCase()));
			return value.length === 0 && isRequired ? missing(label) : { value };
		},
		write: (value) => value.join('; ')
	};
}

/** Words that are nobody's list but the program's own. */
export function wordList({ label, help }: Asked): Field<string[]> {
	return {
		label,
		help,
		isRequired: false,
		control: 'line',
		read: (text) => {
			const value = parts(text);
			const long = value.find((v) => v.length > 60);
			return long === undefined ? { value } : { why: `${label}: “${long.slice(0, 20)}…” has more than 60 letters.` };
		},
		write: (value) => value.join('; ')
	};
}

interface RefAsked extends Asked {
	kinds: readonly KindName[];
}

/** Another thing of the library, named as it is told apart. */
export function reference(asked: RefAsked): Field<string> {
	const inner = maybeReference({ ...asked, isRequired: true });
	return {
		...inner,
		read: (text, lookup) => inner.read(text, lookup) as Read<string>,
		write: (id, lookup) => inner.write(id, lookup)
	};
}

export function maybeReference({ label, help, isRequired = false, kinds }: RefAsked): Field<string | null> {
	return {
		label,
		help,
		isRequired,
		control: 'one',
		refers: kinds,
		read: (text, lookup) => {
			const given = text.trim();
			if (given === '') return isRequired ? missing(label) : { value: null };
			const value = lookup.find(kinds, given);
			return value === null ? { why: `${label}: there is no “${given}” in ${kinds.join(' or ')}.` } : { value };
		},
		write: (id, lookup) => (id === null ? '' : lookup.nameOf(kinds, id))
	};
}

export function references({ label, help, isRequired = false, kinds }: RefAsked): Field<string[]> {
	return {
		label,
		help,
		isRequired,
		control: 'several',
		refers: kinds,
		read: (text, lookup) => {
			const given = parts(text);
			if (given.length === 0) return isRequired ? missing(label) : { value: [] };
			const found = given.map((g) => lookup.find(kinds, g));
			const lost = given.find((_, i) => found[i] === null);
			if (lost !== undefined) return { why: `${label}: there is no “${lost}” in ${kinds.join(' or ')}.` };
			if (new Set(found).size < found.length) return { why: `${label}: one is named twice.` };
			return { value: found as string[] };
		},
		write: (ids, lookup) => ids.map((id) => lookup.nameOf(kinds, id)).join('; ')
	};
}
