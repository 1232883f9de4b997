import { describe, expect, it } from 'vitest';
import { longestWithin, tideWindows } from '.';

describe('a tidal site', () => {
	it('can be reached around each low water of the day', () => {
		expect(tideWindows(6 * 60 + 20, 90)).toEqual([
			{ from_min: 290, to_min: 470 },
			{ from_min: 1035, to_min: 1215 }
		]);
	});

	it('is reckoned from a low water of days ago: about fifty minutes later each day', () => {
		const [first] = tideWindows(380 - 3 * 1440, 60);
		expect(first!.from_min + 60).toBeCloseTo(380 + 3 * 50.472 - 745.236 + 745.236, 0);
	});

	it('keeps a window that began the evening before', () => {
		expect(tideWindows(-30, 60)[0]).toEqual({ from_min: -90, to_min: 30 });
	});

	it('is visited in the longest stretch by day, or not at all', () => {
		const windows = tideWindows(380, 90);
		expect(longestWithin(windows, { from_min: 300, to_min: 1260 })).toEqual({ from_min: 1035, to_min: 1215 });
		expect(longestWithin(windows, { from_min: 600, to_min: 900 })).toBeNull();
	});
});
