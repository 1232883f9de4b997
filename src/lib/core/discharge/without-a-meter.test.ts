import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	floatDischarge,
	flumeDischarge,
	load,
	sectionArea,
	verticalVelocity,
	volumetricDischarge,
	type PointReadings
} from '.';

describe('velocity in a vertical', () => {
	const all = {
		velocitySurface_m_s: 0.6,
		velocity02_m_s: 0.5,
		velocity06_m_s: 0.4,
		velocity08_m_s: 0.3,
		velocityBed_m_s: 0.1
	};

	// ISO 748:2007, 7.1.5, worked by hand
	it.each<[PointReadings['method'], number, number]>([
		['onePoint', 0.4, 1],
		['twoPoint', 0.4, 2],
		['threePoint', (0.5 + 0.8 + 0.3) / 4, 3],
		['fivePoint', 0.1 * (0.6 + 1.5 + 1.2 + 0.6 + 0.1), 5],
		['surface', 0.51, 1]
	])('%s', (method, velocity_m_s, points) => {
		expect(verticalVelocity({ method, ...all })).toEqual({ velocity_m_s: expect.closeTo(velocity_m_s, 12), points });
	});

	it('of a school whose reading is missing is refused, by name', () => {
		expect(() => verticalVelocity({ method: 'twoPoint', velocity02_m_s: 0.3 })).toThrow(/velocity08_m_s/);
		expect(() => verticalVelocity({ method: 'sixPoint' as never, ...all })).toThrow(
			/onePoint, twoPoint, threePoint, fivePoint, surface: sixPoint/
		);
	});

	it('may run backwards, and takes the program’s coefficient', () => {
		expect(verticalVelocity({ method: 'onePoint', velocity06_m_s: -0.1 }).velocity_m_s).toBe(-0.1);
		expect(verticalVelocity({ method: 'surface', velocitySurface_m_s: 1, coefficient: 0.8 }).velocity_m_s).toBe(0.8);
	});
});

describe('a surveyed section', () => {
	it('of a box has the area, width and wetted walls of a box', () => {
		const box = sectionArea({
			stations: [
				{ distance_m: 2, depth_m: 0.5 },
				{ distance_m: 0, depth_m: 0.5 }
			]
		});
		expect(box).toEqual({
			area_m2: 1,
			width_m: 2,
			meanDepth_m: 0.5,
			maxDepth_m: 0.5,
			wettedPerimeter_m: 3,
			hydraulicRadius_m: 1 / 3
		});
	});

	it('of a triangle has half the box, and its two slopes wet', () => {
		const triangle = sectionArea({
			stations: [
				{ distance_m: 0, depth_m: 0 },
				{ distance_m: 3, depth_m: 4 },
				{ distance_m: 6, depth_m: 0 }
			]
		});
		expect(triangle).toMatchObject({ area_m2: 12, width_m: 6, meanDepth_m: 2, maxDepth_m: 4, wettedPerimeter_m: 10 });
	});

	it('keeps its area when a station is added on the straight bed between two', () => {
		fc.assert(
			fc.property(
				fc.array(fc.integer({ min: 0, max: 200 }), { minLength: 2, maxLength: 12 }),
				fc.nat(),
				(depths, k) => {
					const stations = depths.map((d, i) => ({ distance_m: i, depth_m: d / 100 }));
					const i = k % (stations.length - 1);
					const added = { distance_m: i + 0.5, depth_m: (stations[i]!.depth_m + stations[i + 1]!.depth_m) / 2 };
					expect(sectionArea({ stations: [...stations, added] }).area_m2).toBeCloseTo(
						sectionArea({ stations }).area_m2,
						9
					);
				}
			)
		);
	});

	it('needs two stations at two places', () => {
		expect(() => sectionArea({ stations: [{ distance_m: 0, depth_m: 1 }] })).toThrow(/two stations or more: 1/);
		const same = { distance_m: 1, depth_m: 1 };
		expect(() => sectionArea({ stations: [same, same] })).toThrow(/one place: 1 m/);
	});
});

describe('floats', () => {
	const run = { length_m: 10, runTimes_s: [20, 25], areas_m2: [0.4, 0.6] };

	it('averaged as times or as velocities differ, as the schools do', () => {
		const byTimes = floatDischarge(run);
		const byVelocities = floatDischarge({ ...run, averaging: 'velocities' });
		expect(byTimes.surfaceVelocity_m_s).toBeCloseTo(10 / 22.5, 12);
		expect(byVelocities.surfaceVelocity_m_s).toBeCloseTo(0.45, 12);
		expect(byTimes.area_m2).toBe(0.5);
		expect(byTimes.meanVelocity_m_s).toBeCloseTo((10 / 22.5) * 0.85, 12);
		expect(byTimes.discharge_m3_s).toBeCloseTo((10 / 22.5) * 0.85 * 0.5, 12);
	});

	it('show how far apart the runs were, where there were two', () => {
		expect(floatDischarge(run).runVelocitySd_m_s).toBeCloseTo(0.1 / Math.SQRT2, 12); // of 0.5 and 0.4
		expect(floatDischarge({ ...run, runTimes_s: [20] }).runVelocitySd_m_s).toBeNull();
	});

	it.each([
		['no run', { ...run, runTimes_s: [] }, /at least one run/],
		['no area', { ...run, areas_m2: [] }, /at least one run and one area/],
		['a run that took no time', { ...run, runTimes_s: [20, 0] }, /runTimes_s\[1\]/],
		['a coefficient above 1', { ...run, coefficient: 1.1 }, /coefficient/],
		['a coefficient of 0', { ...run, coefficient: 0 }, /coefficient/],
		['a third way to average', { ...run, averaging: 'both' as never }, /averaging must be times or velocities: both/]
	])('refuse %s', (_, input, why) => {
		expect(() => floatDischarge(input)).toThrow(why);
	});
});

describe('a flume', () => {
	const rating = { coefficient: 0.4, exponent: 1.5, minimumHead_m: 0.03, maximumHead_m: 0.3 };

	it.each([
		['in free flow', 0.2, 0.09, [], true],
		['at the limit of submergence itself', 0.2, 0.1, ['submerged'], false],
		['under its range', 0.02, 0, ['belowRange'], false],
		['at the ends of its range', 0.3, 0.1, [], true],
		['over its range and held back', 0.4, 0.3, ['submerged', 'aboveRange'], false]
	])('%s', (_, head_m, tailDepth_m, reasons, valid) => {
		expect(flumeDischarge({ ...rating, head_m, tailDepth_m })).toMatchObject({
			reasons,
			valid,
			discharge_m3_s: expect.closeTo(0.4 * head_m ** 1.5, 12)
		});
	});

	it('without a tail, or dry, has no submergence to speak of', () => {
		expect(flumeDischarge({ ...rating, head_m: 0.2 })).toMatchObject({ submergence: null, valid: true });
		expect(flumeDischarge({ coefficient: 0.4, exponent: 1.5, head_m: 0, tailDepth_m: 0.1 })).toMatchObject({
			discharge_m3_s: 0,
			submergence: null,
			valid: true
		});
		expect(flumeDischarge({ ...rating, head_m: 0.2, tailDepth_m: 0.12, submergenceLimit: 0.7 }).valid).toBe(true);
	});

	it('refuses a rating that is none', () => {
		expect(() => flumeDischarge({ ...rating, head_m: -0.1 })).toThrow(/head_m/);
		expect(() => flumeDischarge({ ...rating, coefficient: 0, head_m: 0.1 })).toThrow(/coefficient/);
		expect(() => flumeDischarge({ ...rating, exponent: 0, head_m: 0.1 })).toThrow(/exponent/);
	});
});

describe('a bucket', () => {
	it('averages its fills and says how they scatter', () => {
		const flow = volumetricDischarge({
			fills: [
				{ volume_L: 10, time_s: 10 },
				{ volume_L: 10, time_s: 5 }
			]
		});
		expect(flow).toMatchObject({ discharge_m3_s: 0.0015, repeats: 2 });
		expect(flow.sd_m3_s).toBeCloseTo(0.001 / Math.SQRT2, 12);
		expect(flow.coefficientOfVariationPercent).toBeCloseTo(100 / Math.SQRT2 / 1.5, 9);
	});

	it('filled once, or never, says no more than it knows', () => {
		expect(volumetricDischarge({ fills: [{ volume_L: 10, time_s: 5 }] })).toMatchObject({
			sd_m3_s: null,
			coefficientOfVariationPercent: null
		});
		expect(
			volumetricDischarge({
				fills: [
					{ volume_L: 0, time_s: 5 },
					{ volume_L: 0, time_s: 6 }
				]
			})
		).toMatchObject({ discharge_m3_s: 0, sd_m3_s: 0, coefficientOfVariationPercent: null });
		expect(() => volumetricDischarge({ fills: [] })).toThrow(/at least one fill/);
		expect(() => volumetricDischarge({ fills: [{ volume_L: 5, time_s: 0 }] })).toThrow(/fills\[0\]\.time_s/);
	});
});

describe('a load', () => {
	it('is 86.4 × concentration × discharge, and stays a limit where the concentration is one', () => {
		expect(load({ concentration_mgL: 2, discharge_m3_s: 0.5 })).toMatchObject({
			load_kgDay: expect.closeTo(86.4, 12),
			qualifier: null
		});
		expect(load({ concentration_mgL: 2, discharge_m3_s: 0.5, qualifier: '<' }).qualifier).toBe('<');
		expect(() => load({ concentration_mgL: -1, discharge_m3_s: 0.5 })).toThrow(/concentration_mgL/);
	});
});
