import { atLeast, finite, given, inRange, over, times, type Working } from '../quantity';

export interface Water {
	temperature_C: number;
	salinity_ppt: number;
	pressure_kPa: number;
}

/**
 * The dissolved oxygen that water holds in equilibrium with moist air, in mg/L. Benson & Krause 1984, as in APHA
 * Standard Methods 4500-O and USGS Office of Water Quality 2011.03. Their fit is for 0 to 40 °C and salinity 0 to 40;
 * a little beyond it is carried on as it is: −2 to 45 °C, salinity 0 to 45, pressure 40 to 115 kPa (station pressure,
 * not reduced to sea level). RangeError outside those.
 */
export function dissolvedOxygenSaturation(water: Water): { saturation_mgL: number } {
	const t = inRange('temperature_C', water.temperature_C, -2, 45);
	const S = inRange('salinity_ppt', water.salinity_ppt, 0, 45);
	const P = inRange('pressure_kPa', water.pressure_kPa, 40, 115) / STANDARD_ATMOSPHERE_kPa;
	const T = t + 273.15;
	const atOneAtmosphere = Math.exp(
		-139.34411 +
			1.575701e5 / T -
			6.642308e7 / T ** 2 +
			1.2438e10 / T ** 3 -
			8.621949e11 / T ** 4 -
			S * (1.7674e-2 - 10.754 / T + 2140.7 / T ** 2)
	);
	const theta = 0.000975 - 1.426e-5 * t + 6.436e-8 * t ** 2; // second virial coefficient of oxygen
	const W = Math.exp(11.8571 - 3840.7 / T - 216961 / T ** 2); // vapour pressure of water, atm
	return { saturation_mgL: (atOneAtmosphere * P * (1 - W / P) * (1 - theta * P)) / ((1 - W) * (1 - theta)) };
}

/**
 * Measured oxygen as a share of what this water holds, in percent, with the saturation beside it (mg/L).
 * Same source and ranges as {@link dissolvedOxygenSaturation}. Benson & Krause 1984.
 */
export function percentSaturation(sample: Water & { dissolvedOxygen_mgL: number }): {
	percent: number;
	saturation_mgL: number;
	working: Working;
} {
	const dissolvedOxygen_mgL = atLeast('dissolvedOxygen_mgL', sample.dissolvedOxygen_mgL, 0);
	const { saturation_mgL } = dissolvedOxygenSaturation(sample);
	const step = over(times(given(100), given(dissolvedOxygen_mgL, 'mg/L')), given(saturation_mgL, 'mg/L'));
	return { percent: step.number, saturation_mgL, working: { step, unit: '%' } };
}

/**
 * Pressure of the standard atmosphere at a height, in kPa, for stations without a barometer.
 * International Standard Atmosphere, troposphere. Holds for −430 to 9000 m; RangeError outside. ICAO Doc 7488 (1993).
 */
export function pressureFromElevation({ elevation_m }: { elevation_m: number }): { pressure_kPa: number } {
	const h = inRange('elevation_m', finite('elevation_m', elevation_m), -430, 9000);
	return { pressure_kPa: STANDARD_ATMOSPHERE_kPa * (1 - 2.25577e-5 * h) ** 5.25588 };
}

const STANDARD_ATMOSPHERE_kPa = 101.325;
