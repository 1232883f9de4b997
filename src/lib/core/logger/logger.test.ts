import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { correctRecord, dailyStatistics, flatLine, gaps, hampel } from '.';

const values = fc.array(fc.option(fc.double({ min: -50, max: 50, noNaN: true }), { nil: null }), { maxLength: 40 });

describe('a record of a sensor', () => {
	it('corrected by an error and by its opposite is the record again', () => {
		fc.assert(
			fc.property(values, fc.double({ min: -5, max: 5, noNaN: true }), (seen, error) => {
				const times = seen.map((_, i) => i);
				const span = { times, fromTime: 0, toTime: 100, mode: 'constant' } as const;
				const there = correctRecord({ ...span, values: seen, foulingError: error }).corrected;
				const back = correctRecord({ ...span, values: there, foulingError: -error }).corrected;
				back.forEach((v, i) => (v === null ? expect(seen[i]).toBeNull() : expect(v).toBeCloseTo(seen[i]!, 9)));
			})
		);
	});

	it('loses what stands out and nothing else, and keeps its gaps', () => {
		fc.assert(
			fc.property(values, fc.integer({ min: 1, max: 4 }), (seen, halfWindow) => {
				const { flags, filtered } = hampel({ values: seen, halfWindow });
				filtered.forEach((v, i) => flags[i] || expect(v).toBe(seen[i]));
				expect(filtered.map((v) => v === null)).toEqual(seen.map((v) => v === null));
			})
		);
		expect(hampel({ values: [8, 8.1, 30, 8.2, 8.1], halfWindow: 2 }).flags).toEqual([false, false, true, false, false]);
	});

	it('that stands still is told as one run, which a gap ends', () => {
		expect(flatLine({ values: [7, 7, 7, null, 7, 7], least: 3 }).runs).toEqual([{ from: 0, to: 2, value: 7 }]);
		fc.assert(
			fc.property(values, fc.integer({ min: 2, max: 5 }), (seen, least) => {
				for (const { from, to, value } of flatLine({ values: seen, least, tolerance: 1 }).runs) {
					expect(to - from + 1).toBeGreaterThanOrEqual(least);
					for (const v of seen.slice(from, to + 1)) expect(Math.abs(v! - value)).toBeLessThanOrEqual(1 + 1e-9);
				}
			})
		);
	});

	it('misses what its gaps held', () => {
		expect(gaps({ times: [0, 1, 2, 6, 7], interval: 1 })).toEqual({
			gaps: [{ from: 2, to: 6, missing: 3 }],
			missing: 3
		});
		expect(() => gaps({ times: [1, 1], interval: 1 })).toThrow(/1 stands there twice/);
	});

	it('is told by days of the clock, each as far as it was observed', () => {
		const hour = 3_600_000;
		const observations = Array.from({ length: 30 }, (_, i) => ({ time: i * hour, value: i % 5 ? 10 + i : null }));
		const { interval_min, days } = dailyStatistics({ observations, utcOffset_min: 60, leastShare: 0.7 });
		expect(interval_min).toBe(60);
		expect(days.map((d) => [d.date, d.n, d.complete])).toEqual([
			['1970-01-01', 18, true],
			['1970-01-02', 6, false]
		]);
	});
});
