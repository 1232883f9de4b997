import { tubeDepthFromTurbidity } from '../../core/clarity';
import { rawConductivity } from '../../core/conductivity';
import { dissolvedOxygenSaturation, pressureFromElevation } from '../../core/oxygen';
import { seeded, type Chance } from '../../core/statistics';
import type { DemoSite } from './catchment';

/*
 * How the invented water behaves: seasons, weather, storms and their recession, salt in frost, a leaking sewer, a reach
 * that gets better. The same seed gives the same three years.
 */

const DAY_ms = 86_400_000;
const YEAR_days = 365.25;
const RECESSION_days = 2.6;

export interface Weather {
	/** Multiples of base flow that storms add, on a day counted back from the end (0 is the last day). */
	storm: (daysAgo: number) => number;
	/** Departure of air temperature from the season, °C. */
	warmth: (daysAgo: number) => number;
}

/** Three years and a bit of weather, newest day first. */
export function weather(seed: number, days: number, stormDaysAgo: readonly number[]): Weather {
	const chance = seeded(seed);
	const rain = new Float64Array(days + 60);
	const warmth = new Float64Array(days + 60);
	let w = 0;
	for (let day = rain.length - 1; day >= 0; day--) {
		w = 0.75 * w + 2.1 * chance.normal();
		warmth[day] = w;
		if (chance.uniform() < 1 / 13) rain[day] = 0.6 + 2.2 * chance.uniform() ** 2;
	}
	for (const day of stormDaysAgo) rain[day] = 5.5;
	const storm = (daysAgo: number) => {
		let sum = 0;
		for (let k = 0; k < 14; k++) sum += (rain[Math.floor(daysAgo) + k] ?? 0) * Math.exp(-k / RECESSION_days);
		return sum;
	};
	return { storm, warmth: (daysAgo) => warmth[Math.floor(daysAgo)] ?? 0 };
}

export interface Truth {
	air_C: number;
	water_C: number;
	oxygen_mg_L: number;
	conductivity_uS_cm: number;
	tube_cm: number;
	discharge_m3_s: number;
	eColi_cfu_100mL: number;
	nitrite_mg_L_N: number;
	/** Storm flow over base flow, for deciding whether anyone wades. */
	storm: number;
}

/** The water at a site at an instant; `age` is 1 three years ago and 0 now. */
export function truthAt(
	site: DemoSite,
	at_ms: number,
	daysAgo: number,
	age: number,
	w: Weather,
	chance: Chance
): Truth {
	const { nature } = site;
	const still = nature.restored ? Math.max(0, (age - 0.1) / 0.9) : 0;
	const season = Math.sin((2 * Math.PI * (dayOfYear(at_ms) - 115)) / YEAR_days); // +1 in late July, −1 in late January
	const hour = (at_ms / 3_600_000) % 24;
	const storm = w.storm(daysAgo);
	const warmth = w.warmth(daysAgo);

	const air_C = 9.5 + 8.5 * season + warmth + 2.5 * Math.sin((2 * Math.PI * (hour - 9)) / 24) + 0.5 * chance.normal();
	const warm = nature.warm_C + still * (nature.restored?.warm_C ?? 0);
	const water_C = Math.max(
		0.2,
		8.6 + 5.2 * season + warm * Math.max(0, season + 0.2) + 0.35 * warmth + 0.3 * chance.normal()
	);

	const summerLow = nature.oxygen_percent < 90 ? Math.max(0, season) * (92 - nature.oxygen_percent) * 0.6 : 0;
	const percent =
		nature.oxygen_percent - still * (nature.restored?.oxygen_percent ?? 0) - summerLow + 1.4 * chance.normal();
	const { pressure_kPa } = pressureFromElevation({ elevation_m: site.elevation_m });
	const oxygen_mg_L =
		(percent / 100) *
		dissolvedOxygenSaturation({ temperature_C: water_C, salinity_ppt: 0, pressure_kPa }).saturation_mgL;

	const flow = (1 - 0.45 * season) * (1 + storm) * Math.exp(0.12 * chance.normal());
	const discharge_m3_s = 0.0115 * nature.area_km2 * flow;

	const frost = air_C < 3 ? Math.min(1, (3 - air_C) / 5) : 0;
	const conductance25 =
		nature.conductance25_uS_cm * flow ** -0.16 * Math.exp(0.03 * chance.normal()) +
		nature.salt_uS_cm * frost * (0.5 + chance.uniform());
	const { conductivity_uScm } = rawConductivity({ specificConductance_uScm: conductance25, temperature_C: water_C });

	const turbidity_NTU =
		(nature.turbidity_NTU + still * (nature.restored?.turbidity_NTU ?? 0)) *
		(1 + 2.4 * storm) *
		Math.exp(0.2 * chance.normal());
	return {
		air_C,
		water_C,
		oxygen_mg_L,
		conductivity_uS_cm: conductivity_uScm,
		tube_cm: tubeDepthFromTurbidity({ turbidity_NTU }).depth_cm,
		discharge_m3_s,
		eColi_cfu_100mL:
			nature.eColi_cfu_100mL * (1 + 0.7 * storm) * (1 + 0.5 * Math.max(0, season)) * Math.exp(0.55 * chance.normal()),
		nitrite_mg_L_N: nature.nitrite_mg_L_N * flow ** -0.4 * Math.exp(0.3 * chance.normal()),
		storm
	};
}

// 1970 began on 1 January; the drift over decades is under a day
const dayOfYear = (at_ms: number) => (at_ms / DAY_ms) % YEAR_days;

export interface Profile {
	start_m: number;
	end_m: number;
	verticals: { distance_m: number; depth_m: number; velocity_m_s: number }[];
}

/** A stream bed and its current that carry this discharge, as a crew would measure them at `n` verticals. */
export function profileFor(discharge_m3_s: number, n: number, chance: Chance): Profile {
	const width = 2.2 + 5.2 * discharge_m3_s ** 0.45;
	const start_m = round(0.2 + 0.4 * chance.uniform(), 1);
	const thalweg = 0.35 + 0.3 * chance.uniform();
	const shape = Array.from({ length: n }, (_, i) => {
		const x = (i + 1) / (n + 1);
		const side = x < thalweg ? x / thalweg : (1 - x) / (1 - thalweg);
		return { x, depth: Math.max(0.12, side ** 0.75), speed: Math.max(0.15, side ** 0.5) };
	});
	const deepest = Math.max(0.1, 0.2 * discharge_m3_s ** 0.4 + 0.1);
	const carried = shape.reduce((sum, s) => sum + s.depth * deepest * s.speed, 0) * (width / (n + 1));
	const fastest = discharge_m3_s / carried;
	return {
		start_m,
		end_m: round(start_m + width, 1),
		verticals: shape.map(({ x, depth, speed }) => ({
			distance_m: round(start_m + x * width, 2),
			depth_m: round(Math.max(0.02, depth * deepest * (1 + 0.05 * chance.normal())), 2),
			velocity_m_s: round(Math.max(0.01, speed * fastest * (1 + 0.06 * chance.normal())), 2)
		}))
	};
}

export const round = (x: number, decimals: number): number => Math.round(x * 10 ** decimals) / 10 ** decimals;
