const HOUR_ms = 3_600_000;

export interface Holding {
	filledAt_ms: number;
	/** When it ought to be on its way: four fifths of the limit gone. */
	due_ms: number;
	/** The last moment at which the lab can still plate it. */
	last_ms: number;
}

/** The life of a bottle that must be plated within so many hours of being filled. */
export function holdingTime(filledAt_ms: number, limit_h: number): Holding {
	return { filledAt_ms, due_ms: filledAt_ms + 0.8 * limit_h * HOUR_ms, last_ms: filledAt_ms + limit_h * HOUR_ms };
}

/** Hours between filling and the lab. */
export const heldFor_h = (filledAt_ms: number, atLabAt_ms: number): number => (atLabAt_ms - filledAt_ms) / HOUR_ms;
