import { OwnAnimal } from './own-animal';
import { taxa as shipped } from './taxa';
import { isLargerGroup, type Taxon } from './taxon';
import { otherNames } from './taxon-names';

/** An animal as somebody's list names it: the same name as ours, or another one for it. */
export interface NamedTaxon {
	taxon: Taxon;
	/** It is called otherwise here, or told no further. */
	isOther: boolean;
}

/** The kinds of animal that a program tells apart, and what each is called by now. */
export interface AnimalList {
	/** Those that can be chosen, each beside its relatives. */
	taxa: readonly Taxon[];
	/** A kind by the code under which it was counted, were it long ago; null for what is on no list. */
	of: (code: string) => Taxon | null;
	/** What it counts as by now: itself, or the kind that it was joined to. */
	current: (code: string) => string;
	/** What people call it; a compartment that has no name yet by what it is called. */
	nameOf: (code: string) => string;
	/** Whether the narrower name is the wider one or a part of it. */
	isWithin: (narrow: string, wide: string) => boolean;
	/** The kind that a list's word means; null where it could be several, or none. A species is found by its genus. */
	named: (word: string) => NamedTaxon | null;
	/** All words by which a kind is found, as they are written: to offer those that are nearly the one that was asked. */
	words: readonly { word: string; code: string }[];
}

/** Letters alone, small: `Chironomidae (red)` and `chironomidae-red` are one word. */
const bare = (text: string): string => text.toLowerCase().replace(/[^\p{L}]/gu, '');
/** What stands beside a name and is none: how old the animal is, and that nobody could tell further. */
const BESIDE = /\b(larvae?|nymphs?|pupae?|adults?|family|genus|spp?|indet|undet|juv)\b\.?/giu;
/** Joined to one that was joined to another, and so on: more steps than these are a circle. */
const MOST_JOINED = 10;

/**
 * The animals that are shipped, with what a program says of its own: kinds that it adds, other names and values for
 * those there are, and kinds that it joined to another. What was counted under a joined name stays as it was written.
 */
export function animalList(own: readonly OwnAnimal[] = NONE): AnimalList {
	const list = listed.get(own) ?? listOf(own);
	listed.set(own, list);
	return list;
}
const NONE: readonly OwnAnimal[] = [];
/** What a satchel or a server read is never changed, so each is listed once. */
const listed = new WeakMap<readonly OwnAnimal[], AnimalList>();

function listOf(own: readonly OwnAnimal[]): AnimalList {
	const said = new Map(own.map((animal) => [animal.code, animal]));
	const known = new Map(shipped.map((taxon) => [taxon.code, overridden(taxon, said.get(taxon.code))]));
	for (const animal of parentsFirst(own)) if (!known.has(animal.code)) known.set(animal.code, added(animal, known));

	const current = (code: string): string => {
		let now = code;
		for (let i = 0; i < MOST_JOINED; i++) {
			const next = said.get(now)?.countsAs;
			if (!next || !known.has(next)) break;
			now = next;
		}
		return now;
	};
	// what belongs to a kind that was joined belongs to the other by now
	for (const [code, taxon] of known)
		known.set(code, { ...taxon, within: taxon.within.map(current), scoresAs: current(taxon.scoresAs) });
	const of = (code: string): Taxon | null => known.get(current(code)) ?? null;
	const taxa = besideRelatives([...known.values()].filter(({ code }) => current(code) === code));
	const words = [
		...taxa.map(({ code }) => ({ word: code, code })),
		...own.flatMap(({ code, otherNames }) => [code, ...otherNames].map((word) => ({ word, code: current(code) }))),
		...Object.entries(otherNames).flatMap(([code, names]) =>
			names.split(', ').map((word) => ({ word, code: current(code) }))
		)
	];
	const byWord = wordsOf(taxa, words);
	return {
		taxa,
		of,
		current,
		nameOf: (code) => of(code)?.name ?? code.replaceAll('-', ' '),
		isWithin: (narrow, wide) => current(narrow) === current(wide) || (of(narrow)?.within ?? []).includes(current(wide)),
		named: (word) => {
			const text = word.replaceAll(BESIDE, ' ').trim();
			const code = byWord.get(bare(text)) ?? byWord.get(bare(text.split(/\s+/)[0] ?? ''));
			if (code === undefined) return null;
			return { taxon: known.get(code)!, isOther: bare(code) !== bare(text) };
		},
		words
	};
}

/** Which kind each word means: names first as they are written, then what people call a kind where one alone is. */
function wordsOf(taxa: readonly Taxon[], words: AnimalList['words']): ReadonlyMap<string, string> {
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

/** A kind that is shipped, as the program calls and rates it. */
const overridden = (taxon: Taxon, said: OwnAnimal | undefined): Taxon =>
	said === undefined
		? taxon
		: {
				...taxon,
				name: said.name,
				tolerance: said.tolerance ?? taxon.tolerance,
				score: said.score ?? taxon.score,
				group: said.group ?? taxon.group
			};

/** A kind that the program adds; one below a family has that family's values where it has none of its own. */
function added(animal: OwnAnimal, known: ReadonlyMap<string, Taxon>): Taxon {
	const { code, rank, name, tolerance, score, group } = animal;
	const parent = animal.partOf === null ? undefined : known.get(animal.partOf);
	const family = parent && !isLargerGroup(parent) ? parent : undefined;
	return {
		code,
		rank,
		name,
		order: parent?.order ?? code,
		tolerance: tolerance ?? family?.tolerance ?? null,
		score: score ?? family?.score ?? null,
		group: group ?? family?.group ?? null,
		scoresAs: family?.scoresAs ?? code,
		within: parent ? [parent.code, ...parent.within] : []
	};
}

/** A species comes after its genus, in whatever order they were written down. */
const parentsFirst = (own: readonly OwnAnimal[]): OwnAnimal[] =>
	[...own].sort((a, b) => OwnAnimal.shape.rank.options.indexOf(a.rank) - OwnAnimal.shape.rank.options.indexOf(b.rank));

/** Orders stay in the order in which they are shipped; in each, what was added comes after the others. */
function besideRelatives(taxa: readonly Taxon[]): Taxon[] {
	const orders = [...new Set(taxa.map(({ order }) => order))];
	return orders.flatMap((order) => taxa.filter((taxon) => taxon.order === order));
}

/** The animals of a program that says nothing of its own. */
export const shippedAnimals = animalList();
