import { mean } from '../statistics';

/** One figure off a meter's display; null where it showed none. */
export interface Shown {
	at_ms: number;
	value: number | null;
}

/** When a meter counts as at rest: its figures of so many seconds lie within so much. */
export interface Rest {
	within: number;
	for_s: number;
}

export interface Settling {
	/** `silent`: nothing came lately; `wait`: it still moves, or has not been watched long enough; `now`: it stands. */
	state: 'silent' | 'wait' | 'now';
	/** The mean of what was watched, or the last figure while it moves; null while silent. */
	value: number | null;
	/** How far the watched figures lie apart. */
	spread: number | null;
	/** 0 to 1: how much of the time it must stand has gone by since it last jumped. */
	share: number;
}

const SILENT_AFTER_s = 4;
/** Of the figures that should have come while it was watched, as many may be missing. */
const MISSING_ALLOWED = 0.4;
/** Share of the band by which the first half may differ from the second. */
const DRIFT_ALLOWED = 0.4;

/**
 * Whether a meter has come to rest: over the last `for_s` seconds its figures lie within `within`, and its first half
 * does not differ from its second by much of that, so that a slow drift is not taken for rest. A gap makes it wait
 * anew.
 */
export function settling(shown: readonly Shown[], { within, for_s }: Rest, now_ms: number): Settling {
	const seen = shown.filter((s): s is Shown & { value: number } => s.value !== null && s.at_ms <= now_ms);
	const last = seen.at(-1);
	if (!last || now_ms - last.at_ms > SILENT_AFTER_s * 1000)
		return { state: 'silent', value: null, spread: null, share: 0 };
	let first = seen.length - 1;
	let [low, high] = [last.value, last.value];
	for (let i = first - 1; i >= 0; i--) {
		const one = seen[i]!;
		[low, high] = [Math.min(low, one.value), Math.max(high, one.value)];
		if (high - low > within + 1e-9 || seen[first]!.at_ms - one.at_ms > SILENT_AFTER_s * 1000) break;
		first = i;
		if (last.at_ms - one.at_ms >= for_s * 1000) break;
	}
	const watched = seen.slice(first);
	const values = watched.map((s) => s.value);
	const stood_s = (last.at_ms - watched[0]!.at_ms) / 1000;
	const spread = Math.max(...values) - Math.min(...values);
	const half = Math.ceil(values.length / 2);
	const isDrifting =
		values.length > 3 && Math.abs(mean(values.slice(0, half))! - mean(values.slice(-half))!) > within * DRIFT_ALLOWED;
	const isWatched = watched.length >= for_s * (1 - MISSING_ALLOWED);
	const isAtRest = stood_s >= for_s && isWatched && !isDrifting;
	return isAtRest
		? { state: 'now', value: mean(values)!, spread, share: 1 }
		: { state: 'wait', value: last.value, spread, share: Math.min(isDrifting ? 0.9 : 0.99, stood_s / for_s) };
}
