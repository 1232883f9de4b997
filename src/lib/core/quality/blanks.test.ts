import { describe, expect, it } from 'vitest';
import { blanksSay, LEAST_BLANKS } from '.';

const some = [0.004, 0.006, 0.002, 0.005, 0.007, 0.003, 0.001];

describe('blanks of a program', () => {
	it('tell the least that is something, from seven on', () => {
		const { limits } = blanksSay(some, 0);
		// mean 0.004, standard deviation √(28e-6/6)
		const sd = Math.sqrt(28e-6 / 6);
		expect(limits!.mean).toBeCloseTo(0.004, 12);
		expect(limits!.blank).toBeCloseTo(0.004 + 1.645 * sd, 8);
		expect(limits!.detection).toBeCloseTo(0.004 + 2 * 1.645 * sd, 8);
		expect(blanksSay(some.slice(1), 0).limits).toBeNull();
		expect(some).toHaveLength(LEAST_BLANKS);
	});
	it('say nothing by the few that have a figure', () => expect(blanksSay(some, 8).limits).toBeNull());
	it('are allowed to be alike, or none', () => {
		expect(
			blanksSay(
				some.map(() => 0.01),
				0
			).limits
		).toEqual({ mean: 0.01, blank: 0.01, detection: 0.01 });
		expect(blanksSay([], 3)).toEqual({ n: 0, below: 3, limits: null });
	});
});
