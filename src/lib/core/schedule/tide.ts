/** From one low water to the next on coasts with two tides a day: half a lunar day, minutes. */
export const LOW_WATER_EVERY_min = 745.236;

/**
 * When a tidal site can be reached on a day, in minutes since its midnight: `reach_min` before and after each low
 * water, reckoned from one low water that is known (minutes from that same midnight, negative for an earlier day).
 * Good for some days ahead; a tide table is better. Windows are in order and may lie partly outside the day.
 */
export function tideWindows(lowWater_min: number, reach_min: number): { from_min: number; to_min: number }[] {
	const windows: { from_min: number; to_min: number }[] = [];
	const first = Math.ceil((-reach_min - lowWater_min) / LOW_WATER_EVERY_min);
	for (let n = first; ; n++) {
		const low = lowWater_min + n * LOW_WATER_EVERY_min;
		if (low - reach_min >= 1440) return windows;
		windows.push({ from_min: Math.round(low - reach_min), to_min: Math.round(low + reach_min) });
	}
}

interface Span {
	from_min: number;
	to_min: number;
}

/** The longest stretch of a day that lies in one of the windows and between the limits; null where there is none. */
export function longestWithin(windows: readonly Span[], limits: Span): Span | null {
	const cut = windows
		.map((w) => ({ from_min: Math.max(w.from_min, limits.from_min), to_min: Math.min(w.to_min, limits.to_min) }))
		.filter((w) => w.to_min > w.from_min);
	return cut.reduce<Span | null>(
		(best, w) => (best === null || w.to_min - w.from_min > best.to_min - best.from_min ? w : best),
		null
	);
}
