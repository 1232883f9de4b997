import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { BoxWordWithout } from '$lib/core/custody';
import { fold } from '$lib/core/logbook';
import { fullVisit } from '$lib/core/method';
import type { BenchVisit } from './bench-shelf.svelte';
import { exchangeBoxes } from './boxes-exchange';
import { FieldBoxes } from './boxes.svelte';
import { TextsStandIn } from './page-stand-in';
import { store } from './store';

const id = (n: number) => `01890000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const NOON = Date.UTC(2026, 4, 14, 12);
const me = id(1);
const lab = { id: id(9), name: 'Millrace', analyses: [], journeys: [] };
const known = (more: object = {}) => ({ boxes: [], waiting: [], labs: [lab], ...more });
const filled = (n: number): BenchVisit => ({
	id: id(n),
	siteName: 'Tessel 3',
	usual: null,
	card: fullVisit,
	sheet: { bottles: { nutrients: { kind: 'nutrients', label: `N${n}`, filledAt: '2026-05-14T09:00:00Z' } } },
	lines: fold([]).lines
});
const start: BoxWordWithout<'id' | 'at'> = {
	does: 'start',
	box: id(100),
	labId: lab.id,
	bottles: [{ visitId: id(5), id: 'nutrients' }]
};

/** What was told to the server, and what it answers. */
let told: { does: string }[][];
let answer: () => { status: number; body: unknown };
let boxes: FieldBoxes;
let stop: () => void;

beforeEach(async () => {
	vi.stubGlobal('localStorage', new TextsStandIn());
	vi.stubGlobal('addEventListener', () => undefined);
	vi.stubGlobal('removeEventListener', () => undefined);
	vi.stubGlobal('document', { visibilityState: 'hidden', addEventListener() {}, removeEventListener() {} });
	await Promise.all([store.boxes.clear(), store.boxWords.clear(), store.entries.clear(), store.drafts.clear()]);
	told = [];
	answer = () => ({ status: 200, body: { refused: [], known: known() } });
	vi.stubGlobal('fetch', (_: string, { body }: { body: string }) => {
		told.push((JSON.parse(body) as { words: { does: string }[] }).words);
		const { status, body: said } = answer();
		return status === 0
			? Promise.reject(new TypeError('no network'))
			: Promise.resolve(new Response(JSON.stringify(said), { status }));
	});
	boxes = new FieldBoxes(
		me,
		() => [filled(5)],
		() => void exchangeBoxes(me).catch(() => undefined)
	);
	stop = boxes.follow();
	await exchangeBoxes(me);
	await vi.waitFor(() => expect(boxes.isKnown).toBe(true));
});
afterEach(() => {
	stop();
	vi.unstubAllGlobals();
});
const words = () => told.flat().map((w) => w.does);

describe('boxes on a phone', () => {
	it('hold what was filled on it and never sent; what is done with no network is told once there is one', async () => {
		expect(boxes.waiting.map((b) => b.label)).toEqual(['N5']);
		answer = () => ({ status: 0, body: null });
		expect(await boxes.say(start, NOON)).toBeNull();
		await vi.waitFor(() => expect(boxes.boxes.map((b) => b.bottles.map((x) => x.label))).toEqual([['N5']]));
		expect([boxes.waiting, boxes.untold.length]).toEqual([[], 1]);
		answer = () => ({ status: 200, body: { refused: [], known: known() } });
		told = [];
		await exchangeBoxes(me);
		await vi.waitFor(() => expect(boxes.untold).toEqual([]));
		await exchangeBoxes(me);
		expect(words()).toEqual(['start']);
	});
	it('are told after the lines of the bottles that are in them', async () => {
		const line = { id: id(70), visitId: id(5), at: '1', by: me, device: 'd', path: 'opening', op: 'set' as const };
		await store.entries.put({ ...line, value: {}, was: null, state: 'kept' });
		await boxes.say(start, NOON);
		await exchangeBoxes(me);
		expect(words()).toEqual([]);
		await store.entries.update(line.id, { state: 'sent' });
		await exchangeBoxes(me);
		expect(words()).toEqual(['start']);
	});
	it('keep what could not be done, with the reason, until it was read', async () => {
		answer = () => ({ status: 0, body: null });
		await boxes.say(start, NOON);
		await boxes.say({ does: 'unpack', box: id(100) }, NOON);
		const refused = (await store.boxWords.toArray()).map((w) => ({ id: w.id, why: 'in another box' }));
		answer = () => ({ status: 200, body: { refused, known: known() } });
		await exchangeBoxes(me);
		await vi.waitFor(() => expect(boxes.refusals).toEqual(['in another box']));
		expect(boxes.boxes).toEqual([]);
		boxes.heard('in another box');
		await vi.waitFor(() => expect(boxes.refusals).toEqual([]));
	});
	it('of whoever may not pack any more keep it, with the reason', async () => {
		answer = () => ({ status: 403, body: { message: 'Boxes are for the bench.' } });
		await boxes.say(start, NOON);
		await vi.waitFor(() => expect(boxes.refusals).toEqual(['Boxes are for the bench.']));
	});
	it('let go of what was typed about one when its hand-over was heard, not when it was refused', async () => {
		const box = { id: id(100), code: 'S1', labId: lab.id, lab: lab.name, packed: [], bottles: [], expected_ms: null };
		let handedOver_ms: number | null = null;
		const stands = () => known({ boxes: [{ ...box, courier: '', seal: '', handedOver_ms }] });
		boxes.type(`${id(100)} courier`, 'Fell and Moor');
		boxes.type(`${id(101)} courier`, 'of a box that is gone');
		answer = () => ({ status: 0, body: null });
		await boxes.say({ does: 'hand-over', box: id(100), courier: 'Fell and Moor', seal: '' }, NOON);
		const typed = async () => (await store.drafts.toArray()).map((d) => d.text);
		await vi.waitFor(async () => expect(await typed()).toHaveLength(2));
		const refused = (await store.boxWords.toArray()).map((w) => ({ id: w.id, why: 'filled after that' }));
		answer = () => ({ status: 200, body: { refused, known: stands() } });
		await exchangeBoxes(me);
		expect(await typed()).toEqual(['Fell and Moor']);
		handedOver_ms = NOON;
		answer = () => ({ status: 200, body: { refused: [], known: stands() } });
		await exchangeBoxes(me);
		expect(await typed()).toEqual([]);
	});
	it('stay as they were known where the answer is none', async () => {
		for (const body of [null, { refused: [] }, { refused: [], known: known({ boxes: [{ id: 3 }] }) }]) {
			answer = () => ({ status: 200, body });
			await expect(exchangeBoxes(me)).rejects.toThrow();
		}
		expect(boxes.labs).toEqual([lab]);
	});
	it('say what no box takes, and keep nothing of it', async () => {
		const why = await boxes.say({ does: 'hand-over', box: id(100), courier: ' ', seal: '' }, NOON);
		expect([why, await store.boxWords.count()]).toEqual(['say who takes it', 0]);
	});
});
