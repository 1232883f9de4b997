import { describe, expect, it } from 'vitest';
import type { GaugingView } from '$lib/core/subjects/gauging/view';
import { streamVisit } from '$lib/core/method';
import { sectionUnits, type SectionUnits } from '$lib/core/subjects/gauging/units';
import { sayAdvice } from './advice';
import { inColumn, sayAsRead } from './as-read';
import { FlowEntry } from './flow-entry.svelte';
import { drawSection } from './section-drawing';

const wanted = { least: 4, enough_percent: 8, shareLimit_percent: 30 };
const view = (n: number, more: Partial<GaugingView> = {}): GaugingView => ({
	id: 'main',
	arithmetic: 'mid-section',
	verticals: Array.from({ length: n }, (_, i) => ({
		id: `v${i}`,
		distance_m: i + 1,
		depth_m: 0.3,
		velocity_m_s: 0.4,
		share_percent: 100 / n
	})),
	start: { distance_m: 0, depth_m: 0 },
	end: { distance_m: n + 1, depth_m: 0 },
	provisional: false,
	width_m: n + 1,
	area_m2: 1,
	discharge_m3_s: 0.3,
	meanVelocity_m_s: 0.3,
	uncertainty: {
		discharge_m3_s: 0.3,
		verticalsUsed: n - 2,
		depthSd_m: 0.01,
		velocitySd_m_s: 0.01,
		relativeUncertainty: 0.05,
		expandedPercent: 10,
		varianceShares: null
	},
	byTable_percent: 9,
	expanded_percent: 10,
	next: { distance_m: 1.5, nowPercent: 10, thenPercent: 7.5 },
	working: null,
	arithmetics: [],
	...more
});

describe('the advice at a gauging', () => {
	it.each<[string, GaugingView | null, RegExp]>([
		['nothing typed', null, /^Start at the edge/],
		['two verticals', view(2), /^Go on across/],
		['enough verticals, no far edge', view(5, { end: null }), /^Note the far edge/],
		['unsure', view(5), /^Best next: a vertical at 1\.5 m/],
		['sure', view(5, { expanded_percent: 6 }), /^That is enough/]
	])('%s', (_, now, first) => {
		expect(sayAdvice(now, wanted).first).toMatch(first);
	});
});

describe('what is typed into a gauging', () => {
	const metric: SectionUnits = { tape: 'm', velocity: 'm_s', area: 'm2', discharge: 'm3_s' };
	function entry(units = metric) {
		let n = 0;
		return new FlowEntry(
			'main',
			'one-point',
			() => `new${n++}`,
			units,
			() => {}
		);
	}

	it('has a next row before anything is typed into it, and another once it is chosen', () => {
		const typing = entry();
		const { fresh } = typing;
		typing.choose({ row: fresh, field: 'distance_m' });
		expect(typing.fresh).not.toBe(fresh);
		expect(typing.cell.row).toBe(fresh);
	});

	it('goes on at the depth where the spacing says where the next vertical stands, until the far edge', () => {
		const typing = entry();
		typing.choose({ row: 'v1', field: 'velocity06_m_s' });
		typing.spacing = 0.5;
		typing.advance({ last: 0.5, end: 1.5 });
		expect(typing.cell.field).toBe('depth_m');
		expect(typing.plannedAt(typing.cell.row)).toBe(1);
		typing.choose({ row: typing.cell.row, field: 'velocity06_m_s' });
		typing.advance({ last: 1, end: 1.5 });
		expect(typing.cell.field).toBe('distance_m'); // the next would stand on the edge
		expect(typing.plannedAt(typing.cell.row)).toBeNull();
	});

	it('is in centimetres where that is liked: no point, and kept as it was read', () => {
		const typing = entry();
		typing.inHundredths = true;
		typing.choose({ row: 'v1', field: 'depth_m' });
		typing.type('34');
		expect(typing.hasPoint).toBe(false);
		expect(typing.take()).toEqual({ value: 34, unit: 'cm' });
		typing.choose({ row: 'v1', field: 'velocity06_m_s' });
		typing.type('25');
		expect(typing.take()).toEqual({ value: 25, unit: 'cm_s' });
		typing.choose({ row: 'v1', field: 'distance_m' });
		expect(typing.hasPoint).toBe(true);
		const feet = entry({ tape: 'ft', velocity: 'ft_s', area: 'ft2', discharge: 'ft3_s' });
		feet.inHundredths = true;
		expect([feet.unitOf('depth_m'), feet.unitOf('velocity06_m_s')]).toEqual(['ft', 'ft_s']);
	});
});

describe('the drawing of a section', () => {
	it('keeps every vertical inside and names its exaggeration', () => {
		const drawing = drawSection(view(6), 340, 200)!;
		expect(drawing.strips).toHaveLength(6);
		for (const strip of drawing.strips) {
			expect(strip.x).toBeGreaterThan(drawing.left);
			expect(strip.x).toBeLessThan(drawing.right);
			expect(strip.bedY).toBeLessThan(200);
		}
		expect(drawing.exaggeration).toBeGreaterThan(1);
	});

	it('draws what is only half typed, and nothing where there is nothing', () => {
		const half = view(2, {
			start: null,
			end: null,
			verticals: [{ id: 'a', distance_m: 1, depth_m: 0.3, velocity_m_s: null, share_percent: null }]
		});
		expect(drawSection(half, 340, 200)?.strips[0]?.speed).toBeNull();
		expect(JSON.stringify(drawSection(half, 340, 200))).not.toMatch(/NaN/);
		expect(drawSection(view(0), 340, 200)).toBeNull();
	});

	it('writes a depth only where it has room beside the one before', () => {
		const labelled = (n: number) => drawSection(view(n), 340, 200)!.strips.filter((s) => s.labelled);
		expect(labelled(5)).toHaveLength(5);
		for (const n of [20, 40]) {
			const xs = labelled(n).map((s) => s.x);
			expect(xs.length).toBeGreaterThan(4);
			for (let i = 1; i < xs.length; i++) expect(xs[i]! - xs[i - 1]!).toBeGreaterThanOrEqual(34);
		}
	});
	it('leads from a place of the picture back to the section', () => {
		const drawing = drawSection(view(3), 340, 200)!;
		expect(drawing.distanceAt(drawing.X(2))).toBeCloseTo(2, 9);
		expect(drawing.depthAt(drawing.strips[1]!.bedY)).toBeCloseTo(0.3, 9);
		expect(drawing.depthAt(0)).toBe(0); // above the water there is no depth
	});
});

describe('typing a section', () => {
	const metric = sectionUnits(streamVisit);
	const feet: SectionUnits = { tape: 'ft', velocity: 'ft_s', area: 'ft2', discharge: 'ft3_s' };
	const entry = (units = metric, school: ConstructorParameters<typeof FlowEntry>[1] = 'one-point') =>
		new FlowEntry(
			'main',
			school,
			() => 'new',
			units,
			() => undefined
		);

	it('goes from the edge to a vertical’s distance, depth, velocity, and on to the next', () => {
		const typing = entry();
		typing.begin(null, () => false);
		expect(typing.path()).toBe('gaugings/main/edges/startDistance_m');
		const path = ['0.4', '0.8', '0,12', '0.14'].map((text) => {
			typing.type(text);
			expect(typing.take()).toBe(Number(text.replace(',', '.')));
			typing.advance();
			return typing.path();
		});
		expect(path).toEqual(
			['distance_m', 'depth_m', 'velocity06_m_s', 'distance_m'].map((field) => `gaugings/main/verticals/new/${field}`)
		);
	});

	it.each([
		['two-point', ['velocity02_m_s', 'velocity08_m_s']],
		['three-point', ['velocity02_m_s', 'velocity06_m_s', 'velocity08_m_s']],
		['sweep', []],
		['raise', ['velocity_m_s']]
	] as const)('by %s asks for its points in turn', (school, velocities) => {
		const typing = entry(metric, school);
		typing.choose({ row: 'v1', field: 'depth_m' });
		const asked = [...velocities, 'distance_m'].map(() => {
			typing.advance();
			return typing.path().split('/').at(-1);
		});
		expect(asked).toEqual([...velocities, 'distance_m']);
	});

	it('asks for the point that a vertical still lacks', () => {
		const typing = entry(metric, 'two-point');
		const half = view(2, {
			verticals: [{ id: 'a', distance_m: 1, depth_m: 0.3, velocity_m_s: null, share_percent: null }]
		});
		typing.begin(half, (_, field) => field !== 'velocity08_m_s');
		expect(typing.path()).toBe('gaugings/main/verticals/a/velocity08_m_s');
	});

	it('refuses what cannot be, asks about what is rare, and takes it the second time', () => {
		const typing = entry();
		typing.choose({ row: 'v1', field: 'depth_m' });
		typing.type('12');
		expect(typing.take()).toBeNull();
		expect(typing.said).toMatch(/not possible/);
		typing.type('3.1');
		expect(typing.take()).toBeNull();
		expect(typing.said).toMatch(/Is the unit right/);
		expect(typing.take()).toBe(3.1);
	});

	it('takes up where a gauging was left', () => {
		const typing = entry();
		typing.begin(
			view(2, { verticals: [{ id: 'a', distance_m: 1, depth_m: 0.3, velocity_m_s: null, share_percent: null }] }),
			(_, field) => field !== 'velocity06_m_s'
		);
		expect(typing.path()).toBe('gaugings/main/verticals/a/velocity06_m_s');
	});

	it('asks in feet where the card does, keeps the figure as it was read, and judges it in its own unit', () => {
		const steps = streamVisit.steps.map((s) =>
			s.tool === 'flow' ? { ...s, tapeUnit: 'ft' as const, velocityUnit: 'ft_s' as const } : s
		);
		expect(sectionUnits({ steps, shown: { discharge: 'ft3_s' } })).toEqual(feet);
		const typing = entry(feet);
		typing.choose({ row: 'v1', field: 'depth_m' });
		typing.type('3.1'); // rare in metres, ordinary in feet
		expect(typing.take()).toEqual({ value: 3.1, unit: 'ft' });
		typing.type('12');
		expect(typing.take()).toBeNull();
		expect(typing.said).toMatch(/12 ft is rarely waded/);
		typing.choose({ row: 'v1', field: 'velocity_m_s' });
		typing.type('1.2');
		expect(typing.take()).toEqual({ value: 1.2, unit: 'ft_s' });
	});

	it('shows a figure as read, and says its unit where the column has another', () => {
		expect([
			sayAsRead({ value: 1.5, unit: 'ft' }, 'ft'),
			sayAsRead({ value: 1.5, unit: 'ft' }, 'm'),
			sayAsRead(0.4, 'm'),
			sayAsRead(0.4, 'ft_s')
		]).toEqual(['1.5', '1.5 ft', '0.4', '0.4 m/s']);
		expect([inColumn(0.3048, 'ft'), inColumn(0.3048, 'm'), inColumn(-0.3048, 'ft_s')]).toEqual(['1', '0.305', '−1']);
		const advice = sayAdvice(view(5), wanted, 'ft');
		expect(advice.first).toBe('Best next: a vertical at 4.921 ft.');
		expect(drawSection(view(3), 340, 200, 'ft')!.strips[0]!.depth).toBe('1.0');
		expect(drawSection(view(3), 340, 200, 'ft')!.ticks.map((t) => t.text)).toContain('10');
	});

	it('shows what another tab is typing until a hand types here, and lets it go once it is kept there', () => {
		const typing = entry();
		typing.choose({ row: 'v1', field: 'depth_m' });
		typing.resume({ 'gaugings/main/verticals/v1/depth_m': '0.' });
		expect(typing.text).toBe('0.');
		typing.resume({});
		expect(typing.text).toBe('');
		typing.type('0.3');
		typing.resume({ 'gaugings/main/verticals/v1/depth_m': '0' });
		expect(typing.text).toBe('0.3');
	});

	it('a draft that the disk still shows after the figure was kept does not come back into the cell', () => {
		const typing = entry();
		const old = { 'gaugings/main/verticals/v1/depth_m': '0.28' };
		typing.choose({ row: 'v1', field: 'depth_m' });
		typing.type('0.28');
		expect(typing.take()).toBe(0.28);
		typing.advance();
		typing.choose({ row: 'v1', field: 'depth_m' });
		typing.resume(old); // the disk is a moment behind the hand
		expect(typing.text).toBe('');
	});

	it('what is half typed in a cell is there when the hand comes back to it, and after the disk would not take it', () => {
		const typing = entry();
		typing.choose({ row: 'v1', field: 'depth_m' });
		typing.type('0.2');
		typing.choose({ row: 'v2', field: 'depth_m' });
		expect(typing.text).toBe('');
		typing.choose({ row: 'v1', field: 'depth_m' });
		expect(typing.text).toBe('0.2');
		typing.advance();
		typing.back({ row: 'v1', field: 'depth_m' }, '0.2', 'no room on the disk');
		expect([typing.text, typing.said]).toEqual(['0.2', 'no room on the disk']);
	});
});
