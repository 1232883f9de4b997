import {
	animalList,
	animalWords,
	isLargerGroup,
	OwnAnimal,
	sensitivityGroups,
	shippedAnimals,
	taxonRanks,
	type AnimalList
} from '../../macroinvertebrates';
import { describedAnimals } from '../../identification';
import { maybeNumber, maybeOneOf, oneOf, wordList, words, type Field } from '../field';
import { kind, type Library, type RowOf } from '../kind';
import { shownStates } from './shown-states';

/** What a program says of animals, out of its library. */
export const ownAnimalsIn = ({ animals: rows }: Pick<Library, 'animals'>): OwnAnimal[] =>
	rows.map((row) => OwnAnimal.parse(row));

const CODE = /^[A-Z][a-z]+(-[a-z]+)*$/;

/**
 * Another kind of animal, by its code; what people call one that is shipped is understood too. Codes are kept as they
 * are written: the program may tell apart what is shipped as one.
 */
function anotherAnimal(label: string, help: string): Field<string | null> {
	return {
		label,
		help,
		isRequired: false,
		control: 'one',
		optionsIn: (library) => animalList(ownAnimalsIn(library)).taxa.map(({ code }) => code),
		read: (text) => {
			const given = text.trim();
			if (given === '' || CODE.test(given)) return { value: given || null };
			return { value: animalWords(shippedAnimals).named(given)?.taxon.code ?? given };
		},
		write: (code) => code ?? ''
	};
}

const fields = {
	code: words({
		label: 'Scientific name',
		isRequired: true,
		most: 60,
		help: 'one word with a capital, such as Baetis, Baetis-rhodani or Chironomidae-red; it stays when the rest changes',
		pattern: CODE,
		patternSays: 'a capital, then small letters; further words after dashes'
	}),
	name: words({ label: 'Called', isRequired: true, most: 60, help: 'what people say at the tray, such as mayfly' }),
	rank: oneOf({ label: 'Rank', options: taxonRanks }),
	partOf: anotherAnimal('Belongs to', 'the family of a genus, the order of a family; empty for a group of its own'),
	otherNames: wordList({
		label: 'Other names',
		help: 'by which lists and files mean the same animal: names it had before, genera of a family; between semicolons'
	}),
	tolerance: maybeNumber({
		label: 'Tolerance',
		help: '0 stands no organic load, 10 much of it; empty: as shipped, or as its family',
		least: 0,
		most: 10
	}),
	score: maybeNumber({
		label: 'Score',
		help: '10 asks for the cleanest water; empty: as shipped, or as its family',
		least: 0,
		most: 100
	}),
	group: maybeOneOf({
		label: 'Group',
		help: 'how it stands what spoils a stream; empty: as shipped, or as its family',
		options: sensitivityGroups
	}),
	countsAs: anotherAnimal(
		'Joined to',
		'it is counted as this kind by now, in earlier years too; what was written at the time stays'
	),
	tell: words({
		label: 'How to tell it',
		most: 300,
		help: 'what one looks at, with a lens or without; it stands on its card at the tray'
	}),
	shows: shownStates({
		label: 'In the key it shows',
		help:
			'what sets it apart, as the key asks: “tails: three, bare; size: under 3 mm”; in all else it is like what ' +
			'it belongs to'
	}),
	drawing: maybeOneOf({
		label: 'Drawing',
		help: 'the one that is most like it; empty: that of what it belongs to',
		options: [...new Set(describedAnimals.map((t) => t.drawing))]
	}),
	because: words({ label: 'Why, and who says so', most: 200, help: 'for whoever asks in five years' })
};
type AnimalRow = RowOf<typeof fields>;
type Fault = { field: keyof typeof fields | ''; why: string };

/** All kinds as they are with a row as it is now. */
const listWith = (row: AnimalRow, { animals: rows }: Pick<Library, 'animals'>): AnimalList =>
	animalList([...ownAnimalsIn({ animals: rows.filter((r) => r.id !== row.id) }), OwnAnimal.parse(row)]);

export const animals = kind({
	name: 'animals',
	one: 'kind of animal',
	many: 'Kinds of animals',
	about:
		'The families of most streams are here already. Add kinds that you tell apart beyond them, call or rate one ' +
		'otherwise, or join one to another that it cannot be told from.',
	isNeeded: false,
	startFrom: (code) => {
		const taxon = shippedAnimals.of(code);
		if (taxon === null) return null;
		const { name, rank } = taxon;
		const unsaid = { partOf: null, otherNames: [], tolerance: null, score: null, group: null, countsAs: null };
		const asShipped = { tell: '', shows: [], drawing: null, because: '' };
		return { code: taxon.code, name, rank, ...unsaid, ...asShipped };
	},
	fields,
	key: ['code'],
	columns: ['code', 'name', 'rank', 'partOf', 'tolerance', 'score', 'countsAs'],
	filter: 'rank',
	nameOf: (row) => row.code,
	aliases: (row) => [row.code, ...row.otherNames],
	// one that is shipped stays without what the program says of it
	namedBy: ({ code }, library) => (shippedAnimals.of(code) ? [] : saidOf(code, library)),
	objections: (row, library) => {
		const before = library.animals.find((r) => r.id === row.id) as AnimalRow | undefined;
		const renamed: Fault[] =
			before && before.code !== row.code
				? [
						{
							field: 'code',
							why: `It is ${before.code} where it was counted; add another kind, and join this one to it.`
						}
					]
				: [];
		return [...renamed, ...placeFaults(row, library), ...joinFaults(row, library), ...keyFaults(row, library)];
	},
	doubts: (row, library) => {
		const all = listWith(row, library);
		const { named } = animalWords(all);
		const taken = row.otherNames.filter((word) => named(word)?.taxon.code !== all.current(row.code));
		return taken.map((word) => ({
			field: 'otherNames',
			why: `“${word}” means ${named(word)?.taxon.code ?? 'nothing'} here, and goes on to.`
		}));
	}
});

/** Kinds that were said to belong to it, or were joined to it. */
const saidOf = (code: string, { animals: rows }: Pick<Library, 'animals'>): string[] =>
	ownAnimalsIn({ animals: rows }).flatMap((a) => (a.partOf === code || a.countsAs === code ? [a.code] : []));

/** Where it stands among the others. */
function placeFaults(row: AnimalRow, library: Library): Fault[] {
	const known = shippedAnimals.of(row.code);
	if (known && known.rank !== row.rank) return [{ field: 'rank', why: `${row.code} is of rank ${known.rank} here.` }];
	if (known && row.partOf !== null && !known.within.includes(row.partOf))
		return [{ field: 'partOf', why: `${row.code} belongs to ${known.order} here; leave this empty.` }];
	if (row.partOf === null)
		return isLargerGroup(row) || row.rank === 'family'
			? []
			: [{ field: 'partOf', why: `Which family or genus does the ${row.rank} belong to?` }];
	const parent = listWith(row, library).of(row.partOf);
	if (parent === null) return [{ field: 'partOf', why: `There is no “${row.partOf}” here. Add it first.` }];
	return taxonRanks.indexOf(parent.rank) < taxonRanks.indexOf(row.rank)
		? []
		: [{ field: 'partOf', why: `A ${row.rank} is no part of a ${parent.rank}.` }];
}

/** Whether the key can take it in. */
function keyFaults(row: AnimalRow, library: Library): Fault[] {
	if (row.shows.length === 0) return [];
	if (describedAnimals.some((t) => t.code === row.code))
		return [{ field: 'shows', why: `The key knows what ${row.code} shows; leave this empty.` }];
	const list = listWith(row, library);
	const isLikeSome = describedAnimals.some((t) => row.partOf !== null && list.isWithin(t.code, row.partOf));
	const isOfSome = list.of(row.code)?.within.some((code) => describedAnimals.some((t) => t.code === code)) === true;
	return isLikeSome || isOfSome
		? []
		: [{ field: 'shows', why: 'The key knows none of its relatives, so it cannot tell it from anything.' }];
}

/** Which kind it was joined to, and that to which, and so on. */
function joinFaults(row: AnimalRow, library: Library): Fault[] {
	if (row.countsAs === null) return [];
	const others = ownAnimalsIn({ animals: library.animals.filter((r) => r.id !== row.id) });
	const without = animalList(others);
	if (row.countsAs === row.code || without.current(row.countsAs) === row.code)
		return [{ field: 'countsAs', why: `${row.countsAs} counts as ${row.code} itself: neither would be left.` }];
	return without.of(row.countsAs) === null
		? [{ field: 'countsAs', why: `There is no “${row.countsAs}” here. Add it first.` }]
		: [];
}
