import type { Qualifier } from '../quantity';
import { quantile, seasonalKendall, seasonalSenSlope, type SeasonValue } from '../statistics';

export interface TrendPoint {
	at_ms: number;
	value: number;
	qualifier: Qualifier;
}

export interface SiteTrend {
	/** `open`: too little to tell one from chance. */
	verdict: 'rising' | 'falling' | 'open';
	slopePerYear: number;
	/** Between these, with 90 % confidence. */
	lower: number;
	upper: number;
	p: number;
	results: number;
	years: number;
	/** Results that are only known to lie below or above a limit. */
	limits: number;
}

/** Fewer years than this cannot show a trend; from so many on, the test reckons with years that resemble each other. */
const LEAST_YEARS = 3;
const MANY_YEARS = 10;
/** A p below this is not taken for chance. */
const SIGNIFICANT = 0.05;

/**
 * Whether a site's figures rise or fall over the years, each month compared only with the same month (the seasonal Kendall test).
 * A month's several results are its median. Non-detects tie with everything below the highest limit, as the test needs
 * no more than the order (Helsel 2012). Null where no month was seen in three different years. `progress` from 0 to 1.
 */
export function siteTrend(points: readonly TrendPoint[], progress?: (share: number) => void): SiteTrend | null {
	const observations = monthly(levelled(points));
	const years = new Set(observations.map((o) => o.year)).size;
	if (years < LEAST_YEARS) return null;
	const test = seasonalKendall({ observations });
	const { slopePerYear, lower, upper } = seasonalSenSlope({ observations }, progress);
	if (slopePerYear === null || lower === null || upper === null || test.p === null) return null;
	const p = (years >= MANY_YEARS ? test.pAdjusted : test.p) ?? test.p;
	const verdict = p >= SIGNIFICANT || test.s === 0 ? 'open' : test.s! > 0 ? 'rising' : 'falling';
	return { verdict, slopePerYear, lower, upper, p, results: points.length, years, limits: points.filter((x) => x.qualifier !== null).length };
}

/** Values that limits leave apart from each other made equal: none below the highest "below", none above the lowest "above". */
function levelled(points: readonly TrendPoint[]): TrendPoint[] {
	const of = (side: Qualifier) => points.filter((p) => p.qualifier === side).map((p) => p.value);
	const floor = Math.max(-Infinity, ...of('below'));
	const ceiling = Math.min(Infinity, ...of('above'));
	return points.map((p) => ({ ...p, value: Math.min(ceiling, Math.max(floor, p.value)) }));
}

function monthly(points: readonly TrendPoint[]): (SeasonValue & { value: number })[] {
	const byMonth = new Map<string, { year: number; season: number; values: number[] }>();
	for (const { at_ms, value } of points) {
		const at = new Date(at_ms);
		const [year, season] = [at.getUTCFullYear(), at.getUTCMonth() + 1];
		const month = byMonth.get(`${year} ${season}`);
		if (month) month.values.push(value);
		else byMonth.set(`${year} ${season}`, { year, season, values: [value] });
	}
	return [...byMonth.values()].map(({ year, season, values }) => ({ year, season, value: quantile({ values, probability: 0.5 }).quantile! }));
}
