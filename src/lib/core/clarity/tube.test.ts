import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { tubeDepthFromTurbidity, turbidityFromTube } from '.';

const tube = { tubeLength_cm: 120, minimumDepth_cm: 6, stillVisibleWhenFull: false };

describe('turbidity from the tube', () => {
	it('and back is the depth that was read', () => {
		fc.assert(
			fc.property(fc.double({ min: 6, max: 120, noNaN: true }), (depth_cm) => {
				const { turbidity_NTU } = turbidityFromTube({ ...tube, depth_cm });
				expect(tubeDepthFromTurbidity({ turbidity_NTU }).depth_cm).toBeCloseTo(depth_cm, 9);
			})
		);
	});

	it('is 1 NTU where the regression says so', () => {
		expect(tubeDepthFromTurbidity({ turbidity_NTU: 1 }).depth_cm).toBe(244.13);
	});

	it('falls as the water clears', () => {
		const at = (depth_cm: number) => turbidityFromTube({ ...tube, depth_cm }).turbidity_NTU;
		expect(at(60)).toBeLessThan(at(59));
	});

	it.each([
		['still visible when full: at most that of the whole tube', { ...tube, stillVisibleWhenFull: true }, '<', 120],
		['gone before the least depth: at least that of the least depth', { ...tube, depth_cm: 3 }, '>', 6],
		['at the least depth itself: as read', { ...tube, depth_cm: 6 }, null, 6],
		['just gone when full: as read', { ...tube, depth_cm: 120 }, null, 120],
		['never seen: at least', { ...tube, depth_cm: 0 }, '>', 6]
	] as const)('%s', (_, reading, qualifier, depth_cm) => {
		const got = turbidityFromTube(reading);
		expect(got.qualifier).toBe(qualifier);
		expect(tubeDepthFromTurbidity(got).depth_cm).toBeCloseTo(depth_cm, 9);
	});

	it.each([
		['a depth that is missing', { ...tube }, /depth_cm/],
		['a depth beyond the tube', { ...tube, depth_cm: 121 }, /depth_cm/],
		['a depth below 0', { ...tube, depth_cm: -1 }, /depth_cm/],
		['a least depth longer than the tube', { ...tube, depth_cm: 5, minimumDepth_cm: 130 }, /minimumDepth_cm/],
		[
			'no answer whether it was visible',
			{ ...tube, depth_cm: 5, stillVisibleWhenFull: undefined as never },
			/stillVisibleWhenFull/
		]
	])('refuses %s', (_, reading, why) => {
		expect(() => turbidityFromTube(reading)).toThrow(why);
	});

	it('has no depth for clear air', () => {
		expect(() => tubeDepthFromTurbidity({ turbidity_NTU: 0 })).toThrow(/turbidity_NTU/);
	});
});
