import { atLeast, finite, orDefault } from '../quantity';

export interface Salinity {
	/** Practical salinity, extended below 2 by Hill, Dauphinee & Woods 1986. */
	salinity: number;
	salinityPss78: number;
	extended: boolean;
	inRange: boolean;
}

/**
 * Practical salinity from the ratio of a sample's conductivity to standard seawater's at 15 °C and surface pressure.
 * Temperature on IPTS-68, pressure in dbar. UNESCO 1983 (PSS-78); below 2, APHA Standard Methods 2520 B. Outside 0 to
 * 42 and −2 to 35 °C the figure is still given, with `inRange` false. RangeError on a negative ratio or pressure.
 */
export function practicalSalinityFromRatio(sample: {
	conductivityRatio: number;
	temperatureIpts68_C: number;
	pressure_dbar?: number | null;
}): Salinity {
	const R = atLeast('conductivityRatio', sample.conductivityRatio, 0);
	const t = finite('temperatureIpts68_C', sample.temperatureIpts68_C);
	const p = atLeast('pressure_dbar', orDefault(sample.pressure_dbar, 0), 0);

	const Rp =
		1 +
		(p * (2.07e-5 - 6.37e-10 * p + 3.989e-15 * p ** 2)) /
			(1 + 3.426e-2 * t + 4.464e-4 * t ** 2 + (4.215e-1 - 3.107e-3 * t) * R);
	const rt = 0.6766097 + 2.00564e-2 * t + 1.104259e-4 * t ** 2 - 6.9698e-7 * t ** 3 + 1.0031e-9 * t ** 4;
	const Rt = R / (Rp * rt);
	const f = (t - 15) / (1 + 0.0162 * (t - 15));
	const salinityPss78 = seriesInRoots(A, Rt) + f * seriesInRoots(B, Rt);
	const extended = salinityPss78 < 2;
	const salinity = extended ? salinityPss78 - lowSalinityCorrection(Rt, f) : salinityPss78;
	return { salinity, salinityPss78, extended, inRange: salinity <= 42 && t >= -2 && t <= 35 };
}

/**
 * Practical salinity from raw conductivity in mS/cm (not brought to 25 °C) and temperature on ITS-90. UNESCO (1983),
 * Technical Papers in Marine Science 44.
 */
export function practicalSalinity(sample: { conductivity_mScm: number; temperature_C: number }): Salinity {
	return practicalSalinityFromRatio({
		conductivityRatio: atLeast('conductivity_mScm', sample.conductivity_mScm, 0) / STANDARD_SEAWATER_15_mScm,
		temperatureIpts68_C: ITS90_TO_IPTS68 * finite('temperature_C', sample.temperature_C)
	});
}

const STANDARD_SEAWATER_15_mScm = 42.914; // conductivity of standard seawater at 15 °C
const ITS90_TO_IPTS68 = 1.00024;
const A = [0.008, -0.1692, 25.3851, 14.0941, -7.0261, 2.7081];
const B = [0.0005, -0.0056, -0.0066, -0.0375, 0.0636, -0.0144];

const seriesInRoots = (coefficients: readonly number[], Rt: number) =>
	coefficients.reduce((sum, c, i) => sum + c * Rt ** (i / 2), 0);

const lowSalinityCorrection = (Rt: number, f: number) => {
	const X = 400 * Rt;
	const Y = 100 * Rt;
	return 0.008 / (1 + 1.5 * X + X ** 2) + (0.0005 * f) / (1 + Y ** 0.5 + Y + Y ** 1.5);
};
