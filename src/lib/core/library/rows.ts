import type { Lookup } from './field';
import type { Kind, KindName, Library, Objection, Row } from './kind';
import { kinds } from './kinds';

/** A row in its text form, by field. */
export type Texts = Record<string, string>;

/**
 * Names by which a row of each kind is meant, the one that is shown first. Method cards are named here, and kept
 * elsewhere.
 */
function namesOf(kindName: KindName, row: Row, lookup: Lookup): string[] {
	if (kindName === 'cards') return [String(row['code']), String(row['title'])];
	const kind = kinds.find((k) => k.name === kindName)!;
	return kind.aliases?.(row) ?? [kind.nameOf(row, lookup)];
}

const plain = (text: string): string => text.trim().toLowerCase();

/** Finds things by name in a library; `more` are names that are about to be there. */
export function lookupIn(library: Library, more: ReadonlyMap<string, string> = new Map()): Lookup {
	const index = new Map<KindName, Map<string, string>>();
	const indexOf = (kindName: KindName): Map<string, string> => {
		const known = index.get(kindName);
		if (known) return known;
		const names = new Map<string, string>();
		// a row's first name goes before another row's second
		const all = library[kindName].map((row) => ({ id: row.id, names: namesOf(kindName, row, lookup) }));
		for (const { id, names: own } of all)
			for (const name of own.slice(1)) if (!names.has(plain(name))) names.set(plain(name), id);
		for (const { id, names: own } of all) names.set(plain(own[0]!), id);
		index.set(kindName, names);
		return names;
	};
	const lookup: Lookup = {
		find: (kindNames, text) => {
			for (const k of kindNames) {
				const found = indexOf(k).get(plain(text)) ?? more.get(`${k} ${plain(text)}`);
				if (found !== undefined) return found;
			}
			return null;
		},
		nameOf: (kindNames, id) => {
			for (const k of kindNames) {
				const row = library[k].find((r) => r.id === id);
				if (row) return namesOf(k, row, lookup)[0]!;
			}
			return '';
		},
		commonNameOf: (kindNames, name) => {
			for (const k of kindNames) {
				const id = lookup.find([k], name);
				const row = library[k].find((r) => r.id === id);
				if (row) return kinds.find((one) => one.name === k)?.commonName?.(row) ?? name;
			}
			return name;
		}
	};
	return lookup;
}

/** A row as texts. */
export const writeRow = (kind: Kind, row: Row, lookup: Lookup): Texts =>
	Object.fromEntries(Object.entries(kind.fields).map(([name, field]) => [name, field.write(row[name], lookup)]));

/** A row from texts; with every field that cannot be read. A field without a text is read as an empty one. */
export function readRow(kind: Kind, id: string, texts: Texts, lookup: Lookup): { row: Row; objections: Objection[] } {
	const row: Row = { id };
	const objections: Objection[] = [];
	for (const [name, field] of Object.entries(kind.fields)) {
		const read = field.read(texts[name] ?? '', lookup);
		if ('why' in read) objections.push({ field: name, why: read.why });
		else row[name] = read.value;
	}
	return { row, objections };
}

/** What forbids a row in a library that may hold an older state of it. */
export function objectionsTo(kind: Kind, row: Row, library: Library, today: string): Objection[] {
	const lookup = lookupIn(library);
	const key = keyOf(kind, row, lookup);
	const twin = library[kind.name].find((r) => r.id !== row.id && keyOf(kind, r, lookup) === key);
	const [first] = kind.key;
	const listed = kind.key.find((k) => !kind.fields[k]!.refers && String(row[k]).includes(';'));
	return [
		...(listed
			? [{ field: listed, why: `${kind.fields[listed]!.label} may hold no semicolon: lists are written with them.` }]
			: []),
		...(twin ? [{ field: first!, why: `There is another ${kind.one} ${kind.nameOf(twin, lookup)}.` }] : []),
		...kind.objections(row, library, today)
	];
}

/** What tells a row from others of its kind, as one text. */
export const keyOf = (kind: Kind, row: Row, lookup: Lookup): string => keyOfTexts(kind, writeRow(kind, row, lookup));
export const keyOfTexts = (kind: Kind, texts: Texts): string => kind.key.map((k) => plain(texts[k] ?? '')).join('|');

/** A library in which one row is as given. */
export const withRow = (library: Library, kind: Kind, row: Row): Library => ({
	...library,
	[kind.name]: [...library[kind.name].filter((r) => r.id !== row.id), row]
});

/** Where a row is named by others, by its id or by its name: it cannot be taken out while it is. */
export function namedBy(kind: Kind, id: string, library: Library): string[] {
	const lookup = lookupIn(library);
	const known = [id, lookup.nameOf([kind.name], id)];
	const row = library[kind.name].find((r) => r.id === id);
	const otherwise = row ? (kind.namedBy?.(row, library) ?? []) : [];
	const byFields = kinds.flatMap((k) =>
		Object.entries(k.fields).flatMap(([name, field]) =>
			field.refers?.includes(kind.name)
				? library[k.name]
						.filter((r) => [r[name]].flat().some((said) => known.includes(String(said))))
						.map((r) => `${k.one} ${k.nameOf(r, lookup)}`)
				: []
		)
	);
	return [...otherwise, ...byFields];
}
