export interface DryingTimes {
	drySummer_days: number;
	drySpringAutumn_days: number;
	dryWinter_days: number;
}

/**
 * Days that wet gear must dry before it goes into other water, by the season in which it got wet. `southern`: seasons
 * of the southern half of the earth. Disinfection may stand in for drying; local rules come first.
 */
export function dryingDays(wet_ms: number, times: DryingTimes, southern = false): number {
	const month = (new Date(wet_ms).getUTCMonth() + (southern ? 6 : 0)) % 12;
	if (month >= 5 && month <= 7) return times.drySummer_days;
	return month === 11 || month <= 1 ? times.dryWinter_days : times.drySpringAutumn_days;
}

/** Whether a place has the seasons of the southern half of the earth. */
export const isSouthern = ({ latitude }: { latitude?: number | null | undefined }): boolean => (latitude ?? 0) < 0;
