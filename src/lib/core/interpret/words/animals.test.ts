import { describe, expect, it } from 'vitest';
import { sayBetweenSites, sayIndexChange } from './animals';

describe('how the animals of a site changed', () => {
	it('says which way, by how much, and what it means', () => {
		expect(sayIndexChange({ by: 1.2, uncertainty: 0.4, isTold: true }, 'May 2023', 'May 2026')).toBe(
			'The family biotic index rose by 1.20 ± 0.40 from May 2023 to May 2026: more of the animals stand foul water.'
		);
		expect(sayIndexChange({ by: -1.2, uncertainty: 0.4, isTold: true }, 'a', 'b')).toMatch(
			/fell by 1\.20.*clean water/
		);
	});
	it('claims nothing that counting so few cannot tell', () => {
		expect(sayIndexChange({ by: -0.2, uncertainty: 0.4, isTold: false }, 'a', 'b')).toMatch(
			/differ by 0\.20 ± 0\.40: no more/
		);
	});
});

describe('how the animals of two sites differ', () => {
	it('is said beside what counting so few makes', () => {
		expect(sayBetweenSites({ dissimilarity: 0.62, byChance: 0.25, isTold: true }, 'Tessel 3', 'Tessel 4')).toBe(
			'Between Tessel 3 and Tessel 4 the animals change: 62 % unlike, where counting so few makes up to 25 %.'
		);
		expect(sayBetweenSites({ dissimilarity: 0.2, byChance: 0.25, isTold: false }, 'a', 'b')).toMatch(
			/no change can be told: 20 % unlike, and .* up to 25 %/
		);
		expect(sayBetweenSites(null, 'a', 'b')).toMatch(/^Between a and b nothing can be told: .* not counted/);
	});
});
