import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	averageScorePerTaxon,
	bioticIndexInterval,
	brayCurtis,
	chao1,
	eptRichness,
	familyBioticIndex,
	jaccard,
	percentDominant,
	pielou,
	rarefactionCurve,
	rarefy,
	shannon,
	simpson
} from '.';

const counts = fc.array(fc.integer({ min: 0, max: 60 }), { minLength: 1, maxLength: 25 });

describe('diversity', () => {
	it('is greatest when all taxa are as many', () => {
		fc.assert(
			fc.property(counts, (list) => {
				const taxa = list.filter((x) => x > 0).length;
				const { shannon: h } = shannon({ counts: list });
				if (taxa > 1) expect(h!).toBeLessThanOrEqual(Math.log(taxa) + 1e-12);
				const { pielou: even } = pielou({ counts: list });
				if (even !== null) expect(even).toBeLessThanOrEqual(1 + 1e-12);
				const { simpson: d, simpsonUnbiased } = simpson({ counts: list });
				if (simpsonUnbiased !== null) expect(simpsonUnbiased).toBeGreaterThanOrEqual(d! - 1e-12);
			})
		);
		expect(shannon({ counts: [5, 5, 0] }).shannon).toBeCloseTo(Math.LN2, 12);
		expect(simpson({ counts: [5, 5] }).simpson).toBe(0.5);
	});

	it('of nothing, or of one, is not a number made up', () => {
		expect([
			shannon({ counts: [] }).shannon,
			simpson({ counts: [0] }).simpson,
			simpson({ counts: [1] }).simpsonUnbiased
		]).toEqual([null, null, null]);
		expect([
			pielou({ counts: [7] }).pielou,
			chao1({ counts: [] }).chao1,
			percentDominant({ counts: [] }).percent
		]).toEqual([null, null, null]);
		expect(() => shannon({ counts: [1, -1] })).toThrow(/counts\[1\]/);
		expect(() => chao1({ counts: [1.5] })).toThrow(/counts\[0\]/);
	});

	it('Chao counts no fewer taxa than were seen', () => {
		fc.assert(
			fc.property(
				counts,
				(list) =>
					void expect(chao1({ counts: list }).chao1 ?? 0).toBeGreaterThanOrEqual(list.filter((x) => x > 0).length)
			)
		);
		expect(chao1({ counts: [1, 1, 1, 2, 9] }).chao1).toBe(5 + (3 * 2) / (2 * 2)); // by hand
	});

	it('dominance is the share of the most numerous', () => {
		expect(percentDominant({ counts: [6, 3, 1] }).percent).toBe(60);
		expect(percentDominant({ counts: [6, 3, 1], taxa: 2 }).percent).toBe(90);
		expect(() => percentDominant({ counts: [1], taxa: 0 })).toThrow(/taxa/);
	});
});

describe('rarefaction', () => {
	it('of two animals is the chance that they differ', () => {
		fc.assert(
			fc.property(counts, (list) => {
				const { richness } = rarefy({ counts: list, sampleSize: 2 });
				const { simpsonUnbiased } = simpson({ counts: list });
				if (richness !== null) expect(richness).toBeCloseTo(1 + simpsonUnbiased!, 10);
			})
		);
	});

	it('rises from one taxon to all of them, and the curve says what each size says', () => {
		fc.assert(
			fc.property(counts, fc.integer({ min: 1, max: 40 }), (list, step) => {
				const { sampleSizes, richness } = rarefactionCurve({ counts: list, step });
				const total = list.reduce((a, b) => a + b, 0);
				if (total === 0) {
					expect(richness).toEqual([]);
					return;
				}
				expect(richness[0]).toBeCloseTo(1, 12);
				expect(richness.at(-1)).toBeCloseTo(list.filter((x) => x > 0).length, 9);
				for (const [i, n] of sampleSizes.entries()) {
					expect(rarefy({ counts: list, sampleSize: n }).richness).toBeCloseTo(richness[i]!, 9);
					if (i > 0) expect(richness[i]! - richness[i - 1]!).toBeGreaterThan(-1e-9);
				}
			}),
			{ numRuns: 40 }
		);
	});

	it('lists each size once', () => {
		expect(rarefactionCurve({ counts: [6, 4], step: 5 }).sampleSizes).toEqual([1, 5, 10]);
		expect(rarefactionCurve({ counts: [3], step: 9 }).sampleSizes).toEqual([1, 3]);
		expect(rarefactionCurve({ counts: [1], step: 1 }).sampleSizes).toEqual([1]);
	});

	it('is null for more animals than there are, and certain for all of them', () => {
		expect(rarefy({ counts: [2, 1], sampleSize: 4 })).toEqual({ richness: null, se: null });
		expect(rarefy({ counts: [2, 1], sampleSize: 3 })).toEqual({ richness: 2, se: 0 });
		expect(() => rarefy({ counts: [2], sampleSize: 0 })).toThrow(/sampleSize/);
	});
});

describe('likeness', () => {
	it('is whole with oneself, none with strangers, and the same both ways', () => {
		fc.assert(
			fc.property(counts, (list) => {
				if (list.some((x) => x > 0)) {
					expect(brayCurtis({ countsA: list, countsB: list }).dissimilarity).toBe(0);
					expect(jaccard({ countsA: list, countsB: list }).similarity).toBe(1);
				}
			})
		);
		expect(brayCurtis({ countsA: [4, 0], countsB: [0, 4] }).dissimilarity).toBe(1);
		expect(jaccard({ countsA: [4, 1, 0], countsB: [0, 4, 0] })).toEqual({ similarity: 0.5, dissimilarity: 0.5 });
		expect([
			brayCurtis({ countsA: [0], countsB: [0] }).dissimilarity,
			jaccard({ countsA: [], countsB: [] }).similarity
		]).toEqual([null, null]);
	});
});

describe('how sure a biotic index is', () => {
	const taxa = (animals: number) => [
		{ count: animals, tolerance: 2 },
		{ count: animals, tolerance: 6 },
		{ count: 3, tolerance: null }
	];

	it('shows in its interval, which few animals leave wide', () => {
		const [few, many] = [taxa(5), taxa(200)].map((t) => bioticIndexInterval({ taxa: t }, { seed: 2 })!);
		for (const { lower, upper } of [few!, many!]) {
			expect(lower).toBeLessThan(4);
			expect(upper).toBeGreaterThan(4);
		}
		expect(many!.upper - many!.lower).toBeLessThan((few!.upper - few!.lower) / 3);
	});

	it('is not known where no taxon has a tolerance, and a tolerance over 10 is refused', () => {
		expect(bioticIndexInterval({ taxa: [{ count: 4 }] }, { seed: 1 })).toBeNull();
		expect(() => bioticIndexInterval({ taxa: [{ count: 4, tolerance: 12 }] }, { seed: 1 })).toThrow(
			/taxa\[0\]\.tolerance/
		);
	});
});

describe('scores', () => {
	it('weigh tolerance by animals, and average scores by taxa', () => {
		const taxa = [
			{ count: 9, tolerance: 2, score: 10, order: 'Plecoptera' },
			{ count: 1, tolerance: 8, score: 3, order: 'Diptera' },
			{ count: 5, tolerance: null, score: null, order: null },
			{ count: 0, tolerance: 0, score: 10, order: 'Ephemeroptera' }
		];
		expect(familyBioticIndex({ taxa })).toMatchObject({ index: 2.6, individualsUsed: 10, taxaUsed: 2 });
		expect(averageScorePerTaxon({ taxa })).toEqual({ totalScore: 13, scoringTaxa: 2, averageScore: 6.5 });
		expect(eptRichness({ taxa })).toEqual({ eptRichness: 1, eptIndividuals: 9, eptPercent: 60 });
	});

	it('of nothing are null', () => {
		expect(familyBioticIndex({ taxa: [] })).toEqual({ index: null, individualsUsed: 0, taxaUsed: 0, working: null });
		expect(averageScorePerTaxon({ taxa: [{ count: 3 }] }).averageScore).toBeNull();
		expect(eptRichness({ taxa: [] }).eptPercent).toBeNull();
	});

	it('refuse a tolerance over 10 and a count below 0, saying where', () => {
		expect(() => familyBioticIndex({ taxa: [{ count: 1, tolerance: 11 }] })).toThrow(/taxa\[0\]\.tolerance/);
		expect(() => eptRichness({ taxa: [{ count: 1 }, { count: -1 }] })).toThrow(/taxa\[1\]\.count/);
	});
});
