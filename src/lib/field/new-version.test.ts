import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { NewVersion } from './new-version.svelte';
import { TAKE_OVER } from './take-over';

/** A service worker as a page sees it: its state, and what it was told. */
class Worker extends EventTarget {
	state = 'installing';
	told: unknown[] = [];
	postMessage = (said: unknown) => void this.told.push(said);
	installed() {
		this.state = 'installed';
		this.dispatchEvent(new Event('statechange'));
	}
}
class Registration extends EventTarget {
	waiting: Worker | null = null;
	installing: Worker | null = null;
	found(worker: Worker) {
		this.installing = worker;
		this.dispatchEvent(new Event('updatefound'));
	}
}

let registration: Registration;
let container: EventTarget & { controller: unknown; register: () => Promise<Registration> };
const reload = vi.fn();
beforeEach(() => {
	registration = new Registration();
	container = Object.assign(new EventTarget(), { controller: {}, register: () => Promise.resolve(registration) });
	vi.stubGlobal('navigator', { serviceWorker: container });
	vi.stubGlobal('location', { reload });
	reload.mockClear();
});
afterEach(() => vi.unstubAllGlobals());

describe('a new version', () => {
	it('that waits is taken when a page is loaded at a quiet moment', async () => {
		const waiting = (registration.waiting = new Worker());
		await new NewVersion().follow(() => true);
		expect(waiting.told).toEqual([TAKE_OVER]);
		expect(reload).not.toHaveBeenCalled();
		container.dispatchEvent(new Event('controllerchange'));
		expect(reload).toHaveBeenCalledTimes(1);
	});

	it('is said and not taken in the middle of a visit', async () => {
		const waiting = (registration.waiting = new Worker());
		const version = new NewVersion();
		await version.follow(() => false);
		expect(version.isReady).toBe(true);
		expect(waiting.told).toEqual([]);
		version.take();
		expect(waiting.told).toEqual([TAKE_OVER]);
	});

	it('that comes while a page stands open is said once it is ready; the very first one is none', async () => {
		const version = new NewVersion();
		await version.follow(() => true);
		const fresh = new Worker();
		registration.found(fresh);
		expect(version.isReady).toBe(false);
		fresh.installed();
		expect(version.isReady).toBe(true);
		expect(fresh.told).toEqual([]);

		container.controller = null;
		const first = new NewVersion();
		await first.follow(() => true);
		const only = new Worker();
		registration.found(only);
		only.installed();
		expect(first.isReady).toBe(false);
	});

	it('is nothing that a browser without service workers is asked for', async () => {
		vi.stubGlobal('navigator', {});
		const version = new NewVersion();
		await version.follow(() => true);
		expect(version.isReady).toBe(false);
	});
});
