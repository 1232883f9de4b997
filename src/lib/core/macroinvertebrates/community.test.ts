import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { animalsToTell, classChances, communityOf, kindsThatCount, taxa, shippedAnimals, type Kind } from '.';

const of = (counts: Record<string, number>): Kind[] =>
	Object.entries(counts).map(([code, count]) => ({ code, taxon: shippedAnimals.of(code), count }));

describe('the taxa that are shipped', () => {
	it('have codes that a logbook takes, each once, and values within their lists', () => {
		expect(new Set(taxa.map((t) => t.code)).size).toBe(taxa.length);
		for (const t of taxa) {
			expect(t.code).toMatch(/^[A-Z][A-Za-z-]+$/);
			expect(t.name).not.toBe('');
			if (t.tolerance !== null) expect(t.tolerance >= 0 && t.tolerance <= 10).toBe(true);
			if (t.score !== null) expect(t.score >= 1 && t.score <= 10).toBe(true);
		}
	});
});

describe('a community', () => {
	it('is worked out as by hand', () => {
		// 30 Baetidae (4, 4), 10 Heptageniidae (4, 10), 20 Hydropsychidae (4, 5), 40 Asellidae (8, 3)
		const said = communityOf(of({ Baetidae: 30, Heptageniidae: 10, Hydropsychidae: 20, Asellidae: 40 }), 100);
		expect(said).toMatchObject({ animals: 100, richness: 4, ept: 3, unnamed: 0 });
		expect(said.index).toMatchObject({ value: 5.6, animals: 100, kinds: 4 });
		// (60·1.6² + 40·2.4²)/99 = 3.8788; ±2·√(3.8788/100)
		expect(said.index!.uncertainty).toBeCloseTo(0.3939, 3);
		expect(said.score).toEqual({ value: (4 + 10 + 5 + 3) / 4, kinds: 4 });
		expect(said.rarefied!.value).toBeCloseTo(4, 9); // all of them, drawn
	});
	it('counts a larger group only where none of its families is named, and its animals all the same', () => {
		const kinds = of({ Hirudinea: 3, Erpobdellidae: 2, Plecoptera: 1 });
		expect(kindsThatCount(kinds).map((k) => k.code)).toEqual(['Erpobdellidae', 'Plecoptera']);
		expect(communityOf(kinds, 100)).toMatchObject({ animals: 6, richness: 2, ept: 1, rarefied: null });
	});
	it('scores a family once, whatever it is called', () =>
		expect(communityOf(of({ Chironomidae: 5, 'Chironomidae-red': 5 }), 100)).toMatchObject({
			richness: 2,
			score: { value: 2, kinds: 1 }
		}));
	it('says what has no name, and nothing of nothing', () => {
		expect(communityOf(of({ 'unknown-1': 4, Baetidae: 1 }), 100)).toMatchObject({
			unnamed: 4,
			richness: 2,
			index: { value: 4, uncertainty: null, animals: 1 }
		});
		expect(communityOf([], 100)).toMatchObject({ animals: 0, richness: 0, index: null, score: null });
	});
	it('lies between its most sensitive and its most tolerant animal', () => {
		const rated = taxa.filter((t) => t.tolerance !== null);
		fc.assert(
			fc.property(fc.uniqueArray(fc.constantFrom(...rated), { minLength: 1, selector: (t) => t.code }), (some) => {
				const { index } = communityOf(
					some.map((taxon, i) => ({ code: taxon.code, taxon, count: 1 + i })),
					100
				);
				const tolerances = some.map((t) => t.tolerance!);
				expect(index!.value).toBeGreaterThanOrEqual(Math.min(...tolerances) - 1e-9);
				expect(index!.value).toBeLessThanOrEqual(Math.max(...tolerances) + 1e-9);
			})
		);
	});
});

describe('classes', () => {
	it('are chances that sum to 1; on a limit it is one or the other', () => {
		const said = classChances({ value: 4.5, uncertainty: 0.6 });
		expect(said.reduce((sum, c) => sum + c.chance, 0)).toBeCloseTo(1, 12);
		expect(said[0]!.chance).toBeCloseTo(0.5, 12);
		// two standard errors below the limit: 97.7 %
		expect(classChances({ value: 3.9, uncertainty: 0.6 })[0]!.chance).toBeCloseTo(0.97725, 5);
		expect(classChances({ value: 3, uncertainty: 0 }).map((c) => c.chance)).toEqual([1, 0, 0]);
	});
	it('that do not rise are refused', () =>
		expect(() =>
			classChances({ value: 3, uncertainty: 1 }, [
				{ name: 'good', upTo: 4 },
				{ name: 'fair', upTo: 4 }
			])
		).toThrow(/fair ends at 4/));
	it('say how many animals would tell', () => {
		// 0.25 from the limit with ±0.5 of 40 animals: four times as many
		expect(animalsToTell({ value: 4.25, uncertainty: 0.5, animals: 40 })).toBe(160);
		expect(animalsToTell({ value: 2, uncertainty: 0.5, animals: 40 })).toBe(40);
		expect(animalsToTell({ value: 4.5, uncertainty: 0.5, animals: 40 })).toBeNull();
	});
	it('hold the truth as often as they say', () => {
		// 500 samples of 100 animals from a known stream: its index within ± in 95 of 100
		const stream = { Baetidae: 0.3, Asellidae: 0.3, Heptageniidae: 0.1, Oligochaeta: 0.2, Leuctridae: 0.1 };
		const truth = 0.3 * 4 + 0.3 * 8 + 0.1 * 4 + 0.2 * 8;
		let state = 20260514;
		const chance = () => (state = (state * 1103515245 + 12345) % 2 ** 31) / 2 ** 31;
		const within = Array.from({ length: 500 }, () => {
			const counts: Record<string, number> = {};
			for (let n = 0; n < 100; n++) {
				let left = chance();
				const code = Object.entries(stream).find(([, share]) => (left -= share) < 0)?.[0] ?? 'Leuctridae';
				counts[code] = (counts[code] ?? 0) + 1;
			}
			const { value, uncertainty } = communityOf(of(counts), 100).index!;
			return Math.abs(value - truth) <= uncertainty!;
		}).filter(Boolean).length;
		expect(within / 500).toBeGreaterThan(0.92);
		expect(within / 500).toBeLessThan(0.98);
	});
});
