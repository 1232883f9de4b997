import type { Trip } from '$lib/core/custody';
import type { Context } from '$lib/core/subjects/context';
import { type Opening } from '$lib/core/subjects/whole-visit/branch';
import type { Satchel } from '$lib/core/satchel';
import type { KeptEntry } from './store';

/** What this phone knows of bottles at other visits: the openings of those visits, labels and times of filling. */
export interface OtherBottles {
	openings: readonly KeptEntry[];
	/** Live lines at `bottles/<id>/label` and `bottles/<id>/filledAt`. */
	lines: readonly KeptEntry[];
}

/**
 * What the rest of the trip means for one visit: the first bottle of the trip with the lab's hours, and labels that
 * are taken already.
 */
export function aroundVisit(
	satchel: Satchel,
	visitId: string,
	opening: Opening | null,
	{ openings, lines }: OtherBottles
): Pick<Context, 'trip' | 'labelsElsewhere'> {
	const openingOf = new Map(openings.map((e) => [e.visitId, e.value as Opening]));
	const siteName = (id: string) => satchel.sites.find((s) => s.id === id)?.name ?? 'another site';
	const out = new Set(lines.map((e) => e.was));
	const standing = lines.filter((e) => e.op === 'set' && !out.has(e.id) && e.visitId !== visitId);
	const labels = standing.filter((e) => e.path.endsWith('/label'));
	const labelsElsewhere = Object.fromEntries(
		labels.flatMap((e) => {
			const there = openingOf.get(e.visitId);
			return there && there.siteId !== opening?.siteId ? [[String(e.value), siteName(there.siteId)]] : [];
		})
	);
	const trip = satchel.rounds.find((r) => r.id === opening?.roundId)?.trip ?? null;
	if (trip === null) return { trip: null, labelsElsewhere };
	const filled = standing
		.filter(
			(e) => /^bottles\/bacteria[^/]*\/filledAt$/.test(e.path) && openingOf.get(e.visitId)?.roundId === opening?.roundId
		)
		.map((e) => ({
			filledAt_ms: Date.parse(String(e.value)),
			label: labelOf(labels.find((l) => l.visitId === e.visitId && sameBottle(l.path, e.path)))
		}));
	return { trip: { ...trip, first: earliest([...filled, ...(trip.first ? [trip.first] : [])]) }, labelsElsewhere };
}

const labelOf = (line: KeptEntry | undefined): string => (typeof line?.value === 'string' ? line.value : 'a bottle');
const sameBottle = (a: string, b: string): boolean => a.split('/')[1] === b.split('/')[1];

const earliest = (all: readonly NonNullable<Trip['first']>[]): Trip['first'] =>
	all.reduce<Trip['first']>((first, b) => (first === null || b.filledAt_ms < first.filledAt_ms ? b : first), null);
