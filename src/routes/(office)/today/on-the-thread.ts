import { sayItem } from '$lib/core/interpret';
import { nextGrab, type GrabWindow, type Item, type ProgramFacts } from '$lib/core/schedule';
import type { Lane } from '$lib/ui/clocks/ClocksRail.svelte';
import type { BeadState } from '$lib/ui/thread/layout';

/** More beads than these can no longer be read; the rest is a list away. */
const MOST_BEADS = 30;
const MOST_LANES = 5;

type OpenVisit = ProgramFacts['openVisits'][number];

export interface Standing {
	state: BeadState;
	grab: GrabWindow | null;
	open: OpenVisit | null;
}

/** Where each site stands today: someone there now, late, due, not sampled yet, or done. Keyed by the site's code. */
export function standings(facts: ProgramFacts, now_ms: number): Map<string, Standing> {
	const openAt = new Map([...facts.openVisits].reverse().map((v) => [v.site, v]));
	return new Map(
		facts.sites.map(({ code, name, lastGrab_ms, spacing }) => {
			const open = openAt.get(name) ?? null;
			const grab = lastGrab_ms === null ? null : nextGrab(lastGrab_ms, now_ms, spacing);
			return [code, { open, grab, state: beadState(open !== null, grab) }];
		})
	);
}

function beadState(isOpen: boolean, grab: GrabWindow | null): BeadState {
	if (isOpen) return 'here';
	if (grab === null) return 'new';
	if (grab.state === 'late') return 'late';
	return grab.state === 'due' ? 'due' : 'done';
}

const pressing: Record<BeadState, number> = { here: 0, late: 1, due: 2, new: 3, done: 4 };

/** The sites that are drawn, retired ones left out: all of them, or of very many those that ask for something first. */
export function drawn<S extends { code: string }>(
	sites: readonly S[],
	standing: ReadonlyMap<string, Standing>
): (S & { stands: Standing })[] {
	return sites
		.flatMap((site) => {
			const stands = standing.get(site.code);
			return stands ? [{ ...site, stands }] : [];
		})
		.sort((a, b) => pressing[a.stands.state] - pressing[b.stands.state])
		.slice(0, MOST_BEADS);
}

/** The first of the agenda's clocks as lanes of the rail, and how many more there are. */
export function lanesOf(items: readonly Item[], now_ms: number, timeZone: string): { lanes: Lane[]; more: number } {
	const clocks = items.flatMap((item, i) => {
		const span = spanOf(item);
		return span ? [{ item, span, id: `${item.kind} ${i}` }] : [];
	});
	const lanes = clocks.slice(0, MOST_LANES).map(({ item, span, id }): Lane => {
		const { lane, act } = sayItem(item, now_ms, timeZone);
		return { id, ...lane, ...span, state: item.when, href: act?.href ?? null };
	});
	return { lanes, more: clocks.length - lanes.length };
}

const ROUND_ms = 6 * 3_600_000;

/** From when until when a clock of the agenda runs; null for what has no beginning and end. */
function spanOf(item: Item): Pick<Lane, 'start_ms' | 'due_ms' | 'last_ms'> | null {
	switch (item.kind) {
		case 'bottle':
		case 'plate':
		case 'tubes':
		case 'fixed':
		case 'gear':
			return { start_ms: item.start_ms, due_ms: item.due_ms, last_ms: item.last_ms };
		case 'grab':
			return { start_ms: item.window.earliest_ms, due_ms: item.window.due_ms, last_ms: item.window.last_ms };
		case 'round':
			return { start_ms: item.starts_ms, due_ms: null, last_ms: item.starts_ms + ROUND_ms };
		case 'calibration':
			return { start_ms: item.at_ms, due_ms: null, last_ms: item.at_ms };
		default:
			return null;
	}
}
