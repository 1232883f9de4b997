import type { Entry } from './entry';

/** What both who type a sheet from paper see: which visit it is, the picture of the original, who is done. */
const OPEN_TO_BOTH = /^(opening$|photos\/|copies\/)/;

const doneAt = (initials: string) => `copies/${initials}/doneAt`;

/**
 * Whether a person must not see yet what others typed of a visit: a sheet from paper is typed by two people, neither
 * seeing the other's, until one's own copy is whole.
 */
export function typesBlind(entries: readonly Entry[], initials: string): boolean {
	const opening = entries.find((e) => e.path === 'opening')?.value as { isOnPaper?: boolean } | undefined;
	return opening?.isOnPaper === true && !entries.some((e) => e.path === doneAt(initials) && e.op === 'set');
}

/** Of a visit's entries those that somebody who types blind may see. */
export const seenBlind = <E extends Entry>(entries: readonly E[], memberId: string): E[] =>
	entries.filter((e) => e.by === memberId || OPEN_TO_BOTH.test(e.path));

/** How many have said that their copy is whole. */
export const wholeCopies = (entries: readonly Entry[]): number =>
	new Set(entries.filter((e) => e.op === 'set' && /^copies\/[^/]+\/doneAt$/.test(e.path)).map((e) => e.path)).size;
