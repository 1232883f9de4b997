import { describe, expect, it } from 'vitest';
import { boardScale } from './board-layout';
import { inThreadOrder } from './thread-order';

describe('the season board', () => {
	it('puts days across and finds them again', () => {
		const scale = boardScale(20_529, 20_529 + 100, 170, 970);
		expect(scale.x(20_529)).toBe(170);
		for (const day of [20_529, 20_560, 20_629]) expect(scale.dayAt(scale.x(day) + 3)).toBe(day);
		expect(scale.weeks).toHaveLength(14);
		expect(scale.weeks.filter((w) => w.month !== null).map((w) => w.month)).toEqual(['Mar', 'Apr', 'May', 'Jun']);
	});

	it('lists sites as the water meets them', () => {
		const streams = [
			{ id: 'main', joins: null },
			{ id: 'arm', joins: { streamId: 'main', at_km: 5 } },
			{ id: 'rill', joins: { streamId: 'arm', at_km: 1 } }
		];
		const site = (code: string, streamId: string, river_km: number) => ({ code, streamId, river_km });
		const order = inThreadOrder(streams, [
			site('M2', 'main', 2),
			site('M8', 'main', 8),
			site('A3', 'arm', 3),
			site('A0', 'arm', 0.5),
			site('R1', 'rill', 1)
		]);
		expect(order.map((s) => s.code)).toEqual(['M8', 'A3', 'R1', 'A0', 'M2']);
	});
});
