import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pickAdvice } from '.';

const rule = { pickLeast_min: 40, pickMore_min: 5, pickMost_min: 60 };
const at = (...minutes: number[]) => minutes.map((minute, i) => ({ taxon: `t${i}`, minute }));

describe('the stop rule of a timed pick', () => {
	it.each([
		['nothing found', [], 40],
		['the last new one early', at(3, 20), 40],
		['a new one in the last five minutes', at(3, 37), 45],
		['and again in the five that were added', at(3, 37, 44), 50],
		['new ones all the time', at(3, 37, 44, 48, 53, 58), 60],
		['a new one just as the five begin', at(35), 40]
	])('%s', (_, picked, until) => {
		expect(pickAdvice({ picked, now_min: 36, ...rule }).until_min).toBe(until);
	});

	it('is over when its time has come and not before', () => {
		expect(pickAdvice({ picked: at(3), now_min: 39, ...rule }).isOver).toBe(false);
		expect(pickAdvice({ picked: at(3), now_min: 40, ...rule }).isOver).toBe(true);
	});

	it('never asks for less than the least nor more than the most', () => {
		fc.assert(
			fc.property(
				fc.array(fc.integer({ min: 0, max: 60 }), { maxLength: 40 }),
				fc.integer({ min: 0, max: 60 }),
				(minutes, now_min) => {
					const { until_min } = pickAdvice({ picked: at(...minutes), now_min, ...rule });
					expect(until_min).toBeGreaterThanOrEqual(40);
					expect(until_min).toBeLessThanOrEqual(60);
				}
			)
		);
	});
});

describe('what going on would bring', () => {
	const many = (taxon: string, count: number) => ({ taxon, minute: 5, count });

	it('is nothing new where every kind was seen many times', () => {
		expect(pickAdvice({ picked: [many('a', 40), many('b', 12)], now_min: 40, ...rule })).toMatchObject({
			taxa: 2,
			animals: 52,
			expectedNewTaxa: 0,
			isFlat: true
		});
	});

	it('is more, the more kinds were seen only once', () => {
		const expected = (singles: number) =>
			pickAdvice({
				picked: [many('a', 40), many('b', 2), ...Array.from({ length: singles }, (_, i) => many(`s${i}`, 1))],
				now_min: 40,
				...rule
			}).expectedNewTaxa!;
		expect(expected(1)).toBeLessThan(expected(4));
		expect(expected(4)).toBeLessThan(expected(9));
		expect(
			pickAdvice({
				picked: [many('a', 4), ...Array.from({ length: 9 }, (_, i) => many(`s${i}`, 1))],
				now_min: 20,
				...rule
			}).isFlat
		).toBe(false);
	});

	it('by hand: 10 animals in 10 minutes, two kinds once, one twice', () => {
		// unseen 9/10 × 4/2 = 1.8; five more animals: 1.8 × (1 − (1 − 2/(10 × 1.8 + 2))^5)
		const picked = [many('a', 6), many('b', 2), many('c', 1), many('d', 1)];
		expect(pickAdvice({ picked, now_min: 10, ...rule }).expectedNewTaxa).toBeCloseTo(1.8 * (1 - 0.9 ** 5), 12);
	});

	it('is not known before there is anything', () => {
		expect(pickAdvice({ picked: [], now_min: 0, ...rule })).toMatchObject({
			expectedNewTaxa: null,
			isFlat: null,
			lastNew_min: null
		});
		expect(() => pickAdvice({ picked: [{ taxon: 'a', minute: -1 }], now_min: 4, ...rule })).toThrow(
			/picked\[0\]\.minute/
		);
	});
});
