import { describe, expect, it } from 'vitest';
import { animalList, animalWords, communityOf, kindsThatCount, OwnAnimal, shippedAnimals, type AnimalList } from '.';

/** What a program says of one animal. */
const own = (said: Partial<OwnAnimal> & Pick<OwnAnimal, 'code' | 'rank'>): OwnAnimal =>
	OwnAnimal.parse({ name: said.code.toLowerCase(), ...said });
const kindsOf = (counts: Record<string, number>, animals: AnimalList) =>
	Object.entries(counts).map(([code, count]) => ({ code, taxon: animals.of(code), count }));

describe('animals that are shipped', () => {
	it('are found each by its own name, and no other name means two kinds', () => {
		const { taxa } = shippedAnimals;
		const { words, named } = animalWords(shippedAnimals);
		for (const taxon of taxa) expect(named(taxon.code)).toEqual({ taxon, isOther: false });
		for (const { word, code } of words) expect(named(word)?.taxon.code, word).toBe(code);
		expect(new Set(words.map((w) => w.word)).size).toBe(words.length);
	});

	it.each([
		['Baetidae larvae', 'Baetidae', false],
		['baetis cf. rhodani', 'Baetidae', true],
		['Chironomidae (red)', 'Chironomidae-red', false],
		['Tanypodinae', 'Chironomidae', true],
		['riffle beetle', 'Elmidae', true],
		['Elmidae adults', 'Elmidae', false],
		['Gammarus spp.', 'Gammaridae', true]
	])('%s is %s', (word, code, isOther) => {
		expect(animalWords(shippedAnimals).named(word)).toMatchObject({ taxon: { code }, isOther });
	});

	it('are asked for where several kinds are called so, or none', () => {
		for (const word of ['stonefly', 'Betidae', '', 'larva', 'constructor'])
			expect(animalWords(shippedAnimals).named(word)).toBeNull();
	});

	it('know the larger groups that they belong to', () => {
		expect(shippedAnimals.isWithin('Baetidae', 'Ephemeroptera')).toBe(true);
		expect(shippedAnimals.isWithin('Planariidae', 'Turbellaria')).toBe(true);
		expect(shippedAnimals.isWithin('Ephemeroptera', 'Baetidae')).toBe(false);
		expect(shippedAnimals.isWithin('Baetidae', 'Plecoptera')).toBe(false);
	});
});

describe('animals of a program’s own', () => {
	const split = animalList([
		own({ code: 'Baetis-rhodani', rank: 'species', partOf: 'Baetis', name: 'large dark mayfly', score: 5 }),
		own({ code: 'Baetis', rank: 'genus', partOf: 'Baetidae', otherNames: ['Alainites', 'Labiobaetis'] })
	]);

	it('stand beside their family, with its order, and its values where they have none of their own', () => {
		expect(split.of('Baetis-rhodani')).toMatchObject({
			order: 'Ephemeroptera',
			tolerance: 4,
			score: 5,
			group: 'sensitive',
			scoresAs: 'Baetidae',
			within: ['Baetis', 'Baetidae', 'Ephemeroptera']
		});
		const codes = split.taxa.map((t) => t.code);
		expect(codes.indexOf('Baetis')).toBeLessThan(codes.indexOf('Odonata'));
		expect(split.nameOf('Baetis-rhodani')).toBe('large dark mayfly');
	});

	it('are found by their names before a list that is shipped says otherwise', () => {
		expect(animalWords(split).named('Baetis sp.')).toMatchObject({ taxon: { code: 'Baetis' }, isOther: false });
		expect(animalWords(split).named('Baetis rhodani')).toMatchObject({ taxon: { code: 'Baetis-rhodani' } });
		expect(animalWords(split).named('Labiobaetis')).toMatchObject({ taxon: { code: 'Baetis' }, isOther: true });
		expect(animalWords(split).named('Cloeon')).toMatchObject({ taxon: { code: 'Baetidae' } });
	});

	it('are one kind with their family, which they were perhaps called, and score once', () => {
		const kinds = kindsOf({ Baetidae: 3, Baetis: 2, 'Baetis-rhodani': 4, Perlidae: 1 }, split);
		expect(kindsThatCount(kinds).map((k) => k.code)).toEqual(['Baetis-rhodani', 'Perlidae']);
		const said = communityOf(kinds, 5);
		expect(said).toMatchObject({ animals: 10, richness: 2, ept: 2, score: { kinds: 2 } });
		// two species of one family have one score between them
		const two = animalList([
			own({ code: 'Baetis', rank: 'genus', partOf: 'Baetidae' }),
			own({ code: 'Cloeon', rank: 'genus', partOf: 'Baetidae' })
		]);
		expect(communityOf(kindsOf({ Baetis: 2, Cloeon: 4 }, two), 5)).toMatchObject({ richness: 2, score: { kinds: 1 } });
	});

	it('that were joined to another count as it, by whichever of the names they were counted', () => {
		const joined = animalList([
			own({ code: 'Ancylidae', rank: 'family', countsAs: 'Planorbidae' }),
			own({ code: 'Bulinus', rank: 'genus', partOf: 'Planorbidae', countsAs: 'Ancylidae' })
		]);
		for (const word of ['Ancylidae', 'Ancylus', 'Bulinus', 'Planorbis'])
			expect(animalWords(joined).named(word)?.taxon.code, word).toBe('Planorbidae');
		expect(joined.of('Ancylidae')?.code).toBe('Planorbidae');
		expect(joined.nameOf('Ancylidae')).toBe('lunged snail');
		expect(joined.taxa.some((t) => t.code === 'Ancylidae' || t.code === 'Bulinus')).toBe(false);
		expect(joined.isWithin('Ancylidae', 'Planorbidae')).toBe(true);
	});

	it('that belong to one that was joined belong to the other by now, and score as it', () => {
		const joined = animalList([
			own({ code: 'Ancylidae', rank: 'family', countsAs: 'Planorbidae' }),
			own({ code: 'Ancylus', rank: 'genus', partOf: 'Ancylidae' })
		]);
		expect(joined.of('Ancylus')).toMatchObject({ within: ['Planorbidae', 'Gastropoda'], scoresAs: 'Planorbidae' });
		expect(joined.isWithin('Ancylus', 'Planorbidae')).toBe(true);
		const kinds = kindsOf({ Ancylus: 2, Planorbidae: 5 }, joined);
		expect(kindsThatCount(kinds).map((k) => k.code)).toEqual(['Ancylus']);
	});

	it('override what is shipped in name and values, and leave the rest', () => {
		const called = animalList([own({ code: 'Gammaridae', rank: 'family', name: 'river shrimp', tolerance: 5 })]);
		expect(called.of('Gammaridae')).toMatchObject({ name: 'river shrimp', tolerance: 5, score: 6, order: 'Amphipoda' });
		expect(called.taxa).toHaveLength(shippedAnimals.taxa.length);
	});

	it('that were joined in a circle, or to nothing, still stop somewhere', () => {
		const circle = animalList([
			own({ code: 'Baetis', rank: 'genus', partOf: 'Baetidae', countsAs: 'Cloeon' }),
			own({ code: 'Cloeon', rank: 'genus', partOf: 'Baetidae', countsAs: 'Baetis' }),
			own({ code: 'Drunella', rank: 'genus', partOf: 'Ephemerellidae', countsAs: 'Nothing' })
		]);
		expect(['Baetis', 'Cloeon']).toContain(circle.current('Baetis'));
		expect(circle.current('Drunella')).toBe('Drunella');
		expect(circle.of('Unheard')).toBeNull();
	});
});
