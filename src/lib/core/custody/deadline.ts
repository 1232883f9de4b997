import { holdingTime } from './holding';

/**
 * What is known of where a trip's bottles go: when that lab is open, how long its bench takes, and the first bottle
 * of the trip.
 */
export interface Trip {
	lab: string;
	/** From handing in to the last plate, minutes. */
	bench_min: number;
	/** The lab's own limit, where it has one. */
	holding_h: number | null;
	/** Stretches in which it takes bottles, in order. */
	openings: readonly { opens_ms: number; closes_ms: number }[];
	/** The bottle that was filled first, anywhere on the trip; null before there is one. */
	first: { label: string; filledAt_ms: number } | null;
}

export interface LabDeadline {
	/** When it ought to be on its way. */
	due_ms: number;
	/** The last moment at the lab's door. */
	last_ms: number;
	/** What sets it: this bottle's own limit, that of the trip's first bottle, or the lab's hours. */
	because: 'own' | 'first' | 'closing';
	lab: string | null;
	/** Label of the trip's first bottle, where that is another one. */
	first: string | null;
	/** The lab is open at no time before the limit. */
	isShut: boolean;
}

const MINUTE_ms = 60_000;
/** A bottle filled longer ago than this belongs to another trip. */
const ONE_TRIP_ms = 24 * 60 * MINUTE_ms;

/**
 * The one moment by which a bottle must be at the lab: the limit counts from the first bottle of the trip to the last
 * plate, so the bench's time comes off; of the lab's hours the last stretch that begins before then counts, and its
 * closing where that is earlier.
 */
export function labDeadline(filledAt_ms: number, limit_h: number, trip: Trip | null): LabDeadline {
	const other =
		trip?.first && trip.first.filledAt_ms < filledAt_ms && filledAt_ms - trip.first.filledAt_ms < ONE_TRIP_ms
			? trip.first
			: null;
	const limit_ms =
		holdingTime(other?.filledAt_ms ?? filledAt_ms, Math.min(limit_h, trip?.holding_h ?? Infinity)).last_ms -
		(trip?.bench_min ?? 0) * MINUTE_ms;
	const open = (trip?.openings ?? []).filter((o) => o.closes_ms > filledAt_ms && o.opens_ms <= limit_ms);
	const closes_ms = open.length ? Math.max(...open.map((o) => o.closes_ms)) : Infinity;
	const last_ms = Math.max(filledAt_ms, Math.min(limit_ms, closes_ms));
	const whose = other ? 'first' : 'own';
	return {
		due_ms: filledAt_ms + 0.8 * (last_ms - filledAt_ms),
		last_ms,
		because: closes_ms < limit_ms ? 'closing' : whose,
		lab: trip?.lab ?? null,
		first: other?.label ?? null,
		isShut: trip !== null && trip.openings.length > 0 && open.length === 0
	};
}
