import { weekday } from '$lib/core/schedule';
import { sayMonth } from '$lib/core/wording';

/** The board's scale: days across. */
export interface BoardScale {
	x: (day: number) => number;
	dayAt: (x: number) => number;
	/** Mondays, with a word where a month begins. */
	weeks: { x: number; month: string | null }[];
}

const DAY_ms = 86_400_000;

export function boardScale(from: number, to: number, left: number, right: number): BoardScale {
	const perDay = (right - left) / Math.max(1, to - from);
	const x = (day: number) => left + (day - from) * perDay;
	const weeks: BoardScale['weeks'] = [];
	let month = '';
	for (let day = from; day <= to; day++) {
		if (weekday(day) !== 1) continue;
		const here = sayMonth(new Date(day * DAY_ms).toISOString()).slice(0, 3);
		weeks.push({ x: x(day), month: here === month ? null : here });
		month = here;
	}
	return { x, dayAt: (at) => Math.round(from + (at - left) / perDay), weeks };
}
