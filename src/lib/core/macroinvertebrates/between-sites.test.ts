import { describe, expect, it } from 'vitest';
import { seeded } from '../statistics';
import { betweenSites, differs, shippedAnimals, type Kind } from '.';

const kinds = (counts: Record<string, number>): Kind[] =>
	Object.entries(counts).map(([code, count]) => ({ code, taxon: shippedAnimals.of(code), count }));
const sampling = (counts: Record<string, number>, knowsShares = true) => ({ kinds: kinds(counts), knowsShares });

describe('samplings of several sites beside each other', () => {
	it('are unlike by the shares of their kinds, however many were counted', () => {
		const { by, dissimilarities } = betweenSites([
			sampling({ Baetidae: 10, Asellidae: 10 }),
			sampling({ Baetidae: 50, Asellidae: 50 }),
			sampling({ Baetidae: 5, Asellidae: 15 }),
			sampling({ Gammaridae: 7 })
		]);
		expect(by).toBe('shares');
		expect(dissimilarities[0]![1]).toBeCloseTo(0, 12);
		// shares 0.5 and 0.5 against 0.25 and 0.75: half the sum of what differs
		expect(dissimilarities[0]![2]).toBeCloseTo(0.25, 12);
		expect(dissimilarities[0]![3]).toBe(1);
	});
	it('are unlike by the kinds that were there, where one does not know shares', () => {
		const { by, dissimilarities } = betweenSites([
			sampling({ Baetidae: 10, Asellidae: 1 }),
			sampling({ Baetidae: 1, Gammaridae: 1 }, false)
		]);
		expect(by).toBe('presence');
		expect(dissimilarities[0]![1]).toBeCloseTo(2 / 3, 12);
	});
	it('lie on the plane as far apart as they are unlike, where a plane can', () => {
		const { places, shown, dissimilarities } = betweenSites([
			sampling({ Baetidae: 10 }),
			sampling({ Baetidae: 5, Asellidae: 5 }),
			sampling({ Asellidae: 10 })
		]);
		expect(shown).toBeCloseTo(1, 9);
		for (const [i, a] of places.entries())
			for (const [j, b] of places.entries())
				expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeCloseTo(dissimilarities[i]![j]!, 9);
	});
	it('are not unlike by what nobody has named yet', () => {
		const [one, other] = [sampling({ Baetidae: 10, 'unknown-1': 30 }), sampling({ Baetidae: 5 })];
		expect(one.kinds[1]!.taxon).toBeNull();
		expect(betweenSites([one, other]).dissimilarities[0]![1]).toBeCloseTo(0, 12);
		expect(differs(one, other, 1)).toMatchObject({ dissimilarity: 0, isTold: false });
	});
	it('are a single point, or none, without an error', () => {
		expect(betweenSites([]).places).toEqual([]);
		expect(betweenSites([sampling({ Baetidae: 3 })]).places).toEqual([{ x: 0, y: 0 }]);
	});
});

describe('whether two samplings differ', () => {
	const water = { Baetidae: 0.3, Gammaridae: 0.3, Asellidae: 0.2, 'Chironomidae-red': 0.1, Simuliidae: 0.1 };
	const drawnFrom = (shares: Record<string, number>, n: number, seed: number) => {
		const chance = seeded(seed);
		const counts = Object.fromEntries(Object.keys(shares).map((code) => [code, 0]));
		for (let i = 0; i < n; i++) {
			let at = chance.uniform();
			const code = Object.entries(shares).find(([, share]) => (at -= share) < 0)?.[0] ?? 'Simuliidae';
			counts[code]!++;
		}
		return sampling(counts);
	};
	it('is said wrongly of one and the same water in about one of twenty pairs', () => {
		const said = Array.from({ length: 300 }, (_, i) =>
			differs(drawnFrom(water, 60, 2 * i), drawnFrom(water, 40, 2 * i + 1), i, 100)
		).filter((d) => d?.isTold).length;
		expect(said / 300).toBeGreaterThan(0.01);
		expect(said / 300).toBeLessThan(0.09);
	});
	it('is said of two that differ, and by the dissimilarity itself', () => {
		const clean = sampling({ Baetidae: 40, Gammaridae: 20 });
		const foul = sampling({ Asellidae: 50, Gammaridae: 10 });
		const found = differs(clean, foul, 1)!;
		expect(found.isTold).toBe(true);
		expect(found.dissimilarity).toBeCloseTo(5 / 6, 9);
		expect(found.byChance).toBeLessThan(0.4);
	});
	it('is not said where shares are not known, or nothing was found', () => {
		expect(differs(sampling({ Baetidae: 1 }, false), sampling({ Baetidae: 1 }), 1)).toBeNull();
		expect(differs(sampling({ Baetidae: 0 }), sampling({ Baetidae: 1 }), 1)).toBeNull();
		expect(() => differs(sampling({ Baetidae: 2 }), sampling({ Baetidae: 1 }), 1, 0)).toThrow(/draws/);
	});
});
