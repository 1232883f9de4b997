import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { v7 } from 'uuid';
import { fold } from '$lib/core/logbook';
import { heldDrafts, holdDraft, type HeldLine } from './held';
import { record } from './record';
import { draftsOf, settleDrafts, store } from './store';
import { TextsStandIn } from './page-stand-in';

const visitId = '01890000-0000-7000-8000-00000000aaaa';
const path = 'readings/conductivity/main';
const NOON = Date.parse('2026-05-14T12:00:00Z');

const figure = (value: number) => ({ value, unit: 'uS_cm' });
const typed = (second: number, value: number, was: string | null = null): HeldLine => ({
	id: v7({ msecs: NOON + second * 1000 }),
	line: { visitId, path, op: 'set', value: figure(value), was },
	by: '01890000-0000-7000-8000-00000000bbbb',
	now_ms: NOON + second * 1000
});
const draft = (second: number, text: string) => ({
	key: `${visitId} ${path}`,
	text,
	typed: v7({ msecs: NOON + second * 1000 })
});
const folded = async () => fold(await store.entries.toArray());
const shown = async () => (await folded()).lines.get(path)?.value;

beforeEach(async () => {
	vi.stubGlobal('localStorage', new TextsStandIn());
	await Promise.all([store.entries.clear(), store.drafts.clear()]);
});

describe('a line written on this device', () => {
	it('replaces what another tab of the device kept a moment before', async () => {
		await record(typed(1, 182));
		await record(typed(2, 183));
		expect(await shown()).toEqual(figure(183));
		expect((await folded()).conflicts).toEqual([]);
	});

	it('does not take the place of what was typed after it, however late it reaches the store', async () => {
		const late = typed(1, 182);
		const stands = await record(typed(2, 183));
		await record(late);
		const { lines, conflicts } = await folded();
		expect(lines.get(path)).toMatchObject({ value: figure(183), live: { id: stands.id }, rivals: [] });
		expect(conflicts).toEqual([]);
		expect(lines.get(path)?.history).toHaveLength(3); // both figures, and the strike with its reason
	});

	it('stands where the person saw what it replaces, even when the clock was set back between', async () => {
		const before = await record(typed(2, 182));
		await record(typed(1, 183, before.id));
		expect(await shown()).toEqual(figure(183));
	});

	it('is written once however often it is asked for', async () => {
		const late = typed(1, 182);
		await record(typed(2, 183));
		await record(late);
		await record(late);
		expect(await store.entries.count()).toBe(3);
	});
});

describe('drafts caught on their way to the disk', () => {
	it('are found at the next start', async () => {
		holdDraft(draft(1, '18'));
		await settleDrafts();
		expect(await draftsOf(visitId)).toEqual({ [path]: '18' });
	});

	it('show before the disk has them, over an older one that the disk had already', async () => {
		await store.drafts.put(draft(1, '18'));
		holdDraft(draft(2, '19'));
		expect(await draftsOf(visitId)).toEqual({ [path]: '19' });
		holdDraft(draft(3, ''));
		expect(await draftsOf(visitId)).toEqual({}); // taken back
		await settleDrafts();
		expect(await draftsOf(visitId)).toEqual({});
	});

	it('do not come back once the figure is kept, even when another tab starts in that moment', async () => {
		holdDraft(draft(1, '182'));
		await Promise.all([record(typed(2, 182)), settleDrafts(), settleDrafts()]);
		expect(await draftsOf(visitId)).toEqual({});
	});

	it('stay where they were typed after the figure that is kept a moment later', async () => {
		const kept = typed(1, 182);
		holdDraft(draft(2, '19')); // the hand is at the next figure before the disk has the first
		await record(kept);
		expect(heldDrafts()).toHaveLength(1);
		await settleDrafts();
		expect(heldDrafts()).toEqual([]);
		expect(await draftsOf(visitId)).toEqual({ [path]: '19' });
		await record(typed(1, 183));
		expect(await draftsOf(visitId)).toEqual({ [path]: '19' }); // nor once they are on the disk
		await record(typed(3, 19));
		expect(await draftsOf(visitId)).toEqual({});
	});
});
