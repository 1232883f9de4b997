import { v7 } from 'uuid';
import { fold, tick, whyUnfit, type Entry } from '$lib/core/logbook';
import { letGoDraft, type HeldLine, type Line } from './held';
import { deviceName, draftKey, store, type KeptEntry } from './store';

/**
 * Writes a line into the logbook on this device and clears what was typed there before it, in one transaction: once
 * this resolves, the line is on the disk. Writing the same line again changes nothing. Rejects with a RangeError, and
 * writes nothing, when the sheet cannot take the line.
 */
export async function record({ id, line, by, now_ms }: HeldLine): Promise<KeptEntry> {
	const device = await deviceName();
	return store.transaction('rw', store.entries, store.drafts, async () => {
		const there = await store.entries.get(id);
		if (there) return there;
		const visit = await store.entries.where('visitId').equals(line.visitId).toArray();
		const last = visit.reduce<string | null>((latest, e) => (latest === null || e.at > latest ? e.at : latest), null);
		const live = liveHere(line, visit, device, by);
		const isLate = live !== null && live.id !== line.was && typedAfter(live.id, id);
		const entry: Entry = { ...line, id, at: tick(last, now_ms), by, device, was: live && !isLate ? live.id : line.was };
		const why = whyUnfit(entry);
		if (why !== null) throw new RangeError(why);
		const kept: KeptEntry = { ...entry, state: 'kept' };
		await store.entries.put(kept);
		if (isLate) await store.entries.put(struckAtOnce(kept, now_ms));
		const key = draftKey(line.visitId, line.path);
		letGoDraft(key, id);
		await store.drafts
			.where('key')
			.equals(key)
			.and((draft) => !typedAfter(draft.typed, id))
			.delete();
		return kept;
	});
}

/**
 * What this person last set, on this device, at the place of a line about to be written. Another tab may have written
 * there since the screen was drawn: that is the same person, not a second opinion, so its line is what gets replaced;
 * a line of somebody else, or that came from elsewhere, is not, and stands beside this one.
 */
function liveHere(line: Line, visit: readonly KeptEntry[], device: string, by: string): KeptEntry | null {
	if (line.op !== 'set') return null;
	const live =
		fold(visit.filter((e) => e.path === line.path && e.state !== 'refused')).lines.get(line.path)?.live ?? null;
	return live && live.device === device && live.by === by ? (live as KeptEntry) : null;
}

/** Ids are made in the moment of typing, and sort by it. */
const typedAfter = (id: string, other: string): boolean => id > other;

/**
 * A line that reached the store late (a full disk, a tab that was asleep) must not take the place of what was typed
 * after it: it is kept, and struck.
 */
const struckAtOnce = (late: KeptEntry, now_ms: number): KeptEntry => ({
	...late,
	id: v7(),
	at: tick(late.at, now_ms),
	op: 'strike',
	value: 'typed before the figure that stands, and written after it',
	was: late.id
});
