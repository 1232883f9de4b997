import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	iveUncertainty,
	meanDepthDischarge,
	meanSectionDischarge,
	midSectionDischarge,
	nextBestVertical,
	type Vertical
} from '.';

const edges = { startDistance_m: 0, endDistance_m: 4 };
const three: Vertical[] = [
	{ distance_m: 1, depth_m: 0.2, velocity_m_s: 0.3 },
	{ distance_m: 2, depth_m: 0.4, velocity_m_s: 0.5 },
	{ distance_m: 3, depth_m: 0.3, velocity_m_s: 0.4 }
];

/** Sections as a crew might measure them: 1 to 25 verticals between two edges. */
const anySection = fc
	.array(
		fc.record({
			gap: fc.integer({ min: 1, max: 200 }),
			depth_m: fc.integer({ min: 0, max: 150 }),
			velocity_m_s: fc.integer({ min: -20, max: 200 })
		}),
		{
			minLength: 1,
			maxLength: 25
		}
	)
	.map((steps) => {
		let x = 0;
		const verticals = steps.map(({ gap, depth_m, velocity_m_s }) => ({
			distance_m: (x += gap) / 100,
			depth_m: depth_m / 100,
			velocity_m_s: velocity_m_s / 100
		}));
		return { edges: { startDistance_m: 0, endDistance_m: (x + 50) / 100 }, verticals };
	});

describe('mid-section', () => {
	it('adds panels from edge to edge', () => {
		// worked by hand: 1 m panels of 0.2×0.3, 0.4×0.5, 0.3×0.4
		expect(midSectionDischarge({ edges, verticals: three }).discharge_m3_s).toBeCloseTo(0.06 + 0.2 + 0.12, 12);
	});

	it('counts a steep bank by its depth and its share of the neighbour’s velocity', () => {
		const steep = { ...edges, startDepth_m: 0.2, startVelocityFraction: 0.5 };
		// the first half metre carries 0.5 × 0.2 × 0.15 more
		expect(midSectionDischarge({ edges: steep, verticals: three }).discharge_m3_s).toBeCloseTo(
			0.38 + 0.5 * 0.2 * 0.15,
			12
		);
	});

	it.each([
		['no vertical', { edges, verticals: [] }],
		['edges the wrong way round', { edges: { startDistance_m: 4, endDistance_m: 0 }, verticals: three }],
		['two verticals at one place', { edges, verticals: [three[0]!, three[0]!] }],
		['two verticals at one place further on', { edges, verticals: [three[0]!, three[2]!, three[2]!] }],
		['a vertical on the near bank', { edges, verticals: [{ ...three[0]!, distance_m: 0 }] }],
		['a stream of no width', { edges: { startDistance_m: 1, endDistance_m: 1 }, verticals: [] }],
		['a vertical on the bank', { edges, verticals: [{ ...three[0]!, distance_m: 4 }] }],
		['a depth that is missing', { edges, verticals: [{ ...three[0]!, depth_m: NaN }] }]
	])('refuses %s', (_, section) => {
		expect(() => midSectionDischarge(section)).toThrow(RangeError);
	});

	it('gives null for what a standing stream leaves undefined', () => {
		const still = three.map((v) => ({ ...v, velocity_m_s: 0 }));
		const gauging = midSectionDischarge({ edges, verticals: still });
		expect(gauging.discharge_m3_s).toBe(0);
		expect(gauging.panels.every((p) => p.percent === null)).toBe(true);
		expect(iveUncertainty({ edges, verticals: still }).expandedPercent).toBeNull();
	});
});

describe('laws', () => {
	it('the order in which verticals are given changes nothing', () => {
		fc.assert(
			fc.property(anySection, fc.integer(), (section, seed) => {
				const shuffled = [...section.verticals].sort(
					(a, b) => Math.sin(a.distance_m * seed) - Math.sin(b.distance_m * seed)
				);
				expect(midSectionDischarge({ ...section, verticals: shuffled })).toEqual(midSectionDischarge(section));
			})
		);
	});

	it('shares add up to the whole, and the input stays as it was', () => {
		fc.assert(
			fc.property(anySection, (section) => {
				const before = structuredClone(section);
				const { panels, discharge_m3_s } = midSectionDischarge(section);
				if (discharge_m3_s !== 0) expect(panels.reduce((sum, p) => sum + (p.percent ?? 0), 0)).toBeCloseTo(100, 6);
				expect(section).toEqual(before);
			})
		);
	});

	it('a vertical halfway along a straight bed and current changes nothing in the mean-section', () => {
		fc.assert(
			fc.property(anySection, fc.nat(), ({ edges: bank, verticals }, k) => {
				fc.pre(verticals.length > 1);
				const steady = verticals.map((v) => ({ ...v, velocity_m_s: 0.3 }));
				const [a, b] = [steady[k % (steady.length - 1)]!, steady[(k % (steady.length - 1)) + 1]!];
				const halfway = {
					distance_m: (a.distance_m + b.distance_m) / 2,
					depth_m: (a.depth_m + b.depth_m) / 2,
					velocity_m_s: 0.3
				};
				const with_ = meanSectionDischarge({ edges: bank, verticals: [...steady, halfway] }).discharge_m3_s;
				expect(with_).toBeCloseTo(meanSectionDischarge({ edges: bank, verticals: steady }).discharge_m3_s, 9);
			})
		);
	});

	it('the schools agree on a box', () => {
		const box = [1, 2, 3].map((distance_m) => ({ distance_m, depth_m: 0.5, velocity_m_s: 0.4 }));
		const walls = { ...edges, startDepth_m: 0.5, endDepth_m: 0.5, startVelocityFraction: 1, endVelocityFraction: 1 };
		const whole = 4 * 0.5 * 0.4;
		expect(midSectionDischarge({ edges: walls, verticals: box }).discharge_m3_s).toBeCloseTo(whole, 12);
		expect(meanSectionDischarge({ edges: walls, verticals: box }).discharge_m3_s).toBeCloseTo(whole, 12);
		expect(meanDepthDischarge({ edges: walls, verticals: box, depthDivisor: 'n' }).discharge_m3_s).toBeCloseTo(
			whole,
			12
		);
	});
});

describe('the next vertical', () => {
	const rough: Vertical[] = [0.5, 1, 1.5, 2.5, 3, 3.5].map((distance_m, i) => ({
		distance_m,
		depth_m: 0.3 + 0.05 * Math.sin(3 * i),
		velocity_m_s: 0.4 + 0.06 * Math.cos(2 * i)
	}));

	it('goes where the widest gap carries the most', () => {
		expect(nextBestVertical({ edges, verticals: rough })?.distance_m).toBe(2);
	});

	it('reckons by its short cut what the whole estimator gives with the spread held', () => {
		const next = nextBestVertical({ edges, verticals: rough })!;
		const { depthSd_m, velocitySd_m_s } = iveUncertainty({ edges, verticals: rough });
		const i = rough.findIndex((v) => v.distance_m > next.distance_m);
		const mean = (key: 'depth_m' | 'velocity_m_s') => (rough[i - 1]![key] + rough[i]![key]) / 2;
		const { discharge_m3_s, panels } = midSectionDischarge({
			edges,
			verticals: [
				...rough,
				{ distance_m: next.distance_m, depth_m: mean('depth_m'), velocity_m_s: mean('velocity_m_s') }
			]
		});
		const variance = panels
			.slice(1, -1)
			.reduce(
				(sum, p) =>
					sum +
					(p.discharge_m3_s * 0.005) ** 2 +
					(p.width_m * (p.discharge_m3_s / p.area_m2) * depthSd_m!) ** 2 +
					(p.area_m2 * velocitySd_m_s!) ** 2,
				0
			);
		expect(next.thenPercent).toBeCloseTo(200 * Math.sqrt(0.01 ** 2 + variance / discharge_m3_s ** 2), 9);
	});

	it('promises less uncertainty than there is, and is silent where it cannot know', () => {
		const next = nextBestVertical({ edges, verticals: rough })!;
		expect(next.thenPercent).toBeLessThan(next.nowPercent);
		expect(nextBestVertical({ edges, verticals: rough.slice(0, 2) })).toBeNull();
		// where each vertical is what its neighbours say, one more would not be worth wading out for
		const even = Array.from({ length: 39 }, (_, i) => ({ distance_m: (i + 1) / 10, depth_m: 0.4, velocity_m_s: 0.3 }));
		expect(nextBestVertical({ edges, verticals: even })).toBeNull();
		// and where nothing flows, no vertical is better than another
		expect(nextBestVertical({ edges, verticals: rough.map((v) => ({ ...v, velocity_m_s: 0 })) })).toBeNull();
	});
});
