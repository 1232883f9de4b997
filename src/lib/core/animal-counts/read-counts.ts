import { readDay, type FileRow } from '../library';
import { animalWords, type AnimalList } from '../macroinvertebrates';
import { countFieldOf, type CountField, type CountMapping } from './mapping';

/** One row that could be read; `code` is null where its animal is not counted here, or not known yet. */
export interface CountRow {
	line: number;
	/** How the file names the sample: by a label, or by a site and an ISO day. */
	label: string;
	site: string;
	day: string | null;
	word: string;
	code: string | null;
	/** It is called otherwise here, or told no further. */
	isOther: boolean;
	count: number;
	/** Why it is not counted. */
	why: string | null;
	/** Nobody has said what its animal is. */
	isStrange: boolean;
}

/** More of one kind in one tray were not counted by anybody. */
const MOST_OF_A_KIND = 100_000;

/** What a row says. All of its sample waits where `why` stands, except where its animal was said to be left out. */
export function readCountRow(given: FileRow, mapping: CountMapping, animals: AnimalList): CountRow {
	const cells = cellsOf(given, mapping);
	const word = cells.animal ?? '';
	const day = cells.day ? readDay(cells.day.replace(/[T ]\d\d:\d\d.*$/, '')) : null;
	const row: CountRow = {
		line: given.line,
		label: (cells.label ?? '').toUpperCase(),
		site: (cells.site ?? '').toUpperCase(),
		day: day && 'day' in day ? day.day : null,
		word,
		code: null,
		isOther: false,
		count: 0,
		why: null,
		isStrange: false
	};
	if (given.broken !== undefined) return { ...row, why: given.broken };
	if (day && 'why' in day) return { ...row, why: `${day.why}.` };
	if (word === '') return { ...row, why: 'It names no animal.' };
	const count = readCount(cells.count ?? '');
	if ('why' in count) return { ...row, why: count.why };
	const named = kindMeant(word, mapping, animals);
	if (named === null) return { ...row, ...count, isStrange: true, why: `“${word}” is no animal known here.` };
	return { ...row, ...count, ...named };
}

/** The cells of a row by what they mean; of two headings that mean the same the first that says anything. */
function cellsOf({ cells }: FileRow, mapping: CountMapping): Partial<Record<CountField, string>> {
	const found: Partial<Record<CountField, string>> = {};
	for (const [heading, text] of Object.entries(cells)) {
		const field = countFieldOf(heading, mapping);
		if (field && (found[field] ?? '') === '') found[field] = text.trim();
	}
	return found;
}

/** The kind that a word means; its code is null where it was said that it is not counted here. */
function kindMeant(
	word: string,
	{ animals: remembered }: CountMapping,
	animals: AnimalList
): Pick<CountRow, 'code' | 'isOther'> | null {
	const said = Object.hasOwn(remembered, word) ? remembered[word]! : null;
	if (said === '') return { code: null, isOther: false };
	const meant = said === null ? null : animals.of(said);
	if (meant) return { code: meant.code, isOther: true };
	const named = animalWords(animals).named(word);
	return named && { code: named.taxon.code, isOther: named.isOther };
}

/** So many animals: whole, and not below none. An empty cell is none, as tables of counts write it. */
function readCount(text: string): { count: number } | { why: string } {
	const given = text.replace(/\s/g, '');
	if (given === '' || given === '-' || given === '–') return { count: 0 };
	if (given.startsWith('=')) return { why: `“${given.slice(0, 40)}” is a formula, not a count.` };
	if (/^\d+[.,]0*$/.test(given)) return readCount(given.replace(/[.,]0*$/, ''));
	if (/^\d+[.,]\d+$/.test(given)) return { why: `“${given}” is no whole number of animals.` };
	if (/^[-−]\d/.test(given)) return { why: `“${given}” animals cannot be: a count is not below 0.` };
	if (!/^\d+$/.test(given)) return { why: `“${given.slice(0, 40)}” is not a count.` };
	const count = Number(given);
	return count > MOST_OF_A_KIND ? { why: `${given} of one kind in one sample is not possible.` } : { count };
}
