import { atLeast, finite, listOf, orDefault } from '../quantity';

/** A place where concentration and discharge were both measured, each with its standard uncertainty. */
export interface LoadStation {
	concentration_mgL: number;
	concentrationSd_mgL: number;
	discharge_m3_s: number;
	dischargeSd_m3_s: number;
}

/**
 * What comes in between two stations: loads upstream, downstream and in tributaries, the gain with its 95 % interval
 * (uncertainties in quadrature), whether it can be told from nothing, and the concentration that the inflow would
 * have to have (null where the flow does not grow or shrink). kg/day. RangeError for a figure missing, or below 0
 * where it cannot be. JCGM 100:2008, 5.1.2.
 */
export function upstreamDownstreamLoads(reach: {
	upstream: LoadStation;
	downstream: LoadStation;
	tributaries?: readonly LoadStation[] | null;
}) {
	const up = loadOf('upstream', reach.upstream);
	const down = loadOf('downstream', reach.downstream);
	const tributaries = listOf('tributaries', orDefault(reach.tributaries, []), loadOf);
	const tributaryLoad_kgDay = tributaries.reduce((sum, t) => sum + t.load, 0);
	const gain_kgDay = down.load - up.load - tributaryLoad_kgDay;
	const gainSd_kgDay = Math.hypot(up.sd, down.sd, ...tributaries.map((t) => t.sd));
	const flowGain_m3_s = tributaries.reduce((flow, t) => flow - t.discharge, down.discharge - up.discharge);
	return {
		upstreamLoad_kgDay: up.load,
		upstreamSd_kgDay: up.sd,
		downstreamLoad_kgDay: down.load,
		downstreamSd_kgDay: down.sd,
		tributaryLoad_kgDay,
		gain_kgDay,
		gainSd_kgDay,
		gainLower95_kgDay: gain_kgDay - 1.96 * gainSd_kgDay,
		gainUpper95_kgDay: gain_kgDay + 1.96 * gainSd_kgDay,
		distinguishable: Math.abs(gain_kgDay) > 1.96 * gainSd_kgDay,
		flowGain_m3_s,
		inflowConcentration_mgL: flowGain_m3_s > 1e-12 ? gain_kgDay / (KG_PER_DAY * flowGain_m3_s) : null
	};
}

const KG_PER_DAY = 86.4; // of 1 mg/L in 1 m³/s

function loadOf(place: string, entry: unknown): { load: number; sd: number; discharge: number } {
	const station = (entry ?? {}) as Partial<LoadStation>;
	const c = atLeast(`${place}.concentration_mgL`, station.concentration_mgL, 0);
	const sc = atLeast(`${place}.concentrationSd_mgL`, station.concentrationSd_mgL, 0);
	const q = finite(`${place}.discharge_m3_s`, station.discharge_m3_s);
	const sq = atLeast(`${place}.dischargeSd_m3_s`, station.dischargeSd_m3_s, 0);
	return { load: KG_PER_DAY * c * q, sd: KG_PER_DAY * Math.hypot(sc * q, c * sq), discharge: q };
}
