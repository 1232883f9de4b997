import { sayItem } from '$lib/core/interpret';
import type { GrabWindow, Item } from '$lib/core/schedule';
import type { Lane } from '$lib/ui/clocks/ClocksRail.svelte';
import type { BeadState } from '$lib/ui/thread/layout';

/** How a site's bead is drawn: someone there now, late, due, or done for this period. */
export function beadState(isOpen: boolean, grab: GrabWindow | null): BeadState {
	if (isOpen) return 'here';
	if (grab === null || grab.state === 'late') return 'late';
	return grab.state === 'due' ? 'due' : 'done';
}

/** The agenda's clocks as lanes of the rail: those with a beginning and an end. */
export function lanesOf(items: readonly Item[], now_ms: number, timeZone: string): Lane[] {
	return items.flatMap((item, i): Lane[] => {
		const { lane, act } = sayItem(item, now_ms, timeZone);
		const common = { id: `${item.kind} ${i}`, ...lane, state: item.when, href: act?.href ?? null };
		if (item.kind === 'bottle' || item.kind === 'plate' || item.kind === 'gear')
			return [{ ...common, start_ms: item.start_ms, due_ms: item.due_ms, last_ms: item.last_ms }];
		if (item.kind === 'grab') return [{ ...common, start_ms: item.window.earliest_ms, due_ms: item.window.due_ms, last_ms: item.window.last_ms }];
		if (item.kind === 'round') return [{ ...common, start_ms: item.starts_ms, due_ms: null, last_ms: item.starts_ms + 6 * 3_600_000 }];
		if (item.kind === 'calibration') return [{ ...common, start_ms: item.at_ms, due_ms: null, last_ms: item.at_ms }];
		return [];
	});
}
