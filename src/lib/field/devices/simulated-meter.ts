import { seeded } from '$lib/core/statistics';

/* A stand-in for a meter that is not there: its reading starts off, comes to rest, and never stands quite still. */

export interface SimulatedMeter {
	/** What the display shows so many seconds after the probe went in; null where it shows nothing. */
	reading: (seconds: number) => number | null;
}

export interface MeterTemper {
	starts: number;
	rests: number;
	/** It is at rest after about five times this. */
	settling_s: number;
	/** How far its last digit dances. */
	jitter: number;
	decimals: number;
	seed: number;
	/** Once in so many seconds something knocks against the probe, and it settles anew. */
	knockEvery_s?: number;
	/** Once in so many seconds it shows nothing for a few. */
	dropOutEvery_s?: number;
	/** How far it creeps in an hour. */
	drift_per_h?: number;
}

const DROP_OUT_s = 6;

export function simulatedMeter(of: MeterTemper): SimulatedMeter {
	return {
		reading: (seconds) => {
			if (of.dropOutEvery_s !== undefined && seconds % of.dropOutEvery_s > of.dropOutEvery_s - DROP_OUT_s) return null;
			const since = of.knockEvery_s === undefined ? seconds : seconds % of.knockEvery_s;
			const from = since === seconds ? of.starts : of.rests + (of.starts - of.rests) / 3;
			const dance = seeded(of.seed + Math.floor(seconds)).normal() * of.jitter; // the same second shows the same figure
			const creep = ((of.drift_per_h ?? 0) * seconds) / 3600;
			const at = of.rests + creep + (from - of.rests) * Math.exp(-Math.max(0, since) / of.settling_s) + dance;
			return Number(at.toFixed(of.decimals));
		}
	};
}
