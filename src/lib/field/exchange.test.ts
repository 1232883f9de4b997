import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { v7 } from 'uuid';
import type { Entry } from '$lib/core/logbook';
import { store, type KeptEntry } from './store';

const NOON = Date.UTC(2026, 4, 14, 12);
const me = '01890000-0000-7000-8000-00000000bbbb';
const visitId = '01890000-0000-7000-8000-00000000aaaa';
const satchel = (more: object = {}) => ({
	packedAt: new Date(NOON).toISOString(),
	program: { id: 'p', name: 'Test streams', timeZone: 'Etc/UTC' },
	member: { id: me, name: 'Ivo', initials: 'IQ', role: 'monitor', teamId: null },
	people: [],
	team: [],
	sites: [],
	cards: [],
	thresholds: [],
	instruments: [],
	rounds: [],
	entries: [],
	cursor: '7.x',
	clock: { now_ms: NOON, isFixed: true },
	...more
});
/** A line as the server writes it. */
const line = (second: number, more: Partial<Entry> = {}): Entry => ({
	id: v7({ msecs: NOON + second * 1000 }),
	visitId,
	at: `${new Date(NOON + second * 1000).toISOString()}-0000`,
	by: me,
	device: 'device-1',
	path: 'arrival/depth_m',
	op: 'set',
	value: 0.2,
	was: null,
	...more
});
/** The same, kept on this device. */
const entry = (second: number, more: Partial<Entry> = {}): KeptEntry => ({ ...line(second, more), state: 'kept' });
const json = (body: unknown, status = 200) => new Response(JSON.stringify(body), { status });
const answered = (more: object = {}) => ({ accepted: [], refused: [], entries: [], cursor: '9.x', ...more });
interface Sent {
	since: string;
	entries: { id: string }[];
	photos: string[];
	deviceTime: string;
}
let asked: { url: string; body: Sent | null }[];
let answers: ((sent: Sent) => Response)[];

beforeEach(async () => {
	vi.resetModules(); // what is remembered of the satchel's age is of one page
	await Promise.all([store.entries.clear(), store.packed.clear(), store.marks.clear(), store.photos.clear()]);
	await Promise.all([store.boxes.clear(), store.boxWords.clear()]);
	asked = [];
	answers = [];
	vi.stubGlobal('fetch', (url: string, init?: RequestInit) => {
		const body = typeof init?.body === 'string' ? (JSON.parse(init.body) as Sent) : null;
		asked.push({ url, body });
		if (url === '/api/satchel') return Promise.resolve(json(satchel()));
		return Promise.resolve(answers.shift()?.(body!) ?? json(answered()));
	});
});
afterEach(() => vi.unstubAllGlobals());
/** As a page would load it anew, on the same store. */
const exchangeAll = async () => (await import('./exchange')).exchangeAll();
const stateOf = async (id: string) => (await store.entries.get(id))?.state;

describe('an exchange', () => {
	it('packs first, then hands in what was written here, oldest first, with what this clock says', async () => {
		const [late, early] = [entry(9), entry(2)];
		await store.entries.bulkPut([late, early]);
		await exchangeAll();
		expect(asked.map((a) => a.url)).toEqual(['/api/satchel', '/api/sync']);
		expect(asked[1]!.body).toMatchObject({ since: '7.x', photos: [] });
		expect(asked[1]!.body!.entries.map((e) => e.id)).toEqual([early.id, late.id]);
		expect(Math.abs(Date.parse(asked[1]!.body!.deviceTime) - NOON)).toBeLessThan(60_000); // the fixed clock of a show
	});

	it('marks what was taken, keeps what was refused with the reason, and takes in what others wrote', async () => {
		const [good, bad] = [entry(1), entry(2)];
		const theirs = line(3, { by: 'someone' });
		await store.entries.bulkPut([good, bad]);
		answers.push(() =>
			json(
				answered({
					accepted: [good.id],
					refused: [{ id: bad.id, why: 'no such place' }],
					entries: [theirs],
					notes: ['your clock is off']
				})
			)
		);
		expect(await exchangeAll()).toEqual(['your clock is off']);
		expect(await stateOf(good.id)).toBe('sent');
		expect(await store.entries.get(bad.id)).toMatchObject({ state: 'refused', why: 'no such place' });
		expect(await stateOf(theirs.id)).toBe('sent');
	});

	it('tells what was done to boxes after the lines, and asks nothing of boxes where nothing was', async () => {
		await exchangeAll();
		expect(asked.map((a) => a.url)).toEqual(['/api/satchel', '/api/sync']);
		asked = [];
		const { exchangeAll: again } = await import('./exchange');
		const word = { id: v7(), box: v7(), at: new Date(NOON).toISOString(), does: 'unpack' as const };
		await store.boxWords.put({ id: word.id, memberId: me, word, why: null });
		answers.push(
			() => json(answered()),
			() => json({ refused: [{ id: word.id, why: 'gone' }], known: { boxes: [], waiting: [], labs: [] } })
		);
		await again();
		expect(asked.map((a) => [a.url, a.body])).toEqual([
			['/api/sync', expect.anything()],
			['/api/boxes', { words: [word] }]
		]);
		expect(await store.boxWords.get(word.id)).toMatchObject({ why: 'gone' });
	});

	it('goes on from where the last one ended', async () => {
		await exchangeAll();
		const { exchangeAll: again } = await import('./exchange');
		await again();
		expect(asked.filter((a) => a.url === '/api/sync').map((a) => a.body!.since)).toEqual(['7.x', '9.x']);
	});

	it('asks page by page while there is more', async () => {
		answers.push(
			() => json(answered({ more: true, cursor: '8.x' })),
			() => json(answered({ more: true, cursor: '9.x' })),
			() => json(answered())
		);
		await exchangeAll();
		expect(asked.filter((a) => a.url === '/api/sync').map((a) => a.body!.since)).toEqual(['7.x', '8.x', '9.x']);
	});

	it('hands in a long day in pieces', async () => {
		await store.entries.bulkPut(Array.from({ length: 450 }, (_, i) => entry(i)));
		const takeAll = (sent: Sent) => json(answered({ accepted: sent.entries.map((e) => e.id) }));
		answers.push(takeAll, takeAll);
		await exchangeAll();
		expect(asked.filter((a) => a.url === '/api/sync').map((a) => a.body!.entries.length)).toEqual([400, 50]);
		expect(await store.entries.where('state').equals('kept').count()).toBe(0);
	});

	it('leaves the lines of somebody else who used this device alone', async () => {
		const theirs = entry(1, { by: 'someone' });
		await store.entries.put(theirs);
		await exchangeAll();
		expect(asked[1]!.body!.entries).toEqual([]);
		expect(await stateOf(theirs.id)).toBe('kept');
	});

	it('packs once, not with every line', async () => {
		await exchangeAll();
		const { exchangeAll: again } = await import('./exchange');
		await again();
		await again();
		expect(asked.filter((a) => a.url === '/api/satchel')).toHaveLength(1);
	});

	it('sends a picture after the line that speaks of it, where the server wants it', async () => {
		const sha256 = 'a'.repeat(64);
		await store.entries.put(entry(1, { path: 'photos/x/sha256', value: sha256 }));
		await store.photos.put({ sha256, visitId, bytes: new ArrayBuffer(8), state: 'kept' });
		answers.push((sent) => json(answered({ accepted: sent.entries.map((e) => e.id), wantedPhotos: sent.photos })));
		await exchangeAll();
		expect(asked.map((a) => a.url)).toEqual(['/api/satchel', '/api/sync', `/api/photos/${sha256}?visit=${visitId}`]);
		expect((await store.photos.get(sha256))!.state).toBe('sent');
	});
});

describe('where it cannot be', () => {
	it('a sign-in that has run out is told as that; everything stays here', async () => {
		const mine = entry(1);
		await store.entries.put(mine);
		answers.push(() => json({ message: 'sign in' }, 401));
		const { exchangeAll: run, SignedOut } = await import('./exchange');
		await expect(run()).rejects.toBeInstanceOf(SignedOut);
		expect(await stateOf(mine.id)).toBe('kept');
	});
	it('a server in trouble is told as trouble, and tried with the same lines again', async () => {
		const mine = entry(1);
		await store.entries.put(mine);
		answers.push(() => json({}, 500));
		await expect(exchangeAll()).rejects.toThrow(/answered 500/);
		answers.push((sent) => json(answered({ accepted: sent.entries.map((e) => e.id) })));
		await exchangeAll();
		expect(await stateOf(mine.id)).toBe('sent');
	});
	it('an answer that is none changes nothing here', async () => {
		const mine = entry(1);
		await store.entries.put(mine);
		answers.push(() => json({ accepted: 'all of them' }));
		await expect(exchangeAll()).rejects.toThrow();
		expect(await stateOf(mine.id)).toBe('kept');
		expect(await store.marks.count()).toBe(0);
	});
	it('what is packed already stays as it is when a visit’s lines come with the satchel', async () => {
		const old = line(1, { value: 0.2 });
		const mine: KeptEntry = { ...old, value: 0.35, state: 'kept' };
		await store.entries.put(mine);
		vi.stubGlobal('fetch', (url: string) =>
			Promise.resolve(url === '/api/satchel' ? json(satchel({ entries: [old] })) : json(answered()))
		);
		await exchangeAll();
		expect(await store.entries.get(mine.id)).toMatchObject({ value: 0.35, state: 'kept' });
	});
});
