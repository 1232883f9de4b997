import { finite, listOf, pairedLists } from '../../quantity';
import { gappy, type Gappy } from '../samples';

/** A series in order of time, without gaps: what every trend test works on. */
export interface Series {
	times: Float64Array;
	values: Float64Array;
}

/**
 * The series in order of time; a missing value drops its pair. Times absent: 0, 1, 2, … RangeError for a time that is
 * missing, two equal times, or lists of different length.
 */
export function orderedSeries({ times, values }: { times?: Gappy | null; values: Gappy }): Series {
	const ys = gappy('values', values);
	if (times == null) return gapless(ys, (i) => i, ys.keys());
	const ts = listOf('times', times, finite);
	pairedLists({ times: ts, values: ys });
	const order = [...ts.keys()].sort((a, b) => ts[a]! - ts[b]!);
	for (let i = 1; i < order.length; i++)
		if (ts[order[i]!] === ts[order[i - 1]!])
			throw new RangeError(`times[${order[i]!}] is the same as another: ${ts[order[i]!]!}`);
	return gapless(ys, (i) => ts[i]!, order);
}

function gapless(values: readonly (number | null)[], timeAt: (i: number) => number, order: Iterable<number>): Series {
	const series = { times: new Float64Array(values.length), values: new Float64Array(values.length) };
	let n = 0;
	for (const i of order) {
		const value = values[i];
		if (value == null) continue;
		series.times[n] = timeAt(i);
		series.values[n++] = value;
	}
	return { times: series.times.subarray(0, n), values: series.values.subarray(0, n) };
}
