import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isoUncertainty, iveUncertainty, midSectionDischarge, type Vertical } from '.';

const edges = { startDistance_m: 0, endDistance_m: 10 };
/** A stream of one depth and one velocity, but for what is changed. */
const even = (n: number, change: (v: Vertical, i: number) => Partial<Vertical> = () => ({})): Vertical[] =>
	Array.from({ length: n }, (_, i) => {
		const vertical = { distance_m: ((i + 1) * 10) / (n + 1), depth_m: 0.5, velocity_m_s: 0.4 };
		return { ...vertical, ...change(vertical, i) };
	});

describe('interpolated variance', () => {
	it('of an even stream leaves only what is systematic and the widths', () => {
		const { depthSd_m, velocitySd_m_s, relativeUncertainty, verticalsUsed } = iveUncertainty({
			edges,
			verticals: even(9)
		});
		expect([depthSd_m, velocitySd_m_s, verticalsUsed]).toEqual([expect.closeTo(0, 12), expect.closeTo(0, 12), 7]);
		// nine panels of one ninth each, width uncertain by 0.5 %: 0.005/√9, with 1 % systematic
		expect(relativeUncertainty).toBeCloseTo(Math.hypot(0.01, 0.005 / 3), 9);
	});

	it('sees a rough bed, and not a sloping one', () => {
		const sloping = iveUncertainty({ edges, verticals: even(9, (v) => ({ depth_m: 0.1 + 0.05 * v.distance_m })) });
		const rough = iveUncertainty({ edges, verticals: even(9, (v, i) => ({ depth_m: i % 2 ? 0.4 : 0.6 })) });
		expect(sloping.depthSd_m).toBeCloseTo(0, 12);
		// each misses its neighbours’ mean by 0.2: 0.2² / (1 + ½² + ½²)
		expect(rough.depthSd_m).toBeCloseTo(0.2 / Math.sqrt(1.5), 12);
		expect(rough.expandedPercent!).toBeGreaterThan(sloping.expandedPercent!);
	});

	it('shares the variance out among the verticals', () => {
		const { varianceShares } = iveUncertainty({
			edges,
			verticals: even(7, (_, i) => (i === 3 ? { velocity_m_s: 0.9 } : {}))
		});
		expect(varianceShares!.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
		expect(Math.max(...varianceShares!)).toBe(varianceShares![3]);
	});

	it.each([
		['one vertical', 1],
		['two verticals', 2]
	])('of %s is not known', (_, n) => {
		expect(iveUncertainty({ edges, verticals: even(n) })).toMatchObject({
			verticalsUsed: 0,
			depthSd_m: null,
			velocitySd_m_s: null,
			relativeUncertainty: null,
			expandedPercent: null,
			varianceShares: null
		});
	});

	it('takes the program’s own fractions', () => {
		const own = iveUncertainty({ edges, verticals: even(9), systematicFraction: 0.03, widthFraction: 0 });
		expect(own.expandedPercent).toBeCloseTo(6, 9);
		expect(own.varianceShares).toBeNull(); // nothing left to share
		expect(() => iveUncertainty({ edges, verticals: even(9), systematicFraction: -0.1 })).toThrow(/systematicFraction/);
	});

	it('does not depend on the unit of length or time, nor on the side one starts from', () => {
		fc.assert(
			fc.property(fc.array(fc.integer({ min: 5, max: 90 }), { minLength: 4, maxLength: 15 }), (depths) => {
				const verticals = depths.map((d, i) => ({
					distance_m: i + 1,
					depth_m: d / 100,
					velocity_m_s: ((d * 7) % 50) / 100 + 0.1
				}));
				const bank = { startDistance_m: 0, endDistance_m: depths.length + 1 };
				const here = iveUncertainty({ edges: bank, verticals });
				const mirrored = iveUncertainty({
					edges: bank,
					verticals: verticals.map((v) => ({ ...v, distance_m: depths.length + 1 - v.distance_m }))
				});
				const scaled = iveUncertainty({
					edges: { startDistance_m: 0, endDistance_m: 10 * (depths.length + 1) },
					verticals: verticals.map((v) => ({
						distance_m: 10 * v.distance_m,
						depth_m: 10 * v.depth_m,
						velocity_m_s: 3 * v.velocity_m_s
					}))
				});
				expect(mirrored.expandedPercent).toBeCloseTo(here.expandedPercent!, 8);
				expect(scaled.expandedPercent).toBeCloseTo(here.expandedPercent!, 8);
			})
		);
	});
});

describe('the components of ISO 748', () => {
	const components = {
		systematicPercent: 1,
		widthPercent: 0.5,
		depthPercent: 0.5,
		calibrationPercent: 1,
		exposurePercent: 3
	};
	const pointed = (n: number, points = 1) => even(n).map((v) => ({ ...v, points }));

	it.each([
		[5, 7.5],
		[7, 6.3], // between 7.5 and 4.5
		[10, 4.5],
		[12, 3.9],
		[20, 2.5],
		[22, 2.3],
		[30, 1.5],
		[40, 1],
		[50, 1]
	])('with %i verticals have %f %% from their number', (n, percent) => {
		// ISO 748:2007, annex E
		expect(isoUncertainty({ edges, verticals: pointed(n), ...components }).verticalsPercent).toBeCloseTo(percent, 12);
	});

	it('add up in quadrature, panel by panel', () => {
		const n = 10;
		const got = isoUncertainty({ edges, verticals: pointed(n, 2), ...components });
		const { panels, discharge_m3_s } = midSectionDischarge({ edges, verticals: even(n) });
		const each = 0.5 ** 2 + 0.5 ** 2 + 3.5 ** 2 + (1 + 9) / 2;
		const scatter = panels.reduce((sum, p) => sum + (p.discharge_m3_s / discharge_m3_s) ** 2 * each, 0);
		expect(got.uncertaintyPercent).toBeCloseTo(Math.sqrt(4.5 ** 2 + 1 + scatter), 9);
		expect(got.expandedPercent).toBeCloseTo(2 * got.uncertaintyPercent!, 12);
	});

	it('are surer with more points in each vertical', () => {
		const at = (points: number) =>
			isoUncertainty({ edges, verticals: pointed(15, points), ...components }).uncertaintyPercent!;
		expect(at(5)).toBeLessThan(at(2));
		expect(at(2)).toBeLessThan(at(1));
		expect(at(3)).toBeLessThan(at(2)); // three points are taken as two, but their meter errors average out over three
	});

	it('are not known from four verticals, nor in standing water', () => {
		expect(isoUncertainty({ edges, verticals: pointed(4), ...components })).toMatchObject({
			verticalsPercent: null,
			uncertaintyPercent: null,
			expandedPercent: null
		});
		const still = pointed(6).map((v) => ({ ...v, velocity_m_s: 0 }));
		expect(isoUncertainty({ edges, verticals: still, ...components })).toMatchObject({
			verticalsPercent: 6.9,
			uncertaintyPercent: null
		});
	});

	it('refuse four points, and a component below 0', () => {
		expect(() => isoUncertainty({ edges, verticals: pointed(6, 4), ...components })).toThrow(/1, 2, 3 or 5: 4/);
		expect(() => isoUncertainty({ edges, verticals: pointed(6), ...components, depthPercent: -1 })).toThrow(
			/depthPercent/
		);
	});
});
