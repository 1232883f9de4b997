import { describe, expect, it } from 'vitest';
import { taxa, taxonNamed, taxonWords } from '.';

describe('names of animals', () => {
	it('each kind is found by its own name, and no other name means two kinds', () => {
		for (const taxon of taxa) expect(taxonNamed(taxon.code)).toEqual({ taxon, isOther: false });
		for (const { word, code } of taxonWords) expect(taxonNamed(word)?.taxon.code, word).toBe(code);
		expect(new Set(taxonWords.map((w) => w.word)).size).toBe(taxonWords.length);
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
		expect(taxonNamed(word)).toMatchObject({ taxon: { code }, isOther });
	});

	it('asks for what several kinds are called, and for what is none', () => {
		for (const word of ['stonefly', 'Betidae', '', 'larva', 'constructor']) expect(taxonNamed(word)).toBeNull();
	});
});
