import type { AnimalList } from './animal-list';
import type { Taxon } from './taxon';
import { otherNames } from './taxon-names';

/** An animal as somebody's list names it: the same name as ours, or another one for it. */
export interface NamedTaxon {
	taxon: Taxon;
	/** It is called otherwise here, or told no further. */
	isOther: boolean;
}

/** By which words the kinds of a list are found. */
export interface AnimalWords {
	/** The kind that a list's word means; null where it could be several, or none. A species is found by its genus. */
	named: (word: string) => NamedTaxon | null;
	/** All words by which a kind is found, as they are written: to offer those that are nearly the one that was asked. */
	words: readonly { word: string; code: string }[];
}

/** Letters alone, small: `Chironomidae (red)` and `chironomidae-red` are one word. */
const bare = (text: string): string => text.toLowerCase().replace(/[^\p{L}]/gu, '');
/** What stands beside a name and is none: how old the animal is, and that nobody could tell further. */
const BESIDE = /\b(larvae?|nymphs?|pupae?|adults?|family|genus|spp?|indet|undet|juv)\b\.?/giu;

/** What people and other lists call the kinds of a list, the program's own words before those that are shipped. */
export function animalWords(list: AnimalList): AnimalWords {
	const found = foundBy.get(list) ?? wordsOf(list);
	foundBy.set(list, found);
	return found;
}
const foundBy = new WeakMap<AnimalList, AnimalWords>();

function wordsOf({ taxa, own, of, current }: AnimalList): AnimalWords {
	const words = [
		...taxa.map(({ code }) => ({ word: code, code })),
		...own.flatMap(({ code, otherNames }) => [code, ...otherNames].map((word) => ({ word, code: current(code) }))),
		...Object.entries(otherNames).flatMap(([code, names]) =>
			names.split(', ').map((word) => ({ word, code: current(code) }))
		)
	];
	const byWord = meantBy(taxa, words);
	return {
		named: (word) => {
			const text = word.replaceAll(BESIDE, ' ').trim();
			const code = byWord.get(bare(text)) ?? byWord.get(bare(text.split(/\s+/)[0] ?? ''));
			if (code === undefined) return null;
			return { taxon: of(code)!, isOther: bare(code) !== bare(text) };
		},
		words
	};
}

/** Which kind each word means: names first as they are written, then what people call a kind where one alone is. */
function meantBy(taxa: readonly Taxon[], words: AnimalWords['words']): ReadonlyMap<string, string> {
	const byWord = new Map<string, string>();
	const add = (word: string, code: string) => {
		if (!byWord.has(bare(word))) byWord.set(bare(word), code);
	};
	for (const { word, code } of words) add(word, code);
	const called = new Map<string, number>();
	for (const { name } of taxa) called.set(name, (called.get(name) ?? 0) + 1);
	for (const { name, code } of taxa) if (called.get(name) === 1) add(name, code);
	return byWord;
}
