import { describe, expect, it } from 'vitest';
import { latestOfEach, quarterOf } from '.';

const at = (day: string) => Date.parse(`${day}T12:00:00Z`);

describe('samplings that are set beside each other', () => {
	it.each([
		['2025-11-30', '2025-3', 'Sep–Nov 2025'],
		['2025-12-01', '2026-0', 'Dec–Feb 2026'],
		['2026-02-28', '2026-0', 'Dec–Feb 2026'],
		['2026-03-01', '2026-1', 'Mar–May 2026'],
		['2026-08-31', '2026-2', 'Jun–Aug 2026']
	])('on %s belong to three months', (day, id, name) => {
		expect(quarterOf(at(day))).toEqual({ id, name });
	});
	it('are the latest of each site, one that was counted before one that was only looked at', () => {
		const sampling = (siteId: string, day: string, knowsShares = true) => ({
			siteId,
			started_ms: at(day),
			knowsShares
		});
		const all = [
			sampling('a', '2025-04-02'),
			sampling('a', '2025-10-02'),
			sampling('b', '2025-10-03'),
			sampling('b', '2026-04-03', false),
			sampling('c', '2026-04-04', false)
		];
		const days = (quarter: string | null) =>
			[...latestOfEach(all, quarter)]
				.map(([id, s]) => `${id} ${new Date(s.started_ms).toISOString().slice(0, 10)}`)
				.sort();
		expect(days(null)).toEqual(['a 2025-10-02', 'b 2025-10-03', 'c 2026-04-04']);
		expect(days('2026-1')).toEqual(['b 2026-04-03', 'c 2026-04-04']);
		expect(days('2024-1')).toEqual([]);
	});
});
