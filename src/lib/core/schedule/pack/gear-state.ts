const DAY_ms = 86_400_000;

/** What is known of an instrument before a round. */
export interface GearFacts {
	code: string;
	kind: string;
	/** Parameters that must be calibrated within so many days; `last_ms` null where it never was. */
	calibrations: readonly { parameter: string; last_ms: number | null; limit_days: number }[];
	batteryChanged_ms: number | null;
	velocity: { low_m_s: number; high_m_s: number } | null;
}

export type GearWarning =
	| { kind: 'calibrate'; code: string; parameter: string; days: number | null; limit_days: number }
	| { kind: 'battery'; code: string; parameter: string; changed_ms: number }
	| { kind: 'velocity-range'; code: string; site: string; seen_m_s: number; low_m_s: number; high_m_s: number }
	| { kind: 'still-wet'; kit: string; water: string; dry_ms: number }
	| { kind: 'out-of-date'; what: string; expired_ms: number };

export interface GearQuestion {
	starts_ms: number;
	instruments: readonly GearFacts[];
	/** The fastest and slowest water met at each site so far. */
	pastVelocity: readonly { site: string; low_m_s: number; high_m_s: number }[];
	/** Gear that got wet in another river than this round's. */
	wet: readonly { kit: string; water: string; dry_ms: number }[];
	consumables: readonly { what: string; expires_ms: number }[];
}

/**
 * What is wrong with the gear on the morning of a round. It blocks nothing: the figures that are taken with it carry
 * it.
 */
export function gearWarnings({ starts_ms, instruments, pastVelocity, wet, consumables }: GearQuestion): GearWarning[] {
	const found: GearWarning[] = [];
	for (const tool of instruments) {
		for (const c of tool.calibrations) {
			const days = c.last_ms === null ? null : Math.floor((starts_ms - c.last_ms) / DAY_ms);
			if (days === null || days > c.limit_days)
				found.push({ kind: 'calibrate', code: tool.code, parameter: c.parameter, days, limit_days: c.limit_days });
			else if (tool.batteryChanged_ms !== null && tool.batteryChanged_ms > c.last_ms!)
				found.push({ kind: 'battery', code: tool.code, parameter: c.parameter, changed_ms: tool.batteryChanged_ms });
		}
		if (tool.velocity)
			for (const { site, low_m_s, high_m_s } of pastVelocity) {
				const tooSlow_m_s = low_m_s < tool.velocity.low_m_s ? low_m_s : null;
				const seen_m_s = high_m_s > tool.velocity.high_m_s ? high_m_s : tooSlow_m_s;
				if (seen_m_s !== null)
					found.push({ kind: 'velocity-range', code: tool.code, site, seen_m_s, ...tool.velocity });
			}
	}
	for (const gear of wet) if (gear.dry_ms > starts_ms) found.push({ kind: 'still-wet', ...gear });
	for (const { what, expires_ms } of consumables)
		if (expires_ms < starts_ms) found.push({ kind: 'out-of-date', what, expired_ms: expires_ms });
	return found;
}
