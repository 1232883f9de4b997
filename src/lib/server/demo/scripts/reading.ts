import { round } from '../water-model';
import type { Script } from './script';

/** Temperatures, oxygen and conductivity, each a little off the truth; a probe that was forgotten reads low. */
export function reading({ plan, second, read, misread }: Script): void {
	const { truth } = plan;
	read(second, 10, 'air-temperature/shade', {
		value: round(Math.round((truth.air_C + misread(0.3)) * 2) / 2, 1),
		unit: 'degC',
		instrument: `T-${plan.kit}`
	});
	read(second, 13, 'water-temperature/main', {
		value: round(truth.water_C + misread(0.1), 1),
		unit: 'degC',
		instrument: `M-${plan.kit}`
	});
	for (const [i, slot] of ['left', 'middle', 'right'].entries())
		read(second, 15 + 2 * i, `dissolved-oxygen/${slot}`, {
			value: round(Math.max(0, truth.oxygen_mg_L * (1 - plan.oxygenDrift) + misread(0.12)), 1),
			unit: 'mg_L',
			instrument: `M-${plan.kit}`
		});
	read(second, 22, 'conductivity/main', {
		value: round(truth.conductivity_uS_cm + misread(2), 0),
		unit: 'uS_cm',
		instrument: `M-${plan.kit}`
	});
}
