/*
 * The ruler of the clocks rail: fine near now, coarse far away. Hours from now become a share of the ruler's width.
 */
const HOUR_ms = 3_600_000;

/** Hours from now, and where that lies on the ruler (0 to 1); straight between. */
const knees = [
	[-24, 0],
	[0, 0.05],
	[6, 0.47],
	[72, 0.72],
	[24 * 44, 1]
] as const;

/** Where an instant lies on the ruler, 0 to 1; what lies beyond an end is put at it. */
export function placeOnRail(at_ms: number, now_ms: number): number {
	const hours = (at_ms - now_ms) / HOUR_ms;
	const first = knees[0];
	if (hours <= first[0]) return first[1];
	for (let i = 1; i < knees.length; i++) {
		const [h0, x0] = knees[i - 1]!;
		const [h1, x1] = knees[i]!;
		if (hours <= h1) return x0 + ((x1 - x0) * (hours - h0)) / (h1 - h0);
	}
	return 1;
}

export interface RailMark {
	at_ms: number;
	place: number;
	kind: 'hour' | 'day' | 'week';
}

/** The marks along the ruler: whole hours, then days, then weeks. Marks too near the one before are left out. */
export function railMarks(now_ms: number, startOfDay: (at_ms: number) => number): RailMark[] {
	const marks: RailMark[] = [];
	const add = (at_ms: number, kind: RailMark['kind'], gap: number) => {
		const place = placeOnRail(at_ms, now_ms);
		if (place - (marks.at(-1)?.place ?? 0.05) >= gap) marks.push({ at_ms, place, kind });
	};
	const hour = Math.ceil(now_ms / HOUR_ms) * HOUR_ms;
	for (let h = 0; h < 6; h++) if (hour + h * HOUR_ms <= now_ms + 6 * HOUR_ms) add(hour + h * HOUR_ms, 'hour', 0.055);
	for (let d = 1; d <= 3; d++) add(startOfDay(now_ms + d * 24 * HOUR_ms), 'day', 0.06);
	for (const weeks of [1, 2, 3, 4, 6]) add(now_ms + weeks * 168 * HOUR_ms, 'week', 0.05);
	return marks;
}
