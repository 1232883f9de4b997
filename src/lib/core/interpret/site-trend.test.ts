import { describe, expect, it } from 'vitest';
import { seeded } from '../statistics';
import { sayTrend, siteTrend, type TrendPoint } from '.';

/** Monthly figures with a season, noise, and so much more each year. */
function record(years: number, perYear: number, seed = 1): TrendPoint[] {
	const chance = seeded(seed);
	return Array.from({ length: 12 * years }, (_, i) => ({
		at_ms: Date.UTC(2010, i, 15),
		value: 100 + (perYear * i) / 12 + 30 * Math.sin((2 * Math.PI * i) / 12) + 3 * chance.normal(),
		qualifier: null
	}));
}

describe('the trend at a site', () => {
	it('is seen through the seasons, and its interval holds the truth', () => {
		const trend = siteTrend(record(8, 4))!;
		expect(trend.verdict).toBe('rising');
		expect(trend.lower).toBeLessThan(4);
		expect(trend.upper).toBeGreaterThan(4);
		expect(siteTrend(record(8, -4))!.verdict).toBe('falling');
		expect(sayTrend(trend, 'µS/cm').says).toMatch(/^Rising by [34]\.\d+ µS\/cm a year\.$/);
	});

	it('is left open where chance could have made it', () => {
		const open = siteTrend(record(4, 0, 7))!;
		expect(open.verdict).toBe('open');
		expect(sayTrend(open, 'µS/cm').because).toMatch(
			/^Between −?[\d.]+ and [\d.]+ µS\/cm a year with 95 % confidence: 48 results over 4 years/
		);
	});

	it('is not told from two years', () => {
		expect(siteTrend(record(2, 50))).toBeNull();
		expect(siteTrend([])).toBeNull();
		expect(sayTrend(null, 'mg/L').says).toBe('No trend can be told yet.');
	});

	it('does not take a better lab for cleaner water: limits that sink are no trend', () => {
		const points = Array.from({ length: 96 }, (_, i): TrendPoint => ({
			at_ms: Date.UTC(2010, i, 15),
			value: i < 48 ? 0.1 : 0.02,
			qualifier: 'below'
		}));
		expect(siteTrend(points)).toMatchObject({ verdict: 'open', slopePerYear: 0, limits: 96 });
	});

	it('takes the middle of a month with many results, so that a storm week does not outvote the year', () => {
		const calm = record(5, 0, 3);
		const storm = calm.flatMap((p, i) =>
			i === 55 ? Array.from({ length: 9 }, (_, k) => ({ ...p, at_ms: p.at_ms + k * 3_600_000 })) : [p]
		);
		expect(siteTrend(storm)!.slopePerYear).toBe(siteTrend(calm)!.slopePerYear);
	});
});
