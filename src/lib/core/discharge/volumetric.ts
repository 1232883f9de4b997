import { atLeast, given, listOf, meanOf, over, positive, type Step, type Working } from '../quantity';
import { standardDeviation } from '../statistics';

/**
 * Discharge by bucket and stopwatch (m³/s): the mean of the fills, and their spread. RangeError for no fill or a time
 * of 0. Rantz et al. 1982, USGS Water-Supply Paper 2175.
 */
export function volumetricDischarge({ fills }: { fills: readonly { volume_L: number; time_s: number }[] }) {
	const steps = listOf('fills', fills, (place, fill) => {
		const { volume_L, time_s } = (fill ?? {}) as { volume_L?: number; time_s?: number };
		return over(
			over(given(atLeast(`${place}.volume_L`, volume_L, 0), 'L'), given(1000)),
			given(positive(`${place}.time_s`, time_s), 's')
		);
	});
	if (steps.length === 0) throw new RangeError('a bucket gauging needs at least one fill');
	const step = meanOf(steps as [Step, ...Step[]]);
	const rates = steps.map((s) => s.number);
	const discharge_m3_s = step.number;
	const sd_m3_s = standardDeviation(rates);
	return {
		discharge_m3_s,
		sd_m3_s,
		coefficientOfVariationPercent: sd_m3_s === null || discharge_m3_s === 0 ? null : (100 * sd_m3_s) / discharge_m3_s,
		repeats: rates.length,
		working: { step, unit: 'm³/s' } satisfies Working
	};
}
