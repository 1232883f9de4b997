import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { PageStandIn } from './page-stand-in';
import { SyncClient } from './sync-client.svelte';

class SignedOut extends Error {}
const exchangeAll = vi.fn<() => Promise<string[]>>();
vi.mock('./exchange', () => ({ exchangeAll: () => exchangeAll(), SignedOut }));

let page: PageStandIn;
let network: {
	onLine: boolean;
	locks: { request: (name: string, how: object, work: (lock: object | null) => Promise<void>) => Promise<void> };
};
let windowEvents: EventTarget;
let isLockedElsewhere = false;

beforeEach(() => {
	vi.useFakeTimers();
	page = new PageStandIn();
	windowEvents = new EventTarget();
	isLockedElsewhere = false;
	network = { onLine: true, locks: { request: (_name, _how, work) => work(isLockedElsewhere ? null : {}) } };
	vi.stubGlobal('document', page);
	vi.stubGlobal('navigator', network);
	vi.stubGlobal('addEventListener', windowEvents.addEventListener.bind(windowEvents));
	vi.stubGlobal('removeEventListener', windowEvents.removeEventListener.bind(windowEvents));
	exchangeAll.mockReset().mockResolvedValue([]);
});
afterEach(() => {
	vi.useRealTimers();
	vi.unstubAllGlobals();
});
/** Lets promises settle and what is due in no time happen. */
const settle = () => vi.advanceTimersByTimeAsync(0);

describe('the exchange with the server', () => {
	it('runs at the start, says what the server says, and rests', async () => {
		exchangeAll.mockResolvedValue(['your clock is off']);
		const sync = new SyncClient();
		const stop = sync.start();
		expect(sync.standing).toBe('idle');
		await settle();
		expect([sync.standing, sync.notes]).toEqual(['idle', ['your clock is off']]);
		expect(exchangeAll).toHaveBeenCalledTimes(1);
		expect(vi.getTimerCount()).toBe(0); // nothing wakes the phone
		stop();
	});

	it('is not tried without a network, and is as soon as there is one', async () => {
		network.onLine = false;
		const sync = new SyncClient();
		const stop = sync.start();
		await settle();
		expect(sync.standing).toBe('offline');
		expect(exchangeAll).not.toHaveBeenCalled();
		network.onLine = true;
		windowEvents.dispatchEvent(new Event('online'));
		await settle();
		expect(sync.standing).toBe('idle');
		expect(exchangeAll).toHaveBeenCalledTimes(1);
		stop();
		windowEvents.dispatchEvent(new Event('online'));
		await settle();
		expect(exchangeAll).toHaveBeenCalledTimes(1);
	});

	it('goes on with what came while it was busy, once, however much that was', async () => {
		let answer: (notes: string[]) => void = () => undefined;
		exchangeAll.mockReturnValueOnce(new Promise((done) => (answer = done)));
		const sync = new SyncClient();
		sync.nudge();
		await settle();
		expect(sync.standing).toBe('sending');
		for (let i = 0; i < 5; i++) sync.nudge();
		answer([]);
		await settle();
		expect(exchangeAll).toHaveBeenCalledTimes(2);
	});

	it('leaves it to the other tab where that one is at it', async () => {
		isLockedElsewhere = true;
		const sync = new SyncClient();
		sync.nudge();
		await settle();
		expect(exchangeAll).not.toHaveBeenCalled();
		expect(sync.standing).toBe('idle');
	});

	it('tells trouble of the server from a network that is only said to be there, and waits longer each time', async () => {
		exchangeAll
			.mockRejectedValueOnce(new Error('answered 500'))
			.mockRejectedValueOnce(new TypeError('failed to fetch'))
			.mockRejectedValueOnce(new Error('500'));
		const sync = new SyncClient();
		sync.nudge();
		await settle();
		expect(sync.standing).toBe('trouble');
		await vi.advanceTimersByTimeAsync(2_000);
		expect([sync.standing, exchangeAll.mock.calls.length]).toEqual(['offline', 2]);
		await vi.advanceTimersByTimeAsync(3_999);
		expect(exchangeAll).toHaveBeenCalledTimes(2);
		await vi.advanceTimersByTimeAsync(1);
		expect([sync.standing, exchangeAll.mock.calls.length]).toEqual(['trouble', 3]);
		await vi.advanceTimersByTimeAsync(8_000);
		expect([sync.standing, exchangeAll.mock.calls.length]).toEqual(['idle', 4]);
	});

	it('asks no more once the sign-in has run out, until the person does something', async () => {
		exchangeAll.mockRejectedValueOnce(new SignedOut());
		const sync = new SyncClient();
		sync.nudge();
		await settle();
		expect(sync.standing).toBe('signed-out');
		expect(vi.getTimerCount()).toBe(0);
		sync.look();
		await settle();
		expect(exchangeAll).toHaveBeenCalledTimes(1);
		sync.nudge();
		await settle();
		expect(sync.standing).toBe('idle');
	});

	it('does not try again out of sight; coming back does', async () => {
		exchangeAll.mockRejectedValueOnce(new Error('500'));
		const sync = new SyncClient();
		const stop = sync.start();
		page.visibilityState = 'hidden';
		await settle();
		expect(sync.standing).toBe('trouble');
		expect(vi.getTimerCount()).toBe(0);
		page.turn('visible');
		await settle();
		expect(sync.standing).toBe('idle');
		stop();
	});
});
