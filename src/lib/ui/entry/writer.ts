import type { Line } from '$lib/core/logbook';

/** What every tool of a step is given: what stands in the visit's logbook, and the ways to write in it. */
export interface Writer {
	readonly lines: ReadonlyMap<string, Line>;
	/** What is being typed and not yet kept, by path. */
	readonly drafts: Readonly<Record<string, string>>;
	readonly now_ms: number;
	/** The clock this instant, not as last drawn. */
	exactly_ms: () => number;
	readonly timeZone: string;
	initialsOf: (memberId: string) => string;
	draft: (path: string, text: string) => void;
	/** Keeps a value in place of what the person sees there. Rejects with the reason where the sheet cannot take it. */
	set: (path: string, value: unknown) => Promise<void>;
	/**
	 * Keeps what one tap says in several places, in this order. All are written before this returns its promise: a
	 * quick hand is at the next bottle before the disk has the first line.
	 */
	setAll: (values: Readonly<Record<string, unknown>>) => Promise<void>;
	/** Adds to a counter; gives the line's id, by which it is taken back. Two hands may add at once. */
	add: (path: string, count: number) => Promise<string>;
	/** Strikes what stands there, or one of two lines that disagree; nothing where nothing stands. */
	strike: (path: string, reason: string, was?: string) => void;
}

/** What stands at a place; `otherwise`, or nothing, where nothing does. */
export const valueAt = <T>(writer: Pick<Writer, 'lines'>, path: string, otherwise?: T): T | undefined => {
	const line = writer.lines.get(path);
	return line?.live ? (line.value as T) : otherwise;
};

export const stamp = (writer: Pick<Writer, 'exactly_ms'>): string => new Date(writer.exactly_ms()).toISOString();
