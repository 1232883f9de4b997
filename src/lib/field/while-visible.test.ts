import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { PageStandIn } from './page-stand-in';
import { whileVisible } from './while-visible';

let page: PageStandIn;
beforeEach(() => {
	vi.useFakeTimers();
	page = new PageStandIn();
	vi.stubGlobal('document', page);
});
afterEach(() => {
	vi.useRealTimers();
	vi.unstubAllGlobals();
});

it('does it every so often while the page is seen', () => {
	const deed = vi.fn();
	const stop = whileVisible(1000, deed);
	vi.advanceTimersByTime(3500);
	expect(deed).toHaveBeenCalledTimes(3);
	stop();
	vi.advanceTimersByTime(5000);
	expect(deed).toHaveBeenCalledTimes(3);
	expect(vi.getTimerCount()).toBe(0);
});

it('sets no timer while it is not, and does it at once when it comes back', () => {
	const deed = vi.fn();
	whileVisible(1000, deed);
	page.turn('hidden');
	expect(vi.getTimerCount()).toBe(0);
	vi.advanceTimersByTime(60_000);
	expect(deed).not.toHaveBeenCalled();
	page.turn('visible');
	expect(deed).toHaveBeenCalledTimes(1);
	vi.advanceTimersByTime(1000);
	expect(deed).toHaveBeenCalledTimes(2);
});

it('begun out of sight it waits to be seen; stopped it does not come back', () => {
	page.visibilityState = 'hidden';
	const deed = vi.fn();
	const stop = whileVisible(1000, deed);
	expect(vi.getTimerCount()).toBe(0);
	stop();
	page.turn('visible');
	expect(deed).not.toHaveBeenCalled();
	expect(vi.getTimerCount()).toBe(0);
});

it('does it less and less often where nothing happens, and as often as before where something does', () => {
	let isQuiet = true;
	const deed = vi.fn();
	whileVisible(1000, deed, { most_ms: 4000, isQuiet: () => isQuiet });
	vi.advanceTimersByTime(1000 + 2000 + 4000 + 4000);
	expect(deed).toHaveBeenCalledTimes(4);
	isQuiet = false;
	vi.advanceTimersByTime(4000 + 1000 + 1000);
	expect(deed).toHaveBeenCalledTimes(7);
	isQuiet = true;
	page.turn('hidden');
	page.turn('visible');
	vi.advanceTimersByTime(2000);
	expect(deed).toHaveBeenCalledTimes(9);
});

it('ends with the deed that stops it', () => {
	const stop = whileVisible(1000, () => stop());
	vi.advanceTimersByTime(1000);
	expect(vi.getTimerCount()).toBe(0);
});
