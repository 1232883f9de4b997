import gammaln from '@stdlib/math-base-special-gammaln';
import { rarefactionCurve } from '../src/lib/core/macroinvertebrates';
import { bestOf, type Bench } from './measure';

const TAXA = 60;
const ANIMALS = 5000;

export const rarefactionCurve5000: Bench = {
	name: 'rarefaction-curve-5000',
	unit: 'ms',
	reach: 0.2,
	theirs: 'the direct formula at each size',
	needs: 'nothing',
	run: async () => {
		const counts = manyOfFewKinds();
		let ours: number[] = [];
		let theirs: number[] = [];
		const times = {
			ours: bestOf(10, () => void (ours = rarefactionCurve({ counts, step: 1 }).richness)),
			theirs: bestOf(3, () => void (theirs = directly(counts)))
		};
		const apart = Math.max(...ours.map((r, i) => Math.abs(r - theirs[i]!)));
		if (!(apart < 1e-8)) throw new Error(`not the same curve: ${apart}`);
		return Promise.resolve({ ...times, note: `the two curves lie ${apart.toExponential(1)} taxa apart at most` });
	}
};

/** Counts that fall off as they do in a tray: few kinds are many, many kinds are few. */
function manyOfFewKinds(): number[] {
	const weights = Array.from({ length: TAXA }, (_, i) => 0.9 ** i);
	const total = weights.reduce((a, b) => a + b, 0);
	const counts = weights.map((w) => Math.max(1, Math.floor((ANIMALS * w) / total)));
	counts[0]! += ANIMALS - counts.reduce((a, b) => a + b, 0);
	return counts;
}

const lnChoose = (n: number, k: number) => gammaln(n + 1) - gammaln(k + 1) - gammaln(n - k + 1);

function directly(counts: readonly number[]): number[] {
	const total = counts.reduce((a, b) => a + b, 0);
	return Array.from({ length: total }, (_, i) => {
		const n = i + 1;
		return counts.reduce(
			(sum, x) => sum + 1 - (total - x < n ? 0 : Math.exp(lnChoose(total - x, n) - lnChoose(total, n))),
			0
		);
	});
}
