import { atLeast, finite, given, times, type Working } from '../quantity';

/**
 * What a stream carries past in a day, in kg: 86.4 × concentration (mg/L) × discharge (m³/s). A qualifier passes
 * through. The factor is that of the SI (BIPM 2019): g/s to kg/d.
 */
export function load({
	concentration_mgL,
	discharge_m3_s,
	qualifier
}: {
	concentration_mgL: number;
	discharge_m3_s: number;
	qualifier?: string | null;
}) {
	const c = atLeast('concentration_mgL', concentration_mgL, 0);
	const step = times(given(86.4), given(c, 'mg/L'), given(finite('discharge_m3_s', discharge_m3_s), 'm³/s'));
	return {
		load_kgDay: step.number,
		qualifier: qualifier ?? null,
		working: { step, unit: 'kg a day' } satisfies Working
	};
}
