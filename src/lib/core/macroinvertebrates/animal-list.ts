import { OwnAnimal } from './own-animal';
import { taxa as shipped } from './taxa';
import { isLargerGroup, type Taxon } from './taxon';

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
	/** What the program says of its own. */
	own: readonly OwnAnimal[];
}

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
	return {
		taxa,
		of,
		current,
		nameOf: (code) => of(code)?.name ?? code.replaceAll('-', ' '),
		isWithin: (narrow, wide) => current(narrow) === current(wide) || (of(narrow)?.within ?? []).includes(current(wide)),
		own
	};
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
