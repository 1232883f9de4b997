import { seeded } from '../chance';
import type { Series } from './ordered-series';

/*
 * Order statistics of all slopes between pairs, without holding or sorting all pairs. Few pairs are held and partly
 * sorted. Of many, a sample of pairs says between which two slopes the wanted ones must lie; one pass over the pairs
 * counts those below and keeps the few between. The result is exact: where the sample misled, the bounds are widened
 * and the pass is made again.
 */

export const pairsOf = (series: readonly Series[]): number =>
	series.reduce((sum, { values: { length: n } }) => sum + (n * (n - 1)) / 2, 0);

/**
 * Where the two middle slopes and the two bounds of their interval stand among so many, `c` being z times the sd of S
 * (Sen 1968).
 */
export const placesOf = (pairs: number, c: number): [number, number, number, number] => [
	Math.floor((pairs - 1) / 2),
	Math.floor(pairs / 2),
	Math.max(Math.round((pairs - c) / 2) - 1, 0),
	Math.min(Math.round((pairs + c) / 2), pairs - 1)
];

/**
 * The slopes at the given places (from 0) among all pair slopes within each series, in ascending order. Places must
 * be within 0..pairs − 1. `progress` is told the share done, from 0 to 1, and may throw to stop the work. Sen 1968.
 */
export function slopesAt(
	series: readonly Series[],
	places: readonly number[],
	progress: (share: number) => void = () => undefined
): number[] {
	const pairs = pairsOf(series);
	if (pairs <= SMALL) return picked(allSlopes(series, pairs), places);
	const sample = sampleSlopes(series, pairs);
	const first = Math.min(...places);
	const last = Math.max(...places);
	for (let margin = 4; ; margin *= 2) {
		const low = boundAt(sample, first / pairs, -margin);
		const high = boundAt(sample, last / pairs, margin);
		const { below, atLow, between, atHigh } = passOver(series, low, high, pairs, progress);
		if (first < below || last >= below + atLow + between.length + atHigh) continue; // the sample misled: look wider
		const inner = places.map((place) => place - below - atLow);
		const found = picked(
			between,
			inner.filter((k) => k >= 0 && k < between.length)
		);
		return inner.map((k) => {
			if (k < 0) return low;
			return k >= between.length ? high : found.shift()!;
		});
	}
}

/** Up to so many pairs are held; more are looked at in passing. */
const SMALL = 100_000;
/** Slopes drawn to guess where the wanted ones lie. */
const SAMPLE = 100_000;

function allSlopes(series: readonly Series[], pairs: number): Float64Array {
	const slopes = new Float64Array(pairs);
	let k = 0;
	for (const { times, values } of series)
		for (let i = 0; i < times.length; i++)
			for (let j = i + 1; j < times.length; j++) slopes[k++] = (values[j]! - values[i]!) / (times[j]! - times[i]!);
	return slopes;
}

function sampleSlopes(series: readonly Series[], pairs: number): Float64Array {
	const chance = seeded(pairs);
	const sample = new Float64Array(SAMPLE);
	for (let k = 0; k < SAMPLE; k++) {
		const { times, values } = seriesOfPair(series, chance.uniform() * pairs);
		const i = Math.floor(chance.uniform() * times.length);
		const j = (i + 1 + Math.floor(chance.uniform() * (times.length - 1))) % times.length;
		sample[k] = (values[j]! - values[i]!) / (times[j]! - times[i]!);
	}
	return sample.sort();
}

function seriesOfPair(series: readonly Series[], pair: number): Series {
	for (const one of series) {
		pair -= pairsOf([one]);
		if (pair < 0) return one;
	}
	return series.at(-1)!;
}

/** The sample's slope so many standard errors below or above a share of it; infinite beyond its ends. */
function boundAt(sample: Float64Array, share: number, margin: number): number {
	const place = Math.round(
		share * sample.length + margin * Math.sqrt(sample.length * Math.max(share * (1 - share), 1 / sample.length))
	);
	if (place < 0) return -Infinity;
	return place >= sample.length ? Infinity : sample[place]!;
}

/**
 * One look at every pair: how many slopes lie below `low`, at it, at `high`, and which lie between. A slope that very
 * many pairs share (0, in readings of few digits) is a bound itself, so it is counted and never held.
 */
function passOver(
	series: readonly Series[],
	low: number,
	high: number,
	pairs: number,
	progress: (share: number) => void
) {
	let held = new Float64Array(Math.min(pairs, 1 << 16));
	let below = 0;
	let atLow = 0;
	let atHigh = 0;
	let count = 0;
	let seen = 0;
	for (const { times, values } of series) {
		const n = times.length;
		for (let i = 0; i < n; i++) {
			const t = times[i]!;
			const y = values[i]!;
			for (let j = i + 1; j < n; j++) {
				const slope = (values[j]! - y) / (times[j]! - t);
				if (slope < low) below++;
				else if (slope > high) continue;
				else if (slope === low) atLow++;
				else if (slope === high) atHigh++;
				else {
					if (count === held.length) held = grown(held);
					held[count++] = slope;
				}
			}
			seen += n - 1 - i;
			if ((i & 255) === 0) progress(seen / pairs);
		}
	}
	return { below, atLow, between: held.subarray(0, count), atHigh };
}

function grown(a: Float64Array): Float64Array<ArrayBuffer> {
	const larger = new Float64Array(2 * a.length);
	larger.set(a);
	return larger;
}

/** The values that would stand at these places if all were sorted; reorders `a`. */
function picked(a: Float64Array, places: readonly number[]): number[] {
	return places.map((place) => quickSelect(a, place));
}

/** Hoare 1961, with the middle of three as pivot. */
function quickSelect(a: Float64Array, place: number): number {
	let low = 0;
	let high = a.length - 1;
	while (low < high) {
		const pivot = middleOfThree(a[low]!, a[(low + high) >> 1]!, a[high]!);
		let i = low;
		let j = high;
		while (i <= j) {
			while (a[i]! < pivot) i++;
			while (a[j]! > pivot) j--;
			if (i <= j) {
				const swap = a[i]!;
				a[i++] = a[j]!;
				a[j--] = swap;
			}
		}
		if (place <= j) high = j;
		else if (place >= i) low = i;
		else break;
	}
	return a[place]!;
}

const middleOfThree = (a: number, b: number, c: number) => Math.max(Math.min(a, b), Math.min(Math.max(a, b), c));
