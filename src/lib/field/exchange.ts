import { z } from 'zod';
import { Entry } from '$lib/core/logbook';
import { Satchel } from '$lib/core/satchel';
import { deviceNow_ms } from './device-clock';
import { fetchPhotos, keptPhotos, sendPhotos } from './photos';
import { store, untoldBy, type KeptEntry, type Packed } from './store';

const Answer = z.object({
	accepted: z.array(z.string()),
	refused: z.array(z.object({ id: z.string().nullable(), why: z.string() })),
	entries: z.array(Entry),
	cursor: z.string(),
	more: z.boolean().default(false),
	wantedPhotos: z.array(z.string()).default([]),
	notes: z.array(z.string()).default([])
});

const AT_ONCE = 400;

/** Thrown when the server no longer knows who this is. */
export class SignedOut extends Error {}

/** The satchel changes by the day, lines by the minute: it is fetched at the start and then now and again. */
const PACKED_FOR_ms = 5 * 60_000;
let packedAt_ms = -Infinity;

/**
 * Exchanges all that waits, page by page, and fetches the satchel anew where that is old. Returns what the server
 * wants said to the person.
 */
export async function exchangeAll(): Promise<string[]> {
	if (performance.now() - packedAt_ms > PACKED_FOR_ms) {
		await refreshSatchel();
		packedAt_ms = performance.now();
	}
	for (;;) {
		const { more, notes } = await exchangeOnce();
		if (more) continue;
		await tellOfBoxes();
		return notes;
	}
}

/** What was done to boxes follows the lines of the bottles that are in them; the bench's own pages hear of boxes. */
async function tellOfBoxes(): Promise<void> {
	const id = (await store.packed.get('satchel'))?.satchel.member.id;
	if (id === undefined || (await untoldBy(id).count()) === 0) return;
	const { exchangeBoxes } = await import('./boxes-exchange');
	await exchangeBoxes(id);
}

async function exchangeOnce(): Promise<{ more: boolean; notes: string[] }> {
	const packed = await store.packed.get('satchel');
	if (!packed) return { more: false, notes: [] };
	const mine = await store.entries.where('[state+by]').equals(['kept', packed.satchel.member.id]).toArray();
	mine.sort((a, b) => (a.at < b.at ? -1 : 1));
	const batch = mine.slice(0, AT_ONCE);
	const photos = await keptPhotos();
	const cursor = (await store.marks.get(cursorKey(packed)))?.value ?? packed.satchel.cursor;
	const answer = Answer.parse(
		await fetchJson('/api/sync', {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({
				since: cursor,
				entries: batch.map(asWritten),
				photos,
				deviceTime: new Date(deviceNow_ms(packed)).toISOString()
			})
		})
	);
	await keepAnswer(answer, packed);
	const more = answer.more || mine.length > batch.length;
	// of a picture whose line is in a later batch the server would say that no line speaks of it
	const ofPhotos = more ? [] : await sendPhotos(photos, answer.wantedPhotos);
	return { more, notes: [...answer.notes, ...ofPhotos] };
}

async function keepAnswer(answer: z.infer<typeof Answer>, packed: Packed): Promise<void> {
	void fetchPhotos(platePhotosIn(answer.entries));
	await store.transaction('rw', store.entries, store.marks, async () => {
		await store.entries.where('id').anyOf(answer.accepted).modify({ state: 'sent' });
		for (const { id, why } of answer.refused) if (id) await store.entries.update(id, { state: 'refused', why });
		await store.entries.bulkPut(answer.entries.map((e): KeptEntry => ({ ...e, state: 'sent' })));
		await store.marks.put({ key: cursorKey(packed), value: answer.cursor });
	});
}

const cursorKey = ({ satchel }: Packed) => `cursor ${satchel.program.id} ${satchel.member.id}`;

const asWritten = ({ id, visitId, at, by, device, path, op, value, was }: KeptEntry): Entry => ({
	id,
	visitId,
	at,
	by,
	device,
	path,
	op,
	value,
	was
});

async function fetchJson(url: string, init?: RequestInit): Promise<unknown> {
	const answer = await fetch(url, init);
	if (answer.status === 401) throw new SignedOut();
	if (!answer.ok) throw new Error(`${url} answered ${answer.status}`);
	return answer.json();
}

/** Plates are counted on their photos in cellars, where no network is. */
const platePhotosIn = (lines: readonly Entry[]): string[] =>
	lines.flatMap(({ op, path, value }) =>
		op === 'set' && /^platePhotos\/[^/]+\/sha256$/.test(path) && typeof value === 'string' ? [value] : []
	);

/** Fetches the satchel anew, with the lines of visits that are open; what is on the device already stays as it is. */
async function refreshSatchel(): Promise<void> {
	const satchel = Satchel.parse(await fetchJson('/api/satchel'));
	void fetchPhotos([...satchel.sites.flatMap((s) => s.photoPointPicture ?? []), ...platePhotosIn(satchel.entries)]);
	const clockOffset_ms = satchel.clock.isFixed ? satchel.clock.now_ms - Date.now() : 0;
	await store.transaction('rw', store.packed, store.entries, async () => {
		await store.packed.put({ key: 'satchel', satchel: { ...satchel, entries: [] }, clockOffset_ms });
		const there = new Set(
			await store.entries
				.where('id')
				.anyOf(satchel.entries.map((e) => e.id))
				.primaryKeys()
		);
		await store.entries.bulkAdd(
			satchel.entries.filter((e) => !there.has(e.id)).map((e): KeptEntry => ({ ...e, state: 'sent' }))
		);
	});
}
