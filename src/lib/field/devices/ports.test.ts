import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { settling, type Shown } from '$lib/core/quality';
import { parameters } from '$lib/core/quantity';
import { canListen, simulatedPort } from './meter-port';
import { findPosition } from './position';

beforeEach(() => {
	vi.useFakeTimers({ now: Date.UTC(2026, 4, 14, 12) });
	vi.stubGlobal('document', Object.assign(new EventTarget(), { visibilityState: 'visible' }));
});
afterEach(() => {
	vi.useRealTimers();
	vi.unstubAllGlobals();
});

describe('the stand-in for a meter', () => {
	const usual = { conductivity: { low: 150, high: 300, visits: 30 } };
	const listen = (parameter: 'conductivity' | 'dissolved-oxygen', seconds: number): Shown[] => {
		const heard: Shown[] = [];
		const stop = simulatedPort(usual, () => Date.now()).listen(parameter, (shown) => heard.push(shown));
		vi.advanceTimersByTime(seconds * 1000);
		stop();
		vi.advanceTimersByTime(60_000);
		return heard;
	};

	it('says that it is one', () => expect(simulatedPort({}, () => 0).isSimulated).toBe(true));
	it('sends a figure a second until it is stopped, about the site’s usual ones', () => {
		const heard = listen('conductivity', 30);
		expect(heard).toHaveLength(31);
		const last = heard.at(-1)!.value!;
		expect(last).toBeGreaterThan(150);
		expect(last).toBeLessThan(300);
	});
	it('moves at first, comes to rest, is knocked, and drops out', () => {
		const heard = listen('dissolved-oxygen', 150);
		const stateAfter = (s: number) =>
			settling(heard.slice(0, s + 1), { within: 0.1, for_s: 10 }, heard[s]!.at_ms).state;
		expect(stateAfter(5)).toBe('wait');
		expect(stateAfter(60)).toBe('now');
		expect(stateAfter(77)).toBe('wait');
		expect(heard.some((s) => s.value === null)).toBe(true);
		expect(stateAfter(139)).toBe('silent');
	});
	it('keeps to what the display of such a meter can show', () => {
		for (const { value } of listen('dissolved-oxygen', 60))
			if (value !== null) expect(Number(value.toFixed(parameters['dissolved-oxygen'].decimals))).toBe(value);
	});
	it('listens to what meters measure, not to what eyes see', () => {
		expect([
			canListen('dissolved-oxygen'),
			canListen('conductivity'),
			canListen('tube-depth'),
			canListen('nitrate')
		]).toEqual([true, true, false, false]);
		const heard: Shown[] = [];
		simulatedPort({}, () => 0).listen('nitrate', (shown) => heard.push(shown))();
		expect(heard).toEqual([]);
	});
});

describe('where the phone is', () => {
	const near = { latitude: 48.4, longitude: -27.3 };
	const withPosition = (ask: (found: (p: unknown) => void, failed: () => void) => void) =>
		vi.stubGlobal('navigator', { geolocation: { getCurrentPosition: ask } });

	it('is what the phone says', async () => {
		withPosition((found) => found({ coords: { latitude: 48.41234567, longitude: -27.3, accuracy: 8.4 } }));
		expect(await findPosition(near, false)).toEqual({
			latitude: 48.412346,
			longitude: -27.3,
			accuracy_m: 8,
			isSimulated: false
		});
	});
	it('is nothing where the phone may not or cannot say: an invented place confirms no real one', async () => {
		withPosition((_, failed) => failed());
		expect(await findPosition(near, false)).toBeNull();
		vi.stubGlobal('navigator', {});
		expect(await findPosition(near, false)).toBeNull();
	});
	it('is a stand-in near the site, marked so, in the demo alone', async () => {
		vi.stubGlobal('navigator', {});
		const guess = (await findPosition(near, true))!;
		expect(guess.isSimulated).toBe(true);
		expect(Math.abs(guess.latitude - near.latitude)).toBeLessThan(0.001);
	});
});
