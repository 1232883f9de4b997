import { atLeast, finite, inRange, listOf, orDefault, positive, whole } from '../quantity';
import { gappy, quantile, type Gappy } from '../statistics';

const DAY_ms = 86_400_000;
const MINUTE_ms = 60_000;
const CLOSE = 1e-9;
/** The median distance from the median, as a standard deviation of a normal distribution. */
const MAD_TO_SD = 1.4826;

const medianOf = (values: readonly number[]) => quantile({ values, probability: 0.5 }).quantile!;

export interface Day {
	date: string;
	n: number;
	mean: number | null;
	min: number | null;
	max: number | null;
	share: number | null;
	complete: boolean;
}

/**
 * A record by days of a clock: mean, least and most of each day that was observed, and whether enough of it was. The
 * interval is the median step where it is not given. RangeError for times that are not whole or two alike. Wagner et
 * al. 2006.
 */
export function dailyStatistics(record: {
	observations: readonly { time: number; value?: number | null }[];
	utcOffset_min: number;
	leastShare: number;
	interval_min?: number | null;
}): { interval_min: number | null; days: Day[] } {
	const offset_min = inRange('utcOffset_min', wholeNumber('utcOffset_min', record.utcOffset_min), -720, 840);
	const leastShare = inRange('leastShare', record.leastShare, 0, 1);
	const given = record.interval_min == null ? null : positive('interval_min', record.interval_min);
	const seen = listOf('observations', record.observations, (place, o) => ({
		time: wholeNumber(`${place}.time`, (o as { time: unknown } | null)?.time),
		value: gappy(`${place}.value`, [(o as { value?: number | null }).value])[0]!
	}));
	const times = apart(seen.map((o) => o.time));
	const steps = times.slice(1).map((t, i) => t - times[i]!);
	const interval_min = given ?? (steps.length ? medianOf(steps) / MINUTE_ms : null);
	const byDay = new Map<number, number[]>();
	for (const { time, value } of [...seen].sort((a, b) => a.time - b.time)) {
		const day = Math.floor((time + offset_min * MINUTE_ms) / DAY_ms);
		byDay.set(day, [...(byDay.get(day) ?? []), ...(value === null ? [] : [value])]);
	}
	return { interval_min, days: [...byDay].map(([day, values]) => dayOf(day, values, interval_min, leastShare)) };
}

function dayOf(day: number, values: readonly number[], interval_min: number | null, leastShare: number): Day {
	const n = values.length;
	const share = interval_min === null ? null : (n * interval_min) / 1440;
	const complete = n > 0 && share !== null && share >= leastShare - CLOSE;
	const date = new Date(day * DAY_ms).toISOString().slice(0, 10);
	if (n === 0) return { date, n, mean: null, min: null, max: null, share, complete };
	const mean = values.reduce((sum, v) => sum + v, 0) / n;
	return { date, n, mean, min: Math.min(...values), max: Math.max(...values), share, complete };
}

function wholeNumber(name: string, value: unknown): number {
	const number = finite(name, value);
	if (!Number.isInteger(number)) throw new RangeError(`${name} must be a whole number: ${number}`);
	return number;
}

/** Times in order; RangeError where two are alike. */
function apart(times: readonly number[]): number[] {
	const sorted = [...times].sort((a, b) => a - b);
	const same = sorted.find((t, i) => t === sorted[i - 1]);
	if (same !== undefined) throw new RangeError(`times must differ: ${same} stands there twice`);
	return sorted;
}

/**
 * Values that stand out from their neighbours, and the record without them. Gaps stay. RangeError for a window under 1.
 * Hampel 1974.
 */
export function hampel(record: { values: Gappy; halfWindow: number; threshold?: number | null }): {
	flags: boolean[];
	filtered: (number | null)[];
} {
	const values = gappy('values', record.values);
	const k = whole('halfWindow', record.halfWindow, 1);
	const threshold = atLeast('threshold', orDefault(record.threshold, 3), 0);
	const centres = values.map((v, i) => {
		if (v === null || i < k || i > values.length - 1 - k) return null;
		const near = values.slice(i - k, i + k + 1).filter((n) => n !== null);
		const centre = medianOf(near);
		const spread = MAD_TO_SD * medianOf(near.map((n) => Math.abs(n - centre)));
		return Math.abs(v - centre) > threshold * spread ? centre : null;
	});
	return { flags: centres.map((c) => c !== null), filtered: values.map((v, i) => centres[i] ?? v) };
}

/**
 * Where a record stands still for long: each run with where it begins and ends, and its first value. Wagner et al.
 * 2006.
 */
export function flatLine(record: { values: Gappy; least: number; tolerance?: number | null }): {
	runs: { from: number; to: number; value: number }[];
} {
	const values = gappy('values', record.values);
	const least = whole('least', record.least, 2);
	const tolerance = atLeast('tolerance', orDefault(record.tolerance, 0), 0);
	const runs: { from: number; to: number; value: number }[] = [];
	let from = 0;
	for (let i = 0; i <= values.length; i++) {
		const [first, value] = [values[from], values[i]];
		const goesOn = first != null && value != null && Math.abs(value - first) <= tolerance + CLOSE;
		if (goesOn) continue;
		if (first != null && i - from >= least) runs.push({ from, to: i - 1, value: first });
		from = i;
	}
	return { runs };
}

/**
 * Where a record of one interval has gaps, and how many values are missing. RangeError for times alike. Wagner et al.
 * 2006.
 */
export function gaps(record: { times: readonly number[]; interval: number; tolerance?: number | null }): {
	gaps: { from: number; to: number; missing: number }[];
	missing: number;
} {
	const interval = positive('interval', record.interval);
	const tolerance = atLeast('tolerance', orDefault(record.tolerance, 0), 0);
	const times = apart(listOf('times', record.times, finite));
	const found = times.slice(1).flatMap((to, i) => {
		const from = times[i]!;
		if (to - from <= interval * (1 + CLOSE) + tolerance) return [];
		return [{ from, to, missing: Math.max(1, Math.floor((to - from) / interval - 0.5 + CLOSE)) }];
	});
	return { gaps: found, missing: found.reduce((sum, g) => sum + g.missing, 0) };
}
