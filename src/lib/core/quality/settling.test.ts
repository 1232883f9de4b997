import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { settling, type Shown } from './settling';

const rest = { within: 0.1, for_s: 10 };
const each = (values: readonly (number | null)[], from_s = 0): Shown[] =>
	values.map((value, i) => ({ at_ms: (from_s + i) * 1000, value }));
const at = (values: readonly (number | null)[]) => settling(each(values), rest, (values.length - 1) * 1000);

describe('a meter', () => {
	it('is silent before its first figure, and again when nothing came for a while', () => {
		expect(settling([], rest, 0).state).toBe('silent');
		expect(settling(each([9.1]), rest, 60_000)).toEqual({ state: 'silent', value: null, spread: null, share: 0 });
	});
	it('waits while it moves, and says how long it has stood', () => {
		expect(at([7, 7.8, 8.4, 8.8])).toMatchObject({ state: 'wait', value: 8.8 });
		expect(at([7, 8, 9, 9, 9, 9, 9])).toMatchObject({ state: 'wait', share: 0.4 });
	});
	it('stands once ten seconds lie within a tenth; a dance of the last digit does not matter', () => {
		const dancing = Array.from({ length: 12 }, (_, i) => 9 + (i % 2) / 10);
		expect(at([4, 6, ...dancing])).toMatchObject({ state: 'now', value: expect.closeTo(9.05, 1) as number });
	});
	it('is not taken in by a slow drift that stays within the band', () => {
		expect(at(Array.from({ length: 12 }, (_, i) => 9 + i * 0.007)).state).toBe('now'); // 0.035 between its halves
		const drift = settling(
			each(Array.from({ length: 16 }, (_, i) => 9 + i * 0.0095)),
			{ within: 0.1, for_s: 10 },
			15_000
		);
		expect(drift.state).toBe('wait');
	});
	it('waits anew after a jump, and after a gap', () => {
		expect(at([...Array<number>(20).fill(9), 9.4]).share).toBe(0);
		const gap = [...each(Array<number>(20).fill(9)), ...each([9, 9], 30)];
		expect(settling(gap, rest, 31_000)).toMatchObject({ state: 'wait', share: 0.1 });
	});
	it('may lose a figure here and there', () => {
		expect(at([9, 9, null, 9, 9, 9, null, 9, 9, 9, 9, 9]).state).toBe('now');
	});
	it('never says now of figures that lie further apart than allowed', () => {
		fc.assert(
			fc.property(fc.array(fc.double({ min: 0, max: 20, noNaN: true }), { minLength: 1, maxLength: 40 }), (values) => {
				const seen = at(values);
				if (seen.state === 'now') expect(seen.spread!).toBeLessThanOrEqual(0.1 + 1e-9);
			})
		);
	});
});
