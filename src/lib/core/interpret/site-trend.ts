import type { Qualifier } from '../quantity';
import {
	censoredSeasonalSlope,
	gammaQuantile,
	linearRegression,
	normalTwoSided,
	quantile,
	seasonalKendall,
	seasonalSenSlope,
	zOf,
	type CensoredValue,
	type SeasonalKendall
} from '../statistics';

export interface TrendPoint {
	at_ms: number;
	value: number;
	qualifier: Qualifier;
	/** What flowed by then, where it was measured. */
	discharge_m3_s?: number | null | undefined;
}

export interface SiteTrend {
	/** `open`: cannot be told from chance. */
	verdict: 'rising' | 'falling' | 'open';
	slopePerYear: number;
	/** Between these, with 95 % confidence. */
	lower: number;
	upper: number;
	p: number;
	results: number;
	years: number;
	/** Results that are only known to lie below or above a limit. */
	limits: number;
	/** The months do not agree: what is said of all of them together hides that. */
	monthsDisagree: boolean;
	/** The same with what the flow explains taken out; null where flow was measured too seldom. */
	withoutFlow: 'rising' | 'falling' | 'open' | null;
}

/** Fewer years than this cannot show a trend; from so many on, the test reckons with years that resemble each other. */
const LEAST_YEARS = 3;
const MANY_YEARS = 10;
/** Interval and test go by the same confidence. */
const CONFIDENCE = 0.95;
/** Results with a flow, at least, and their share, before the flow is taken out. */
const ENOUGH_FLOWS = 24;
const FLOW_SHARE = 0.7;

interface Month {
	year: number;
	season: number;
	value: number;
	qualifier: Qualifier;
}

/**
 * Whether a site's figures rise or fall over the years, each month compared only with the same month (the seasonal
 * Kendall test). A month's several results are its median. Where some are only limits, slope and test are those of
 * Akritas, Theil and Sen (Helsel 2012), which count a pair only where the limits leave no doubt. Interval and p go by
 * one confidence and one variance, from ten years on that which reckons with serial correlation. Null where no month
 * was seen in three different years. `progress` from 0 to 1.
 */
export function siteTrend(points: readonly TrendPoint[], progress?: (share: number) => void): SiteTrend | null {
	const months = monthly(points);
	const years = new Set(months.map((o) => o.year)).size;
	if (!isSeenOften(months)) return null;
	const limits = points.filter((x) => x.qualifier !== null).length;
	const test = seasonalKendall({ observations: levelled(months) });
	if (test.varS === null || test.s === null) return null;
	const widen =
		years >= MANY_YEARS && test.varSAdjusted !== null && test.varSAdjusted > 0 && test.varS > 0
			? Math.sqrt(test.varSAdjusted / test.varS)
			: 1;
	const found = limits > 0 ? byLimits(months, widen) : byValues(months, test, widen, progress);
	if (!found) return null;
	return {
		...found,
		results: points.length,
		years,
		limits,
		monthsDisagree: doMonthsDisagree(test),
		withoutFlow: limits > 0 ? null : withoutFlow(points)
	};
}

type Found = Pick<SiteTrend, 'verdict' | 'slopePerYear' | 'lower' | 'upper' | 'p'>;

const verdictOf = (s: number, p: number): SiteTrend['verdict'] =>
	p >= 1 - CONFIDENCE || s === 0 ? 'open' : directionOf(s);
const directionOf = (s: number) => (s > 0 ? 'rising' : 'falling');
const pOf = (s: number, sd: number): number => (sd > 0 ? normalTwoSided((s - Math.sign(s)) / sd) : 1);

function byValues(
	months: readonly Month[],
	test: SeasonalKendall,
	widen: number,
	progress?: (share: number) => void
): Found | null {
	// the interval's own variance knows nothing of serial correlation: a higher confidence makes it as wide as it
	// should be
	const confidence = Math.min(1 - 1e-9, Math.max(1e-9, 1 - normalTwoSided(zOf(CONFIDENCE) * widen)));
	const { slopePerYear, lower, upper } = seasonalSenSlope({ observations: months, confidence }, progress);
	if (slopePerYear === null || lower === null || upper === null) return null;
	const p = pOf(test.s!, Math.sqrt(test.varS!) * widen);
	return { verdict: verdictOf(test.s!, p), slopePerYear, lower, upper, p };
}

function byLimits(months: readonly CensoredValue[], widen: number): Found | null {
	const { slopePerYear, lower, upper, s, varS } = censoredSeasonalSlope(
		{ observations: months, confidence: CONFIDENCE },
		widen
	);
	if (slopePerYear === null || lower === null || upper === null)
		return { verdict: 'open', slopePerYear: 0, lower: 0, upper: 0, p: 1 };
	const p = pOf(s, Math.sqrt(varS) * widen);
	return { verdict: verdictOf(s, p), slopePerYear, lower, upper, p };
}

/** At least one month in three different years: else nothing is held against the same month. */
const isSeenOften = (months: readonly Month[]): boolean =>
	[...new Set(months.map((m) => m.season))].some(
		(season) => months.filter((m) => m.season === season).length >= LEAST_YEARS
	);

/** Whether the months go different ways: the homogeneity test of van Belle and Hughes 1984, at the same confidence. */
function doMonthsDisagree({ seasons }: SeasonalKendall): boolean {
	const z = seasons.flatMap(({ s, varS }) => (s === null || varS === null || varS <= 0 ? [] : [s / Math.sqrt(varS)]));
	if (z.length < 2) return false;
	const mean = z.reduce((a, b) => a + b, 0) / z.length;
	const chiSquare = z.reduce((sum, x) => sum + (x - mean) ** 2, 0);
	return chiSquare > 2 * gammaQuantile((z.length - 1) / 2, 1 - CONFIDENCE, 'upper');
}

/** The trend of what is left when the straight line of the logarithms on those of the flow is taken out. */
function withoutFlow(points: readonly TrendPoint[]): SiteTrend['withoutFlow'] {
	const known = points.filter((p) => p.value > 0 && (p.discharge_m3_s ?? 0) > 0);
	if (known.length < ENOUGH_FLOWS || known.length < FLOW_SHARE * points.length) return null;
	const [x, y] = [known.map((p) => Math.log(p.discharge_m3_s!)), known.map((p) => Math.log(p.value))];
	const { slope, intercept } = linearRegression({ x, y });
	if (slope === null || intercept === null) return null;
	const left = known.map((p, i): TrendPoint => ({
		at_ms: p.at_ms,
		value: y[i]! - intercept - slope * x[i]!,
		qualifier: null
	}));
	return siteTrend(left)?.verdict ?? null;
}

/**
 * Values that limits leave apart from each other made equal: none below the highest "below", none above the lowest
 * "above".
 */
function levelled(months: readonly Month[]): Month[] {
	const of = (side: Qualifier) => months.filter((p) => p.qualifier === side).map((p) => p.value);
	const floor = Math.max(-Infinity, ...of('below'));
	const ceiling = Math.min(Infinity, ...of('above'));
	return months.map((p) => ({ ...p, value: Math.min(ceiling, Math.max(floor, p.value)) }));
}

function monthly(points: readonly TrendPoint[]): Month[] {
	const byMonth = new Map<string, { year: number; season: number; points: TrendPoint[] }>();
	for (const point of points) {
		const at = new Date(point.at_ms);
		const [year, season] = [at.getUTCFullYear(), at.getUTCMonth() + 1];
		const month = byMonth.get(`${year} ${season}`);
		if (month) month.points.push(point);
		else byMonth.set(`${year} ${season}`, { year, season, points: [point] });
	}
	return [...byMonth.values()].map(({ year, season, points: all }) => {
		const value = quantile({ values: all.map((p) => p.value), probability: 0.5 }).quantile!;
		// the middle of several is a limit where more than half of them are
		const side = (q: Qualifier) => all.filter((p) => p.qualifier === q).length * 2 > all.length;
		const above = side('above') ? 'above' : null;
		return { year, season, value, qualifier: side('below') ? 'below' : above };
	});
}
