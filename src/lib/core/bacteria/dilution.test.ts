import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { volumeFor, volumesBetween } from '.';

const range = { plateFewColonies: 15, plateManyColonies: 150, plateLeast_mL: 1, plateMost_mL: 5 };

describe('how much to pour', () => {
	it.each([
		['clean water: all that can be poured', 50, 5, false],
		['middling water', 2000, 2.5, false],
		['dirty water: the least', 12_000, 1, false],
		['so dirty that it must be thinned', 40_000, 1, true],
		['nothing expected', 0, 5, false]
	])('%s', (_, expectedPer100mL, volume_mL, dilute) => {
		expect(volumeFor({ expectedPer100mL, ...range })).toMatchObject({ volume_mL, dilute });
	});

	it('pours less the more is expected, and always what can be poured', () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 100_000 }), fc.integer({ min: 0, max: 100_000 }), (a, b) => {
				const [few, many] = [Math.min(a, b), Math.max(a, b)].map((expectedPer100mL) =>
					volumeFor({ expectedPer100mL, ...range })
				);
				expect(many!.volume_mL).toBeLessThanOrEqual(few!.volume_mL);
				expect(many!.volume_mL).toBeGreaterThanOrEqual(1);
				expect(few!.volume_mL).toBeLessThanOrEqual(5);
			})
		);
	});

	it('of a range pours two plates, one for either end', () => {
		const [clean, dirty] = volumesBetween({ lowPer100mL: 300, highPer100mL: 9000, ...range });
		expect(clean).toMatchObject({ volume_mL: 5, expectedColonies: 15, dilute: false });
		expect(dirty).toMatchObject({ volume_mL: 1, expectedColonies: 90 });
		// as many as a plate can hold, and not one more
		expect(volumeFor({ expectedPer100mL: 15_000, ...range })).toMatchObject({
			volume_mL: 1,
			expectedColonies: 150,
			dilute: false
		});
		expect(() => volumeFor({ expectedPer100mL: -1, ...range })).toThrow(/expectedPer100mL/);
	});
});
