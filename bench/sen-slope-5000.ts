import { mannKendall, theilSen } from '../src/lib/core/statistics';
import { loggerRecord } from './logger-record';
import { bestOf, type Bench } from './measure';

const N = 5000;
const Z90 = 1.6448536269514722;

export const senSlope5000: Bench = {
	name: 'sen-slope-5000',
	unit: 'ms',
	reach: 0.5,
	theirs: 'all pairs, sorted',
	needs: 'nothing',
	run: async () => {
		const values = loggerRecord(N);
		let [ours, theirs] = ['', ''];
		const times = {
			ours: bestOf(5, () => {
				const { slope, lower, upper } = theilSen({ values });
				ours = [slope, lower, upper].join(' ');
			}),
			theirs: bestOf(2, () => void (theirs = allPairs(values).join(' ')))
		};
		if (ours !== theirs) throw new Error(`not the same slope and interval: ${ours}; ${theirs}`);
		return Promise.resolve(times);
	}
};

function allPairs(values: readonly number[]): number[] {
	const n = values.length;
	const slopes = new Float64Array((n * (n - 1)) / 2);
	let k = 0;
	for (let i = 0; i < n; i++) for (let j = i + 1; j < n; j++) slopes[k++] = (values[j]! - values[i]!) / (j - i);
	slopes.sort();
	const c = Z90 * Math.sqrt(mannKendall({ values }).varS!);
	const middle = (slopes[(k - 1) >> 1]! + slopes[k >> 1]!) / 2;
	return [middle, slopes[Math.round((k - c) / 2) - 1]!, slopes[Math.round((k + c) / 2)]!];
}
