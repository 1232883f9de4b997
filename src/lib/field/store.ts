import Dexie, { type EntityTable, type Table } from 'dexie';
import { v7 } from 'uuid';
import type { BoxWord, KnownBoxes } from '$lib/core/custody';
import type { Entry } from '$lib/core/logbook';
import type { Satchel } from '$lib/core/satchel';
import { heldDrafts, holdDraft, letGoDraft, type Draft } from './held';

/** Where a line stands: kept on this device only, sent and taken, or refused with the reason. */
export type KeptState = 'kept' | 'sent' | 'refused';

export type KeptEntry = Entry & { state: KeptState; why?: string };

/** The latest word on one line of a round's packing list. */
export interface Tick {
	roundId: string;
	line: string;
	isPacked: boolean;
	by: string;
	at: string;
	state: 'kept' | 'sent';
}

/** A picture's bytes, named by their SHA-256. */
export interface KeptPhoto {
	sha256: string;
	visitId: string;
	bytes: ArrayBuffer;
	state: 'kept' | 'sent';
}

export interface Packed {
	key: 'satchel';
	satchel: Satchel;
	/** What to add to this device's clock: not 0 only where the server's clock is fixed for show. */
	clockOffset_ms: number;
}

/** Boxes for labs as the server last told them to a member. */
export interface KeptBoxes extends KnownBoxes {
	memberId: string;
}

/** What was done to a box here and the server has not heard, or would not do. */
export interface KeptBoxWord {
	id: string;
	memberId: string;
	word: BoxWord;
	/** Why it was not done, or not wholly; null while it waits to be told. */
	why: string | null;
}

class FieldStore extends Dexie {
	entries!: EntityTable<KeptEntry, 'id'>;
	drafts!: EntityTable<Draft, 'key'>;
	packed!: EntityTable<Packed, 'key'>;
	ticks!: Table<Tick, [string, string]>;
	photos!: EntityTable<KeptPhoto, 'sha256'>;
	marks!: Table<{ key: string; value: string }, string>;
	boxes!: EntityTable<KeptBoxes, 'memberId'>;
	boxWords!: EntityTable<KeptBoxWord, 'id'>;

	constructor() {
		// strict: a write is on the disk before it counts as done, so that a phone may go dark at any moment. No cache of
		// answers: the screen shows what a hand wrote before the disk has it, and keeping one up cost more with every key
		super('keen-riffle', { chromeTransactionDurability: 'strict', cache: 'disabled' });
		this.version(1).stores({
			entries: 'id, visitId, path, [state+by], state',
			drafts: 'key',
			packed: 'key',
			marks: 'key'
		});
		this.version(2).stores({ ticks: '[roundId+line], roundId' });
		this.version(3).stores({ photos: 'sha256, state' });
		this.version(4).stores({ boxes: 'memberId', boxWords: 'id, memberId' });
	}
}

export const store = new FieldStore();

/** What this member did to boxes and the server has not heard. */
export const untoldBy = (memberId: string) =>
	store.boxWords
		.where('memberId')
		.equals(memberId)
		.filter((w) => w.why === null);

/** This device's name in the logbook: made once, the same for all its tabs. */
export async function deviceName(): Promise<string> {
	return store.transaction('rw', store.marks, async () => {
		const there = await store.marks.get('device');
		if (there) return there.value;
		const value = `device-${Array.from(crypto.getRandomValues(new Uint8Array(5)), (b) => b.toString(16).padStart(2, '0')).join('')}`;
		await store.marks.put({ key: 'device', value });
		return value;
	});
}

/** Where what is being typed about boxes is kept among what is typed about visits. */
export const BOXES_TYPED = 'boxes';

export const draftKey = (visitId: string, path: string): string => `${visitId} ${path}`;

/** Keeps what is being typed: held at once, then on the disk. */
export async function keepDraft(key: string, text: string): Promise<void> {
	const draft = { key, text, typed: v7() };
	holdDraft(draft);
	await settleDraft(draft);
}

async function settleDraft(draft: Draft): Promise<void> {
	await (draft.text === '' ? store.drafts.delete(draft.key) : store.drafts.put(draft));
	letGoDraft(draft.key, draft.typed);
}

/**
 * Puts on the disk what a reload or a crash caught on its way there. Another tab may be typing at this moment, or
 * keep the figure: what is held is read inside the transaction, so that a draft that has become a line does not come
 * back.
 */
export const settleDrafts = (): Promise<void> =>
	store.transaction('rw', store.drafts, async () => {
		for (const draft of heldDrafts()) await settleDraft(draft);
	});

/**
 * Drafts of one visit by path, those still on their way to the disk as well: after a reload the field shows what was
 * typed last, not what the disk had before it.
 */
export async function draftsOf(visitId: string): Promise<Record<string, string>> {
	const prefix = draftKey(visitId, '');
	const latest = new Map((await store.drafts.where('key').startsWith(prefix).toArray()).map((d) => [d.key, d]));
	for (const held of heldDrafts()) {
		const onDisk = latest.get(held.key);
		if (held.key.startsWith(prefix) && (!onDisk || onDisk.typed < held.typed)) latest.set(held.key, held);
	}
	const texts = [...latest.values()].filter((d) => d.text !== '').map((d) => [d.key.slice(prefix.length), d.text]);
	return Object.fromEntries(texts) as Record<string, string>;
}

/**
 * Codes of instruments that figures on this device were read with, the latest first: a crew's own kit comes to hand
 * first.
 */
export async function instrumentsLastUsed(): Promise<string[]> {
	const figures = await store.entries
		.where('path')
		.startsWith('readings/')
		.or('path')
		.startsWith('gaugings/')
		.toArray();
	figures.sort((a, b) => (a.at < b.at ? 1 : -1));
	const codes = figures.map((e) =>
		e.path.endsWith('/instrument') ? e.value : (e.value as { instrument?: unknown } | null)?.instrument
	);
	return [...new Set(codes.filter((code) => typeof code === 'string'))];
}
