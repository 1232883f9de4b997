import { mannKendall } from '../src/lib/core/statistics';
import { loggerRecord } from './logger-record';
import { bestOf, type Bench } from './measure';

const N = 20_000;

export const kendall20000: Bench = {
	name: 'kendall-20000',
	unit: 'ms',
	reach: 0.02,
	theirs: 'plain double loop',
	needs: 'nothing',
	run: async () => {
		const values = loggerRecord(N);
		let [ours, theirs] = [0, 0];
		const times = {
			ours: bestOf(5, () => void (ours = mannKendall({ values }).s!)),
			theirs: bestOf(2, () => void (theirs = plainS(values)))
		};
		if (ours !== theirs) throw new Error(`not the same S: ${ours}, ${theirs}`);
		return Promise.resolve({ ...times, note: `S ${ours} both ways` });
	}
};

/** The definition, as a person would write it. */
export function plainS(values: readonly number[]): number {
	let s = 0;
	for (let i = 0; i < values.length; i++)
		for (let j = i + 1; j < values.length; j++) s += Math.sign(values[j]! - values[i]!);
	return s;
}
