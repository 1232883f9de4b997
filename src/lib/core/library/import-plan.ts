import { z } from 'zod';
import type { Kind, Library, Row } from './kind';
import { keyOf, keyOfTexts, lookupIn, objectionsTo, readRow, writeRow, type Texts } from './rows';

/** One row of a file, by the headings of the file; `line` is where it stands there. */
export interface FileRow {
	line: number;
	cells: Record<string, string>;
	/** Why the row itself cannot be read. */
	broken?: string;
}

export interface ImportLine {
	line: number;
	name: string;
	verdict: 'new' | 'changed' | 'same' | 'refused';
	/** What would change, as it is and as it would be. */
	changes: { label: string; from: string; to: string }[];
	why: string[];
	/** What would be written; null where nothing is. */
	row: Row | null;
}

/**
 * What a program's own files call things: a field by a foreign heading ('' where it says nothing here), and what a
 * foreign word in a field stands for. Said once, and remembered for the next file.
 */
export const ImportMapping = z.object({
	headings: z.record(z.string().max(200), z.string().max(60)).default({}),
	values: z.record(z.string().max(60), z.record(z.string().max(400), z.string().max(400))).default({})
});
export type ImportMapping = z.infer<typeof ImportMapping>;

export interface ImportPlan {
	lines: ImportLine[];
	/** Words that stand in a field of few choices and are none of them, each once. */
	strange: { field: string; text: string }[];
	/** Headings that say nothing here. */
	unknown: string[];
	/** Fields that must be said and have no heading in the file. */
	missing: string[];
}

/** Which field a heading means: by name, by label, case and blanks aside. */
export function fieldOfHeading(kind: Kind, heading: string): string | null {
	const said = bare(heading);
	for (const [name, field] of Object.entries(kind.fields))
		if (
			[name, field.label, name.replace(/Id(s?)$/, '$1'), ...(field.unit ? [`${field.label} ${field.unit}`] : [])].some(
				(n) => bare(n) === said
			)
		)
			return name;
	return null;
}

const bare = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '');

interface ImportOptions {
	newId: () => string;
	/** The day on which it is read, as an ISO date. */
	today: string;
	/** What stands where the file says nothing. */
	defaults?: Texts;
	mapping?: ImportMapping;
}

/**
 * What a file would do to the library, line by line. A row that is told apart as one that is there changes the fields
 * it has headings for, and no others. Rows may name each other in any order. Nothing is written here.
 */
export function planImport(
	kind: Kind,
	file: readonly FileRow[],
	library: Library,
	{ newId, today, defaults = {}, mapping = { headings: {}, values: {} } }: ImportOptions
): ImportPlan {
	const headings = [...new Set(file.flatMap((r) => Object.keys(r.cells)))];
	const known = new Map(headings.map((h) => [h, meantField(kind, h, mapping)]));
	const given = new Set([...known.values(), ...Object.keys(defaults).filter((k) => defaults[k] !== '')]);
	const before = lookupIn(library);
	const there = new Map(
		library[kind.name].flatMap((row) => [[keyOf(kind, row, before), row] as const, ...turned(kind, row)])
	);
	const drafts: Draft[] = file.map(({ line, cells, broken }) => {
		const texts: Texts = Object.fromEntries(
			Object.entries(cells).flatMap(([h, text]) => {
				const field = known.get(h);
				return field ? [[field, said(mapping.values[field], text.trim()) || text]] : [];
			})
		);
		const filled = {
			...defaults,
			...Object.fromEntries(Object.entries(texts).filter(([k, t]) => t.trim() !== '' || !defaults[k]))
		};
		const old = there.get(keyOfTexts(kind, filled)) ?? null;
		return {
			line,
			broken,
			old,
			id: old?.id ?? newId(),
			texts: old ? { ...writeRow(kind, old, before), ...texts } : filled
		};
	});
	const coming = new Map(
		kind.key.length === 1 ? drafts.map((d) => [`${kind.name} ${keyOfTexts(kind, d.texts)}`, d.id]) : []
	);
	const lookup = lookupIn(library, coming);
	const lines = drafts.map((draft, i) => lineOf(kind, draft, drafts.slice(0, i), lookup));
	settle(kind, lines, library, today);
	return {
		lines,
		unknown: headings.filter((h) => known.get(h) === null && said(mapping.headings, h) === undefined),
		strange: strangeWords(kind, drafts, lookup),
		missing: Object.entries(kind.fields)
			.filter(([name, field]) => field.isRequired && !given.has(name))
			.map(([name]) => name)
	};

	/** A drive is the same in either direction. */
	function turned(of: Kind, row: Row): [string, Row][] {
		if (of.key.length !== 2 || !of.key.every((k) => of.fields[k]!.refers)) return [];
		const texts = writeRow(of, row, before);
		const [a, b] = of.key as [string, string];
		return [[keyOfTexts(of, { [a]: texts[b]!, [b]: texts[a]! }), row]];
	}
}

/** What was said of a foreign word: a file may hold any, also those that every object answers to. */
const said = (words: Readonly<Record<string, string>> | undefined, foreign: string): string | undefined =>
	words && Object.hasOwn(words, foreign) ? words[foreign] : undefined;

/** The field that a heading means: as it was said once, else by its own words. */
function meantField(kind: Kind, heading: string, { headings }: ImportMapping): string | null {
	const field = said(headings, heading);
	if (field === undefined) return fieldOfHeading(kind, heading);
	return Object.hasOwn(kind.fields, field) ? field : null;
}

/** More foreign words than these are not asked about one by one. */
const MOST_STRANGE = 40;

function strangeWords(kind: Kind, drafts: readonly Draft[], lookup: ReturnType<typeof lookupIn>) {
	const found = new Map<string, { field: string; text: string }>();
	for (const { texts, broken } of drafts)
		for (const [field, of] of Object.entries(kind.fields)) {
			const text = (texts[field] ?? '').trim();
			if (broken !== undefined || text === '' || of.control !== 'one') continue;
			if ('why' in of.read(text, lookup)) found.set(`${field} ${text}`, { field, text });
		}
	return [...found.values()].slice(0, MOST_STRANGE);
}

interface Draft {
	line: number;
	broken: string | undefined;
	old: Row | null;
	id: string;
	texts: Texts;
}

function lineOf(kind: Kind, draft: Draft, earlier: readonly Draft[], lookup: ReturnType<typeof lookupIn>): ImportLine {
	const { row, objections } = readRow(kind, draft.id, draft.texts, lookup);
	const twin = earlier.find(
		(d) => d.broken === undefined && keyOfTexts(kind, d.texts) === keyOfTexts(kind, draft.texts)
	);
	const why = draft.broken
		? [draft.broken]
		: [...objections.map((o) => o.why), ...(twin ? [`Line ${twin.line} says the same ${kind.one} already.`] : [])];
	const name =
		kind.key
			.map((k) => draft.texts[k] ?? '')
			.join(' ')
			.trim() || `line ${draft.line}`;
	if (why.length) return { line: draft.line, name, verdict: 'refused', changes: [], why, row: null };
	const was = draft.old ? writeRow(kind, draft.old, lookup) : null;
	const now = writeRow(kind, row, lookup);
	const changes = Object.entries(kind.fields).flatMap(([field, of]) => {
		const from = was?.[field] ?? '';
		// a reference to a row of the same file has no name yet: its text stands for it
		const to =
			now[field] ||
			of.write((of.read(draft.texts[field] ?? '', lookup) as { value: unknown }).value, lookup) ||
			(draft.texts[field] ?? '').trim();
		return from === to ? [] : [{ label: of.label, from, to }];
	});
	const ofKnown = changes.length ? 'changed' : 'same';
	return {
		line: draft.line,
		name,
		verdict: draft.old ? ofKnown : 'new',
		changes,
		why: [],
		row
	};
}

/** Takes out what the rest of the file and the library do not allow, until all that is left may stand together. */
function settle(kind: Kind, lines: ImportLine[], library: Library, today: string): void {
	for (let isSettled = false; !isSettled;) {
		isSettled = true;
		const standing = lines.filter((l) => l.row !== null);
		const written = new Map(standing.map((l) => [l.row!.id, l.row!]));
		const after: Library = {
			...library,
			[kind.name]: [...library[kind.name].filter((r) => !written.has(r.id)), ...written.values()]
		};
		for (const line of standing) {
			const why = [
				...lostReferences(kind, line.row!, after),
				...objectionsTo(kind, line.row!, after, today).map((o) => o.why)
			];
			if (why.length === 0) continue;
			Object.assign(line, { verdict: 'refused', changes: [], why, row: null });
			isSettled = false;
		}
	}
}

function lostReferences(kind: Kind, row: Row, library: Library): string[] {
	return Object.entries(kind.fields).flatMap(([name, field]) => {
		if (!field.refers) return [];
		const ids = [row[name]].flat().filter((id) => id !== null);
		const isLost = ids.some((id) => !field.refers!.some((k) => library[k].some((r) => r.id === id)));
		return isLost ? [`${field.label}: what it names is refused in this file.`] : [];
	});
}
