import { seeded } from '$lib/core/statistics';

/* A stand-in for a meter that is not there: its reading starts off, comes to rest, and never stands quite still. */

export interface SimulatedMeter {
	/** What the display shows so many seconds after the probe went in. */
	reading: (seconds: number) => number;
}

/** A meter that comes to rest at `rests` from `starts`, in about five times `settling_s`; `jitter` is how far its last digit dances. */
export function simulatedMeter(of: { starts: number; rests: number; settling_s: number; jitter: number; decimals: number; seed: number }): SimulatedMeter {
	return {
		reading: (seconds) => {
			const dance = seeded(of.seed + Math.floor(seconds)).normal() * of.jitter; // the same second shows the same figure
			const at = of.rests + (of.starts - of.rests) * Math.exp(-Math.max(0, seconds) / of.settling_s) + dance;
			return Number(at.toFixed(of.decimals));
		}
	};
}
