import { z } from 'zod';
import { ClockReading } from './clock-reading';
import { placeAt, whyRefused } from './path';

const Path = z
	.string({ error: 'a path is needed' })
	.min(1, 'a path is needed')
	.max(300, 'a path has at most 300 letters');

/**
 * One line of a visit's logbook, never changed and never erased: who wrote what where, when, on which device,
 * replacing which earlier line. Ids come in one form, whatever their letters were, so that they can be compared as
 * text.
 */
export const Entry = z.strictObject({
	id: z.uuid({ version: 'v7', error: 'an entry is named by a UUID of version 7' }).toLowerCase(),
	visitId: z.uuid({ error: 'a visit is named by a UUID' }).toLowerCase(),
	at: ClockReading,
	by: z.string({ error: 'who wrote it is needed' }).min(1).max(64).toLowerCase(),
	device: z.string({ error: 'the device is needed' }).min(1).max(64),
	path: Path,
	op: z.enum(['set', 'add', 'strike'], { error: 'an entry sets, adds or strikes' }),
	/** What is set or added; for a strike, the reason (or null). What it may be is the path's to say. */
	value: z.unknown().transform((value): unknown => value ?? null),
	/** The entry that this one replaces or strikes. */
	was: z
		.uuid()
		.toLowerCase()
		.nullish()
		.transform((id) => id ?? null)
});
export type Entry = z.infer<typeof Entry>;

/** Why the sheet cannot take this entry, or null: an unknown place, a wrong kind of value, a figure no stream has. */
export function whyUnfit(entry: Entry): string | null {
	const place = placeAt(entry.path);
	if (place === null) return 'the sheet has no such place';
	if (entry.was === entry.id) return 'an entry cannot replace itself';
	if (entry.op === 'strike') {
		if (entry.was === null) return 'a strike names the entry that it strikes';
		return entry.value === null || typeof entry.value === 'string' ? null : 'the reason for a strike is given in words';
	}
	if (place.kind === 'counter' ? entry.op !== 'add' : entry.op !== 'set')
		return place.kind === 'counter' ? 'counts are added, not set' : 'only counts are added; this place is set';
	return whyRefused(entry.path, entry.value);
}

/** The order of a logbook: by hybrid clock, then by id. */
export const inOrder = (a: Entry, b: Entry): number => byText(a.at, b.at) || byText(a.id, b.id);

function byText(a: string, b: string): number {
	if (a < b) return -1;
	return a > b ? 1 : 0;
}
