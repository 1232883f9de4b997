import type { Usual } from '$lib/core/subjects/context';
import { parameterOf, type ParameterCode } from '$lib/core/quantity';
import type { Shown } from '$lib/core/quality';
import { whileVisible } from '../while-visible';
import { simulatedMeter, type MeterTemper } from './simulated-meter';

/** A meter that sends what its display shows. Real ones join here; what is shipped is a stand-in. */
export interface MeterPort {
	/** Shown with every figure that comes from a stand-in. */
	isSimulated: boolean;
	/** Hears the meter, about once a second, until stopped. Figures in the parameter's own unit. */
	listen: (parameter: ParameterCode, hear: (shown: Shown) => void) => () => void;
}

/** How a meter of each parameter behaves: how fast it comes to rest, how its last digit dances. */
const tempers: Partial<Record<ParameterCode, Pick<MeterTemper, 'settling_s' | 'jitter'>>> = {
	'dissolved-oxygen': { settling_s: 5, jitter: 0.02 },
	conductivity: { settling_s: 3, jitter: 0.3 },
	'water-temperature': { settling_s: 4, jitter: 0.02 },
	ph: { settling_s: 6, jitter: 0.01 },
	turbidity: { settling_s: 3, jitter: 0.4 }
};

export const canListen = (parameter: ParameterCode): boolean => parameter in tempers;

/**
 * A stand-in for a multimeter in a stream whose figures are about the site's usual ones. It jumps, settles, drifts
 * and drops out.
 */
export function simulatedPort(usual: Partial<Record<ParameterCode, Usual>>, now_ms: () => number): MeterPort {
	return {
		isSimulated: true,
		listen(parameter, hear) {
			const temper = tempers[parameter];
			if (!temper) return () => {};
			// no stand-in plays a parameter of a program's own
			const { plausible, decimals } = parameterOf(parameter, undefined);
			const [low, high] = usual[parameter] ? [usual[parameter].low, usual[parameter].high] : plausible;
			const rests = low + (high - low) * 0.45;
			const meter = simulatedMeter({
				...temper,
				rests,
				starts: rests + (high - low) * 0.3,
				decimals,
				seed: 11,
				knockEvery_s: 75,
				dropOutEvery_s: 140,
				drift_per_h: (high - low) / 50
			});
			const began_ms = now_ms();
			const show = () => hear({ at_ms: now_ms(), value: meter.reading((now_ms() - began_ms) / 1000) });
			show();
			return whileVisible(1000, show);
		}
	};
}
