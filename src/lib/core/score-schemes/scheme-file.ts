import { readTyped } from '../quantity';
import type { AnimalList } from '../macroinvertebrates';
import { addings, objectionsToScheme, ScoreScheme } from './scheme';

/*
 * A scheme as the rows of a table, the same out as in: `says` tells what the row says, `name` of what, then one or two
 * numbers. A value's row names an animal; a class's row gives from where to where, an empty cell being without end.
 */
export const schemeColumns = ['says', 'name', 'number', 'to'] as const;
export type SchemeRow = Record<(typeof schemeColumns)[number], string>;

const row = (says: string, name: string, number: number | null = null, to: number | null = null): SchemeRow => ({
	says,
	name,
	number: number === null ? '' : String(number),
	to: to === null ? '' : String(to)
});

/** The rows of a scheme, in the order in which a person reads them. */
export const rowsOfScheme = (scheme: ScoreScheme): SchemeRow[] => [
	row('code', scheme.code),
	row('title', scheme.name),
	row('source', scheme.source),
	row('adding', scheme.adding),
	...scheme.classes.map((c) => row('class', c.name, c.from, c.to)),
	...Object.entries(scheme.values)
		.sort(([a], [b]) => a.localeCompare(b, 'en'))
		.map(([code, value]) => row('value', code, value))
];

export type SchemeRead = { scheme: ScoreScheme } | { why: string[] };

/** A scheme from the rows of a file, or all that is wrong with it, each with its line. */
export function schemeFromRows(
	rows: readonly { line: number; cells: Record<string, string> }[],
	animals: AnimalList
): SchemeRead {
	const why: string[] = [];
	const said: Record<string, string> = {};
	const values: Record<string, number> = {};
	const classes: { name: string; from: number | null; to: number | null }[] = [];
	const numberAt = (line: number, text: string): number | null => {
		const read = readTyped(text);
		if (!('why' in read) && read.qualifier === null) return read.number;
		why.push(`Line ${line}: “${text}” is no number.`);
		return null;
	};
	for (const { line, cells } of rows) {
		const { says = '', name = '', number = '', to = '' } = cells;
		if (says === 'value') {
			if (Object.hasOwn(values, name)) why.push(`Line ${line}: ${name} has a value already.`);
			const value = numberAt(line, number);
			if (value !== null) values[name] = value;
		} else if (says === 'class') {
			const end = (text: string) => (text.trim() === '' ? null : numberAt(line, text));
			classes.push({ name, from: end(number), to: end(to) });
		} else if (['code', 'title', 'source', 'adding'].includes(says)) said[says] = name;
		else why.push(`Line ${line}: “${says}” says nothing here; a row says code, title, source, adding, class or value.`);
	}
	const { code, title, source, adding } = said;
	const read = ScoreScheme.safeParse({ code, name: title, source, adding, values, classes, isExample: false });
	if (!read.success) return { why: [...why, ...read.error.issues.map((i) => `${sayPlace(i.path)}: ${i.message}.`)] };
	const all = [...why, ...objectionsToScheme(read.data, animals)];
	return all.length ? { why: all } : { scheme: read.data };
}

const sayPlace = (path: readonly PropertyKey[]): string => (path[0] === 'name' ? 'title' : path.map(String).join(' '));

/** How figures are added up, in words. */
export const addingWords: Record<(typeof addings)[number], string> = {
	animals: 'mean over the animals',
	kinds: 'mean over the kinds',
	sum: 'sum over the kinds'
};
