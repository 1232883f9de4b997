import { describe, expect, it } from 'vitest';
import { compositeVolumes, middlesOf } from './composite';

describe('a composite across the stream', () => {
	it('takes more where more flows, and all together what was asked for', () => {
		const volumes = compositeVolumes({
			verticals: [
				{ depth_m: 0.1, velocity_m_s: 0.2 },
				{ depth_m: 0.3, velocity_m_s: 0.4 },
				{ depth_m: 0.2, velocity_m_s: 0.3 }
			],
			total_mL: 1000
		});
		expect(volumes).toEqual([100, 600, 300].map((v) => expect.closeTo(v, 9) as number)); // 0.02 : 0.12 : 0.06
	});
	it('takes the same everywhere from standing water', () => {
		expect(
			compositeVolumes({
				verticals: [
					{ depth_m: 1, velocity_m_s: 0 },
					{ depth_m: 2, velocity_m_s: 0 }
				],
				total_mL: 500
			})
		).toEqual([250, 250]);
	});
	it('has its verticals in the middles of equal widths', () => {
		expect(middlesOf(1, 5, 4)).toEqual([1.5, 2.5, 3.5, 4.5]);
	});
	it.each([
		[{ verticals: [], total_mL: 100 }, /at least one/],
		[{ verticals: [{ depth_m: 1, velocity_m_s: 1 }], total_mL: 0 }, /total_mL/],
		[{ verticals: [{ depth_m: -1, velocity_m_s: 1 }], total_mL: 1 }, /depth_m/]
	])('refuses %o', (given, why) => {
		expect(() => compositeVolumes(given)).toThrow(why);
	});
});
