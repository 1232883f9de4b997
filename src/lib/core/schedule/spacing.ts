const DAY_ms = 86_400_000;

/** A program's spacing of grabs at one site, in days. */
export interface GrabSpacing {
	least_days: number;
	aim_days: number;
	most_days: number;
}

export const usualSpacing: GrabSpacing = { least_days: 15, aim_days: 30, most_days: 37 };

export type GrabState = 'early' | 'open' | 'due' | 'late';

export interface GrabWindow {
	earliest_ms: number;
	due_ms: number;
	last_ms: number;
	state: GrabState;
	/** Whole days since the last one, and after how many the next is wished. */
	daysSince: number;
	aim_days: number;
}

/** When the next monthly grab at a site may, should and must be taken, after the last one. */
export function nextGrab(last_ms: number, now_ms: number, spacing: GrabSpacing = usualSpacing): GrabWindow {
	const at = (days: number) => last_ms + days * DAY_ms;
	const window = { earliest_ms: at(spacing.least_days), due_ms: at(spacing.aim_days), last_ms: at(spacing.most_days) };
	const daysSince = Math.floor((now_ms - last_ms) / DAY_ms);
	return { ...window, aim_days: spacing.aim_days, state: stateOf(window, now_ms), daysSince };
}

/** So long before its aim a grab counts as due. */
const NEAR_ms = 3 * DAY_ms;

function stateOf(
	{ earliest_ms, due_ms, last_ms }: Pick<GrabWindow, 'earliest_ms' | 'due_ms' | 'last_ms'>,
	now_ms: number
): GrabState {
	if (now_ms < earliest_ms) return 'early';
	if (now_ms > last_ms) return 'late';
	return now_ms >= due_ms - NEAR_ms ? 'due' : 'open';
}
