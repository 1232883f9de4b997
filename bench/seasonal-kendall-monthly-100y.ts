import { seasonalKendall, seasonalSenSlope, type SeasonValue } from '../src/lib/core/statistics';
import { loggerRecord } from './logger-record';
import { bestOf, type Bench } from './measure';

const YEARS = 100;
const MONTHS = 12;

export const seasonalKendallMonthly100y: Bench = {
	name: 'seasonal-kendall-monthly-100y',
	unit: 'ms',
	reach: 0.2,
	theirs: 'plain double loop a season',
	needs: 'nothing',
	run: async () => {
		const observations = loggerRecord(YEARS * MONTHS).map((value, i) => ({
			year: 1920 + Math.floor(i / MONTHS),
			season: i % MONTHS,
			value
		}));
		let [ours, theirs] = ['', ''];
		const times = {
			ours: bestOf(20, () => {
				const { s, varSAdjusted } = seasonalKendall({ observations });
				ours = [s, varSAdjusted!.toFixed(6), seasonalSenSlope({ observations }).slopePerYear].join(' ');
			}),
			theirs: bestOf(10, () => void (theirs = plainly(observations)))
		};
		if (ours !== theirs) throw new Error(`not the same: ${ours}; ${theirs}`);
		return Promise.resolve({ ...times, note: 'the test with its covariance between months, and the slope' });
	}
};

/** S, the covariances and the slopes as their definitions read, for a record without gaps. */
function plainly(observations: readonly Required<SeasonValue>[]): string {
	const months = Array.from({ length: MONTHS }, (_, m) =>
		observations.filter((o) => o.season === m).map((o) => o.value!)
	);
	let s = 0;
	let variance = 0;
	const slopes: number[] = [];
	for (const y of months) {
		for (let i = 0; i < YEARS; i++)
			for (let j = i + 1; j < YEARS; j++) {
				s += Math.sign(y[j]! - y[i]!);
				slopes.push((y[j]! - y[i]!) / (j - i));
			}
		let ties = 0;
		for (const v of new Set(y)) {
			const t = y.filter((w) => w === v).length;
			ties += t * (t - 1) * (2 * t + 5);
		}
		variance += (YEARS * (YEARS - 1) * (2 * YEARS + 5) - ties) / 18;
	}
	const ranks = months.map((y) => y.map((v) => (YEARS + 1 + y.reduce((sum, w) => sum + Math.sign(v - w), 0)) / 2));
	for (let g = 0; g < MONTHS; g++)
		for (let h = g + 1; h < MONTHS; h++) {
			let k = 0;
			for (let i = 0; i < YEARS; i++)
				for (let j = i + 1; j < YEARS; j++)
					k += Math.sign((months[g]![j]! - months[g]![i]!) * (months[h]![j]! - months[h]![i]!));
			const products = ranks[g]!.reduce((sum, r, i) => sum + r * ranks[h]![i]!, 0);
			variance += (2 * (k + 4 * products - YEARS * (YEARS + 1) ** 2)) / 3;
		}
	slopes.sort((a, b) => a - b);
	const n = slopes.length;
	return [s, variance.toFixed(6), (slopes[(n - 1) >> 1]! + slopes[n >> 1]!) / 2].join(' ');
}
