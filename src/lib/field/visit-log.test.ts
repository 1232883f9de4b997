import 'fake-indexeddb/auto';
import { describe, expect, it, vi } from 'vitest';
import { v7 } from 'uuid';
import { fullVisit } from '$lib/core/method';
import type { Satchel } from '$lib/core/satchel';
import { hold, type HeldLine } from './held';
import { TextsStandIn } from './page-stand-in';
import type { KeptEntry, Packed } from './store';
import { VisitLog } from './visit-log.svelte';

const NOON = Date.UTC(2026, 4, 14, 12);
const visitId = '01890000-0000-7000-8000-00000000aaaa';
const me = { id: '01890000-0000-7000-8000-00000000bbbb', name: 'Ivo', initials: 'IQ' };
const other = { id: '01890000-0000-7000-8000-00000000cccc', name: 'Orla', initials: 'OT' };
const siteId = '01890000-0000-7000-8000-00000000dddd';
const cardVersionId = '01890000-0000-7000-8000-00000000eeee';

const satchel = {
	program: { id: 'p', name: 'Test streams', timeZone: 'Etc/UTC' },
	member: { ...me, role: 'monitor', teamId: null },
	people: [me, other],
	sites: [{ id: siteId, code: 'TE3', name: 'Tessel 3', elevation_m: 100, wadingDepth_m: null, usual: {} }],
	cards: [{ id: cardVersionId, inUse: true, card: fullVisit }],
	instruments: [],
	rounds: []
} as unknown as Satchel;
const packed: Packed = { key: 'satchel', satchel, clockOffset_ms: 0 };

const opening = (more: object = {}) => ({ siteId, cardVersionId, startedAt: new Date(NOON).toISOString(), ...more });
const stored = (second: number, path: string, value: unknown, more: Partial<KeptEntry> = {}): KeptEntry => ({
	id: v7({ msecs: NOON + second * 1000 }),
	visitId,
	at: `${new Date(NOON + second * 1000).toISOString()}-0000`,
	by: me.id,
	device: 'device-1',
	path,
	op: 'set',
	value,
	was: null,
	state: 'kept',
	...more
});
const held = (second: number, path: string, value: unknown, more: Partial<HeldLine['line']> = {}): HeldLine => ({
	id: v7({ msecs: NOON + second * 1000 }),
	line: { visitId, path, op: 'set', value, was: null, ...more },
	by: me.id,
	now_ms: NOON + second * 1000
});
/** The log of a visit of which the disk has these lines. */
function logOf(...entries: KeptEntry[]): VisitLog {
	const log = new VisitLog(
		visitId,
		() => packed,
		() => NOON + 3_600_000
	);
	log.entries = entries;
	log.drafts = {};
	return log;
}
const temperature = (value: number) => ({ value, unit: 'degC' });
const WATER = 'readings/water-temperature/main';

describe('a visit on this device', () => {
	it('is what its lines make, with the card and the site that it was opened with', async () => {
		const log = logOf(stored(0, 'opening', opening()), stored(1, WATER, temperature(11.2)));
		expect(log.site?.code).toBe('TE3');
		expect(log.card?.code).toBe('full-visit');
		expect(log.steps).toHaveLength(fullVisit.steps.length);
		// the sheet stands before what follows from it
		expect(log.outcome).toBeNull();
		await log.workOut();
		expect(log.outcome!.results.map((r) => r.parameter)).toEqual(['water-temperature']);
		// fetched once: the next visit has it from the start
		expect(logOf(stored(0, 'opening', opening())).outcome!.results).toEqual([]);
	});
	it('says that what works it out did not come, until it has come', async () => {
		vi.resetModules();
		vi.doMock('$lib/core/visit/evaluate', () => Promise.reject(new Error('no network')));
		const { VisitLog: Anew } = await import('./visit-log.svelte');
		const log = new Anew(
			visitId,
			() => packed,
			() => NOON
		);
		log.entries = [stored(0, 'opening', opening())];
		await log.workOut();
		expect([log.isPartLost, log.outcome]).toEqual([true, null]);
		vi.doUnmock('$lib/core/visit/evaluate');
		await log.workOut();
		expect(log.isPartLost).toBe(false);
		expect(log.outcome!.results).toEqual([]);
	});
	it('leaves out a line that the server refused', async () => {
		const log = logOf(
			stored(0, 'opening', opening()),
			stored(1, WATER, temperature(11.2), { state: 'refused', why: 'no' })
		);
		await log.workOut();
		expect(log.outcome!.results).toEqual([]);
	});
	it('of which nothing is known yet has no outcome', () => {
		expect(logOf().outcome).toBeNull();
		expect(logOf().steps).toEqual([]);
	});
});

describe('a line that is on its way to the disk', () => {
	it('shows at once', () => {
		const log = logOf(stored(0, 'opening', opening()));
		log.foresee(held(5, WATER, temperature(11.2)));
		expect(log.folded.sheet.readings).toEqual({ 'water-temperature': { main: temperature(11.2) } });
		expect(log.folded.lines.get(WATER)!.live!.by).toBe(me.id);
	});
	it('comes after all that is known, also where the clock was set back', () => {
		const log = logOf(stored(0, 'opening', opening()), stored(600, WATER, temperature(10)));
		const was = log.folded.lines.get(WATER)!.live!.id;
		log.foresee(held(5, WATER, temperature(11.2), { was }));
		expect(log.folded.lines.get(WATER)!.value).toEqual(temperature(11.2));
		expect(log.folded.lines.get(WATER)!.history).toHaveLength(2);
	});
	it('stands in a row with others that are on their way', () => {
		const log = logOf(stored(0, 'opening', opening()));
		const first = held(5, WATER, temperature(11.2));
		log.foresee(first);
		log.foresee(held(6, WATER, 'misread', { op: 'strike', was: first.id }));
		expect(log.folded.lines.get(WATER)!.live).toBeNull();
		log.foresee(held(7, WATER, temperature(11.4)));
		expect(log.folded.lines.get(WATER)!.value).toEqual(temperature(11.4));
	});
	it('when a reload caught it shows as soon as the visit is opened again', () => {
		const [here, elsewhere] = [
			held(5, WATER, temperature(11.2)),
			held(6, WATER, temperature(8), { visitId: '01890000-0000-7000-8000-00000000ffff' })
		];
		vi.stubGlobal('localStorage', new TextsStandIn());
		for (const line of [here, elsewhere]) hold(line);
		const log = logOf(stored(0, 'opening', opening()));
		log.follow()();
		expect(log.folded.lines.get(WATER)!.history.map((e) => e.id)).toEqual([here.id]);
		vi.unstubAllGlobals();
	});
	it('that the sheet cannot take is not shown', () => {
		const log = logOf(stored(0, 'opening', opening()));
		log.foresee(held(5, WATER, temperature(112)));
		log.foresee(held(6, 'arrival/shoe_size', 44));
		expect(log.folded.sheet).toEqual({ opening: opening() });
	});
	it('that the disk would not take is taken back', () => {
		const log = logOf(stored(0, 'opening', opening()));
		const line = held(5, WATER, temperature(11.2));
		log.foresee(line);
		log.forget(line.id);
		expect(log.folded.lines.get(WATER)?.live ?? null).toBeNull();
	});
	it('is the line of the disk once that has it, once and not twice', () => {
		const log = logOf(stored(0, 'opening', opening()));
		const line = held(5, WATER, temperature(11.2));
		log.foresee(line);
		log.entries = [...log.entries!, stored(5, WATER, temperature(11.2), { id: line.id })];
		expect(log.folded.entries).toHaveLength(2);
		expect(log.folded.lines.get(WATER)!.rivals).toEqual([]);
	});
	it('that came to the disk other than it was foreseen is shown as the disk has it', () => {
		const log = logOf(stored(0, 'opening', opening()), stored(2, WATER, temperature(10)));
		const line = held(5, WATER, temperature(11.2)); // typed without knowledge of the 10, so a second opinion here
		log.foresee(line);
		expect(log.folded.conflicts).toHaveLength(1);
		const [, there] = log.entries!;
		// the disk knew of it
		log.entries = [...log.entries!, stored(5, WATER, temperature(11.2), { id: line.id, was: there!.id })];
		expect(log.folded.conflicts).toEqual([]);
	});
});

describe('a sheet from paper', () => {
	const paper = (...entries: KeptEntry[]) =>
		logOf(stored(0, 'opening', opening({ isOnPaper: true }), { by: other.id }), ...entries);
	const theirs = stored(1, WATER, temperature(10.9), { by: other.id, device: 'device-2' });
	const theirsDone = stored(2, 'copies/OT/doneAt', new Date(NOON).toISOString(), { by: other.id });
	const mine = stored(3, WATER, temperature(11.9));
	const mineDone = stored(4, 'copies/IQ/doneAt', new Date(NOON).toISOString());

	it('is typed without seeing what the other typed, but with the picture of the original', () => {
		const picture = stored(1, 'photos/a/sha256', 'a'.repeat(64), { by: other.id });
		const log = paper(theirs, theirsDone, picture);
		expect(log.isBlind).toBe(true);
		expect(log.folded.sheet.readings).toBeUndefined();
		expect(log.folded.sheet.photos).toEqual({ a: { sha256: 'a'.repeat(64) } });
		expect(log.folded.sheet.copies).toHaveProperty('OT');
	});
	it('shows one’s own lines, and no difference before one’s copy is whole', () => {
		const log = paper(theirs, theirsDone, mine);
		expect(log.folded.lines.get(WATER)!.value).toEqual(temperature(11.9));
		expect(log.folded.conflicts).toEqual([]);
	});
	it('shows the differences once it is, and none where the two agree', () => {
		const log = paper(theirs, theirsDone, mine, mineDone);
		expect(log.isBlind).toBe(false);
		expect(log.folded.conflicts.map((c) => c.path)).toEqual([WATER]);
		const same = stored(3, WATER, temperature(10.9));
		expect(paper(theirs, theirsDone, same, mineDone).folded.conflicts).toEqual([]);
	});
	it('a visit at the stream is never blind', () => {
		expect(logOf(stored(0, 'opening', opening()), theirs).isBlind).toBe(false);
	});
});

describe('what is being typed', () => {
	it('is shown at once, and gone once it is taken back; before the drafts are looked up nothing is put in their place', () => {
		const log = logOf(stored(0, 'opening', opening()));
		log.foreseeDraft('plates/a/count', '1');
		log.foreseeDraft('plates/b/count', '7');
		log.foreseeDraft('plates/a/count', '2');
		expect(log.drafts).toEqual({ 'plates/a/count': '2', 'plates/b/count': '7' });
		log.foreseeDraft('plates/a/count', '');
		expect(log.drafts).toEqual({ 'plates/b/count': '7' });
		log.drafts = null;
		log.foreseeDraft('plates/a/count', '3');
		expect(log.drafts).toBeNull();
	});
});
