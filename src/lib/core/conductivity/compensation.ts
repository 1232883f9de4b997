import {
	atLeast,
	finite,
	given,
	inRange,
	minus,
	orDefault,
	over,
	plus,
	positive,
	times,
	type Step,
	type Working
} from '../quantity';

/** Share by which conductivity rises for each degree, relative to 25 °C. ISO 7888; APHA Standard Methods 2510 B. */
export const PER_DEGREE = 0.0191;

/** Conductivity brought to 25 °C, in µS/cm. APHA 2510 B. RangeError where 1 + a(t − 25) is not above 0. */
export function specificConductance(reading: {
	conductivity_uScm: number;
	temperature_C: number;
	coefficientPerC?: number | null;
}): {
	specificConductance_uScm: number;
	working: Working;
} {
	const raw = atLeast('conductivity_uScm', reading.conductivity_uScm, 0);
	const step = over(given(raw, 'µS/cm'), ratioTo25(reading));
	return { specificConductance_uScm: step.number, working: { step, unit: 'µS/cm at 25 °C' } };
}

/**
 * The conductivity an uncompensated meter shows in water of a known conductance at 25 °C, in µS/cm: the inverse of
 * specificConductance. APHA Standard Methods 2510 B.
 */
export function rawConductivity(water: {
	specificConductance_uScm: number;
	temperature_C: number;
	coefficientPerC?: number | null;
}): {
	conductivity_uScm: number;
} {
	const at25 = atLeast('specificConductance_uScm', water.specificConductance_uScm, 0);
	return { conductivity_uScm: at25 * ratioTo25(water).number };
}

/**
 * Dissolved solids estimated from conductance at 25 °C, in mg/L; the factor (0 to 1] belongs to the water. APHA 2510.
 */
export function totalDissolvedSolids(water: { specificConductance_uScm: number; factor?: number | null }): {
	totalDissolvedSolids_mgL: number;
	working: Working;
} {
	const at25 = atLeast('specificConductance_uScm', water.specificConductance_uScm, 0);
	const factor = inRange('factor', positive('factor', orDefault(water.factor, 0.65)), 0, 1);
	const step = times(given(at25, 'µS/cm at 25 °C'), given(factor));
	return { totalDissolvedSolids_mgL: step.number, working: { step, unit: 'mg/L' } };
}

function ratioTo25({
	temperature_C,
	coefficientPerC
}: {
	temperature_C: number;
	coefficientPerC?: number | null;
}): Step {
	const a = atLeast('coefficientPerC', orDefault(coefficientPerC, PER_DEGREE), 0);
	const ratio = plus(
		given(1),
		times(given(a), minus(given(finite('temperature_C', temperature_C), '°C'), given(25, '°C')))
	);
	positive('1 + a(t − 25)', ratio.number);
	return ratio;
}
