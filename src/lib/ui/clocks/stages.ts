/** Where a sequence of waits stands so many seconds after it began. */
export interface Stage {
	what: string;
	left_s: number;
	next: string | null;
	isOver: boolean;
}

export function stageAt(waits: readonly { what: string; for_s: number }[], gone_s: number): Stage {
	let ends_s = 0;
	for (const [i, wait] of waits.entries()) {
		ends_s += wait.for_s;
		if (gone_s < ends_s)
			return { what: wait.what, left_s: ends_s - gone_s, next: waits[i + 1]?.what ?? null, isOver: false };
	}
	return { what: waits.at(-1)?.what ?? '', left_s: 0, next: null, isOver: true };
}

/** A short span as a clock shows it: `45 s`, `1:30`. */
export const sayClock = (span_s: number): string =>
	span_s < 60
		? `${Math.round(span_s)} s`
		: `${Math.floor(span_s / 60)}:${String(Math.floor(span_s % 60)).padStart(2, '0')}`;
