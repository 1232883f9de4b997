import { dissolvedOxygenSaturation } from '../oxygen';
import { finite, inRange, listOf, positive } from '../quantity';
import { linearRegression } from '../statistics';

/** How far an instrument may be off and still be taken along; a program may set its own. */
export interface CalibrationRules {
	sleeveSettle_min: number;
	sleeveWindow_percent: number;
	standardWindow_percent: number;
	thermometerWindow_C: number;
	slopeLeast_percent: number;
	slopeMost_percent: number;
	offsetMost_pH: number;
}

export const usualCalibrationRules: CalibrationRules = {
	sleeveSettle_min: 10,
	sleeveWindow_percent: 2,
	standardWindow_percent: 5,
	thermometerWindow_C: 0.5,
	slopeLeast_percent: 95,
	slopeMost_percent: 102,
	offsetMost_pH: 0.3
};

const SEA_LEVEL_kPa = 101.325;

/**
 * An oxygen probe in its moist sleeve: what it should read there, in percent of the air at sea level, and whether it
 * does. The air's share follows from the pressure and the water vapour at that temperature: Benson & Krause 1984,
 * through
 * `dissolvedOxygenSaturation`, whose ranges and errors hold. A probe that has not had its time to settle does not
 * pass.
 */
export function checkSleeve(
	sleeve: { reading_percent: number; temperature_C: number; pressure_kPa: number; settled_min: number },
	rules: CalibrationRules = usualCalibrationRules
): { expected_percent: number; offBy_percent: number; isSettled: boolean; passed: boolean } {
	const at = { temperature_C: sleeve.temperature_C, salinity_ppt: 0 };
	const here = dissolvedOxygenSaturation({ ...at, pressure_kPa: sleeve.pressure_kPa }).saturation_mgL;
	const expected_percent =
		(100 * here) / dissolvedOxygenSaturation({ ...at, pressure_kPa: SEA_LEVEL_kPa }).saturation_mgL;
	const offBy_percent = inRange('reading_percent', sleeve.reading_percent, 0, 200) - expected_percent;
	const isSettled = finite('settled_min', sleeve.settled_min) >= rules.sleeveSettle_min;
	return {
		expected_percent,
		offBy_percent,
		isSettled,
		passed: isSettled && Math.abs(offBy_percent) <= rules.sleeveWindow_percent
	};
}

/** A meter in one standard: how far it is off, in percent of the standard. RangeError for a standard of 0 or less. */
export function checkStandard(
	of: { reading: number; standard: number },
	rules: CalibrationRules = usualCalibrationRules
): { offBy_percent: number; passed: boolean } {
	const standard = positive('standard', of.standard);
	const offBy_percent = (100 * (finite('reading', of.reading) - standard)) / standard;
	return { offBy_percent, passed: Math.abs(offBy_percent) <= rules.standardWindow_percent };
}

/** A thermometer beside another that is trusted, in the same water. */
export function checkThermometer(
	of: { reading_C: number; other_C: number },
	rules: CalibrationRules = usualCalibrationRules
): { offBy_C: number; passed: boolean } {
	const offBy_C = finite('reading_C', of.reading_C) - finite('other_C', of.other_C);
	return { offBy_C, passed: Math.abs(offBy_C) <= rules.thermometerWindow_C + 1e-9 };
}

/**
 * A pH meter in two or three buffers: its slope in percent of what the buffers ask for, and how far it is off at pH 7,
 * from the straight line through them by least squares. RangeError for fewer than two different buffers.
 */
export function checkBuffers(
	{ buffers }: { buffers: readonly { pH: number; reading: number }[] },
	rules: CalibrationRules = usualCalibrationRules
): { slope_percent: number; offset_pH: number; passed: boolean } {
	const x = listOf('buffers', buffers, (place, b) => inRange(`${place}.pH`, (b as { pH: number }).pH, 0, 14));
	const y = listOf('buffers', buffers, (place, b) =>
		inRange(`${place}.reading`, (b as { reading: number }).reading, -2, 16)
	);
	if (new Set(x).size < 2) throw new RangeError('buffers needs two different ones at least');
	const { slope, intercept } = linearRegression({ x, y });
	const offset_pH = slope! * 7 + intercept! - 7;
	const slope_percent = 100 * slope!;
	return {
		slope_percent,
		offset_pH,
		passed:
			slope_percent >= rules.slopeLeast_percent &&
			slope_percent <= rules.slopeMost_percent &&
			Math.abs(offset_pH) <= rules.offsetMost_pH
	};
}
