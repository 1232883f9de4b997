import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Alarms, mayCall } from './alarms.svelte';
import { PageStandIn } from './page-stand-in';

let page: PageStandIn;
let texts: Map<string, string>;
const vibrate = vi.fn();
const show = vi.fn(() => Promise.resolve());
const release = vi.fn(() => Promise.resolve());
const request = vi.fn(() => Promise.resolve({ released: false, release }));
const NOON = Date.UTC(2026, 4, 14, 12);

beforeEach(() => {
	vi.useFakeTimers({ now: NOON });
	page = new PageStandIn();
	texts = new Map();
	vi.stubGlobal('document', page);
	vi.stubGlobal('navigator', {
		vibrate,
		wakeLock: { request },
		serviceWorker: { ready: Promise.resolve({ showNotification: show }) }
	});
	vi.stubGlobal('localStorage', {
		getItem: (key: string) => texts.get(key) ?? null,
		setItem: (key: string, text: string) => void texts.set(key, text)
	});
	for (const spy of [vibrate, show, release, request]) spy.mockClear();
});
afterEach(() => {
	vi.useRealTimers();
	vi.unstubAllGlobals();
});

const minutes = (n: number) => n * 60_000;
const wait = (id: string, in_min: number) => ({ id, label: `strip ${id}`, due_ms: NOON + minutes(in_min) });
function alarms() {
	const tick = vi.fn();
	const bell = new Alarms(() => Date.now(), tick);
	return { bell, tick, stop: bell.start() };
}

describe('the clock of the field screens', () => {
	it('goes by quarter minutes, and by seconds while something short is awaited', () => {
		const { bell, tick } = alarms();
		vi.advanceTimersByTime(minutes(1));
		expect(tick).toHaveBeenCalledTimes(4);
		bell.await([wait('a', 3)]);
		tick.mockClear();
		vi.advanceTimersByTime(10_000);
		expect(tick).toHaveBeenCalledTimes(10);
		tick.mockClear();
		bell.await([wait('far', 300)]);
		tick.mockClear();
		vi.advanceTimersByTime(minutes(1));
		expect(tick).toHaveBeenCalledTimes(4);
	});

	it('out of sight has no timer where nothing is awaited, else one for the next moment', () => {
		const { bell } = alarms();
		page.turn('hidden');
		expect(vi.getTimerCount()).toBe(0);
		page.turn('visible');
		bell.await([wait('a', 10), wait('b', 30)]);
		page.turn('hidden');
		expect(vi.getTimerCount()).toBe(1);
	});

	it('stops when it is told to', () => {
		const { stop } = alarms();
		stop();
		expect(vi.getTimerCount()).toBe(0);
	});
});

describe('the bell', () => {
	it('rings once when the time has come, and buzzes', () => {
		const { bell } = alarms();
		bell.await([wait('a', 1)]);
		vi.advanceTimersByTime(minutes(1) - 2000);
		expect(bell.ringing.has('a')).toBe(false);
		vi.advanceTimersByTime(3000);
		expect(bell.ringing.has('a')).toBe(true);
		expect(vibrate).toHaveBeenCalledTimes(1);
		vi.advanceTimersByTime(minutes(5));
		expect(vibrate).toHaveBeenCalledTimes(1);
		bell.hear('a');
		expect(bell.ringing.size).toBe(0);
	});

	it('rings for each of two that are due in one moment, and for neither again', () => {
		const { bell } = alarms();
		bell.await([wait('a', 1), wait('b', 1)]);
		vi.advanceTimersByTime(minutes(4));
		expect([...bell.ringing].sort()).toEqual(['a', 'b']);
		expect(vibrate).toHaveBeenCalledTimes(2);
	});

	it(
		'after a reload or a dead tab rings for what came due meanwhile, but not for what rang before, nor for what is ' +
			'long past',
		() => {
			const first = alarms();
			first.bell.await([wait('heard', 1), wait('missed', 8), wait('old', 2)]);
			vi.advanceTimersByTime(minutes(1.5));
			first.stop();
			vi.advanceTimersByTime(minutes(35)); // nobody looks
			const again = alarms();
			again.bell.await([wait('heard', 1), wait('missed', 8), wait('old', 2)]);
			expect([...again.bell.ringing]).toEqual(['missed']);
		}
	);

	it('lets go of what is no longer awaited: the strip was read', () => {
		const { bell } = alarms();
		bell.await([wait('a', 1)]);
		vi.advanceTimersByTime(minutes(2));
		expect(bell.ringing.has('a')).toBe(true);
		bell.await([]);
		expect(bell.ringing.size).toBe(0);
	});

	it('rings anew for a fresh strip', () => {
		const { bell } = alarms();
		bell.await([wait('a', 1)]);
		vi.advanceTimersByTime(minutes(2));
		bell.await([wait('a', 3)]);
		vi.advanceTimersByTime(minutes(2));
		expect(vibrate).toHaveBeenCalledTimes(2);
	});

	it('calls by a notice where the page is not in sight and that is allowed', async () => {
		vi.stubGlobal('Notification', { permission: 'granted' });
		const { bell } = alarms();
		bell.await([wait('a', 1)]);
		page.turn('hidden');
		await vi.advanceTimersByTimeAsync(minutes(2));
		expect(show).toHaveBeenCalledWith('strip a', expect.objectContaining({ tag: 'strip a' }));
	});
});

describe('the screen', () => {
	it('stays on while something short is awaited, and may go off after', async () => {
		const { bell } = alarms();
		expect(request).not.toHaveBeenCalled();
		bell.await([wait('a', 1)]);
		await vi.advanceTimersByTimeAsync(0);
		expect(request).toHaveBeenCalledTimes(1);
		await vi.advanceTimersByTimeAsync(minutes(2));
		expect(release).toHaveBeenCalled();
	});
	it('is asked for a call only where that is still open', async () => {
		const requestPermission = vi.fn(() => Promise.resolve('granted'));
		vi.stubGlobal('Notification', { permission: 'default', requestPermission });
		await mayCall();
		vi.stubGlobal('Notification', { permission: 'denied', requestPermission });
		await mayCall();
		expect(requestPermission).toHaveBeenCalledTimes(1);
	});
});
