import type { Entry } from '$lib/core/logbook';

/*
 * Lines on their way to the store. The store answers a moment after the hand has gone on; in that moment a reload or a
 * dead tab would lose the line. So it is first held where a write is done before the next instruction runs, and let go
 * once the store has it. What is found here at a start is written then. What is half typed is held the same way.
 */

export interface Line {
	visitId: string;
	path: string;
	op: Entry['op'];
	value: unknown;
	/** The entry that the person saw at this place and now replaces or strikes. */
	was: string | null;
}

export interface HeldLine {
	id: string;
	line: Line;
	by: string;
	now_ms: number;
}

const PREFIX = 'keen-riffle-held ';

export function hold(held: HeldLine): void {
	try {
		localStorage.setItem(PREFIX + held.id, JSON.stringify(held));
	} catch {
		// no room or not allowed: the store alone must do
	}
}

export const letGo = (id: string): void => localStorage.removeItem(PREFIX + id);

/** Lines that a reload or a crash caught between the hand and the store, oldest first. */
export function heldLines(): HeldLine[] {
	const keys = Object.keys(localStorage).filter((key) => key.startsWith(PREFIX));
	return keys.sort().map((key) => JSON.parse(localStorage.getItem(key)!) as HeldLine);
}

/** What is being typed and not yet kept, by visit and place; survives a reload and a dead battery. */
export interface Draft {
	key: string;
	text: string;
	/** Made in the moment of typing, and sorts by it, as the ids of lines do. */
	typed: string;
}

const DRAFT_PREFIX = 'keen-riffle-draft ';

/** Holds what is being typed at a place until the store has it; '' where it was taken back. */
export function holdDraft({ key, text, typed }: Draft): void {
	try {
		localStorage.setItem(DRAFT_PREFIX + key, `${typed} ${text}`);
	} catch {
		// no room or not allowed: the store alone must do
	}
}

function heldDraft(key: string): Draft | null {
	const held = localStorage.getItem(DRAFT_PREFIX + key);
	if (held === null) return null;
	const space = held.indexOf(' ');
	return { key, typed: held.slice(0, space), text: held.slice(space + 1) };
}

/** Lets a draft go that was typed no later than `typed`; what was typed after it stays. */
export function letGoDraft(key: string, typed: string): void {
	const held = heldDraft(key);
	if (held && held.typed <= typed) localStorage.removeItem(DRAFT_PREFIX + key);
}

/** Drafts that a reload or a crash caught between the hand and the store. */
export const heldDrafts = (): Draft[] =>
	Object.keys(localStorage)
		.filter((name) => name.startsWith(DRAFT_PREFIX))
		.flatMap((name) => heldDraft(name.slice(DRAFT_PREFIX.length)) ?? []);
