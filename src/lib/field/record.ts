import { fold, tick, whyUnfit, type Entry } from '$lib/core/logbook';
import { letGoDraft, type HeldLine, type Line } from './held';
import { deviceName, draftKey, store, type KeptEntry } from './store';

/**
 * Writes a line into the logbook on this device and clears what was being typed there, in one transaction: once this
 * resolves, the line is on the disk. Writing the same line again changes nothing. Rejects with a RangeError, and writes
 * nothing, when the sheet cannot take the line.
 */
export async function record({ id, line, by, now_ms }: HeldLine): Promise<KeptEntry> {
	const device = await deviceName();
	return store.transaction('rw', store.entries, store.drafts, async () => {
		const there = await store.entries.get(id);
		if (there) return there;
		const visit = await store.entries.where('visitId').equals(line.visitId).toArray();
		const last = visit.reduce<string | null>((latest, e) => (latest === null || e.at > latest ? e.at : latest), null);
		const entry: Entry = { ...line, id, at: tick(last, now_ms), by, device, was: replacedBy(line, visit, device) };
		const why = whyUnfit(entry);
		if (why !== null) throw new RangeError(why);
		const kept: KeptEntry = { ...entry, state: 'kept' };
		await store.entries.put(kept);
		letGoDraft(draftKey(line.visitId, line.path));
		await store.drafts.delete(draftKey(line.visitId, line.path));
		return kept;
	});
}

/**
 * Another tab of this device may have written here since the screen was drawn. That is the same person, not a second
 * opinion, so its line is what gets replaced; a line that came from elsewhere is not, and stands beside this one.
 */
function replacedBy(line: Line, visit: readonly KeptEntry[], device: string): string | null {
	if (line.op !== 'set') return line.was;
	const live = fold(visit.filter((e) => e.path === line.path && e.state !== 'refused')).lines.get(line.path)?.live ?? null;
	return live && live.device === device ? live.id : line.was;
}
