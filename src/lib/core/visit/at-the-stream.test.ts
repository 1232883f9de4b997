import { describe, expect, it } from 'vitest';
import { aLine } from '../../../../tests/a-line';
import { flagSentence } from '../subjects/flags';
import { fold, whyRefused } from '../logbook';
import { fullVisit, streamVisit, type MethodCard } from '../method';
import { weightOf } from '../subjects/flags';
import { evaluate } from '.';
import { type Context } from '../subjects/context';

const start = Date.UTC(2026, 4, 14, 9);
const context: Context = {
	now_ms: start + 3_600_000,
	site: { code: 'TE3', elevation_m: 200, usual: {} },
	instruments: {}
};
const iso = (minutes: number) => new Date(start + minutes * 60_000).toISOString();
const opening = {
	siteId: '018f3b1c-0000-7000-8000-000000000001',
	cardVersionId: '018f3b1c-0000-7000-8000-000000000002',
	startedAt: iso(0)
};

/** A sheet of these lines, a second apart each. */
function see(lines: Record<string, unknown>, card: MethodCard = fullVisit, more: Partial<Context> = {}) {
	for (const [path, value] of Object.entries(lines)) expect(whyRefused(path, value), path).toBeNull();
	const entries = Object.entries({ opening, ...lines }).map(([path, value], i) =>
		aLine(i + 1, start + i * 1000, path, value)
	);
	return evaluate(fold(entries), card, { ...context, ...more });
}
const codesOf = (outcome: ReturnType<typeof see>) => outcome.flags.map((f) => f.code);
const sentenceOf = (outcome: ReturnType<typeof see>, code: string) => {
	const flag = outcome.flags.find((f) => f.code === code);
	return flag ? flagSentence(flag) : `no ${code} among ${codesOf(outcome).join(', ')}`;
};

describe('arriving', () => {
	const crew = { 'arrival/crew/IQ/initials': 'IQ' };
	it('alone is asked about, unless nobody stays', () => {
		expect(codesOf(see({ ...crew, 'arrival/access': 'bank' }))).toContain('alone');
		expect(codesOf(see({ ...crew, 'arrival/access': 'leave' }))).not.toContain('alone');
		expect(codesOf(see({ ...crew, 'arrival/crew/OT/initials': 'OT', 'arrival/access': 'bank' }))).not.toContain(
			'alone'
		);
	});
	it('and wading in spite of a danger is asked about, with the danger', () => {
		expect(
			sentenceOf(
				see({ 'arrival/access': 'wade', 'arrival/dangers/ice': true, 'arrival/dangers/storm': true }),
				'in-spite-of-danger'
			)
		).toContain('ice, thunder');
		expect(codesOf(see({ 'arrival/access': 'leave', 'arrival/dangers/ice': true }))).not.toContain(
			'in-spite-of-danger'
		);
	});
	it('takes the trial in feet', () => {
		const deep = {
			'arrival/depth_m': { value: 1.5, unit: 'ft' },
			'arrival/velocity_m_s': { value: 1.5, unit: 'ft_s' }
		};
		expect(sentenceOf(see(deep), 'over-wading-limit')).toMatch(/^0\.46 m deep at 0\.46 m\/s/);
	});
	it.each([
		[{ 'conditions/odour/sewage': true }, true],
		[{ 'conditions/growth/grey': true, 'conditions/colour': 'grey' }, true],
		[{ 'conditions/growth/grey': true }, false],
		[{ 'conditions/foam': 'soapy', 'conditions/colour': 'clear' }, false]
	])('%o speaks of sewage: %s', (signs, speaks) => {
		expect(codesOf(see(signs)).includes('sewage-signs')).toBe(speaks);
	});
});

describe('a bottle', () => {
	const b = (id: string, more: Record<string, unknown>) =>
		Object.fromEntries(Object.entries(more).map(([key, value]) => [`bottles/${id}/${key}`, value]));
	it.each<[string, Record<string, unknown>, string, RegExp]>([
		[
			'of another site',
			b('bacteria', { kind: 'bacteria', label: 'QU1-260514-B' }),
			'wrong-bottle',
			/labelled for site QU1, and this is TE3/
		],
		['of another day', b('bacteria', { kind: 'bacteria', label: 'TE3-260415-B' }), 'wrong-bottle', /2026-04-15/],
		[
			'for something else',
			b('bacteria', { kind: 'bacteria', label: 'TE3-260514-N' }),
			'wrong-bottle',
			/nutrients bottle/
		],
		[
			'that is sterile and was rinsed',
			b('bacteria', { kind: 'bacteria', rinses: 1 }),
			'sterile-rinsed',
			/Take another/
		],
		[
			'rinsed too little',
			b('nutrients', { kind: 'nutrients', rinses: 1 }),
			'rinsed-otherwise',
			/rinsed once; the card asks for 3 times/
		],
		[
			'without its acid',
			b('nutrients', { kind: 'nutrients', filledAt: iso(10) }),
			'not-preserved',
			/gloves and eye protection/
		],
		[
			'with something else than was asked for',
			b('nutrients', { kind: 'nutrients', preservedWith: 'nitric acid' }),
			'wrong-preservative',
			/take another bottle/
		],
		[
			'with acid though nothing is asked for',
			b('bacteria', { kind: 'bacteria', preservedWith: 'acid' }),
			'wrong-preservative',
			/asks for none/
		],
		[
			'that is a blank of stream water',
			b('bacteria-blank', { role: 'blank', water: 'stream' }),
			'blank-of-stream',
			/deionised/
		],
		[
			'that is a blank of who knows what',
			b('bacteria-blank', { role: 'blank', filledAt: iso(9) }),
			'blank-water-unsaid',
			/deionised/
		],
		[
			'on ice before it was filled',
			b('bacteria', { filledAt: iso(20), onIceAt: iso(10) }),
			'time-order',
			/the time on ice comes before the time of filling/
		]
	])('%s is noticed', (_, lines, code, words) => {
		expect(sentenceOf(see(lines), code)).toMatch(words);
	});
	it('with the label of another is noticed at both', () => {
		const twice = see({ ...b('bacteria', { label: 'TE3-260514-B' }), ...b('nutrients', { label: 'TE3-260514-B' }) });
		expect(codesOf(twice).filter((c) => c === 'label-twice')).toHaveLength(2);
	});
	it('as it should be raises no doubt', () => {
		const good = see({
			...b('bacteria', { kind: 'bacteria', label: 'TE3-260514-B', filledAt: iso(5), onIceAt: iso(8), rinses: 0 }),
			...b('nutrients', {
				kind: 'nutrients',
				label: 'TE3-260514-N',
				rinses: 3,
				filledAt: iso(9),
				preservedAt: iso(11),
				preservedWith: 'sulphuric acid',
				onIceAt: iso(12)
			})
		});
		expect(good.flags.filter((f) => f.path.startsWith('bottles'))).toEqual([]);
		expect(good.steps.filter((s) => s.id.endsWith('bottle')).map((s) => [s.id, s.state])).toEqual([
			['bacteria-bottle', 'done'],
			['fresh-bottle', 'open'],
			['nutrient-bottle', 'done']
		]);
	});
});

describe('tests by eye', () => {
	const colour = (dippedBefore_s: number) => ({
		// the colour is the third line after the opening
		'waits/nitrate/startedAt': new Date(start + 3000 - dippedBefore_s * 1000).toISOString(),
		'waits/nitrate/least_s': 60,
		'readings/nitrate/nitrate': { value: 2, unit: 'mg_L_N' }
	});
	it.each([
		[20, 'colour-early'],
		[70, null],
		[140, 'colour-late']
	])('a colour read %d s after the dip', (after_s, code) => {
		const doubts = codesOf(see(colour(after_s))).filter((c) => c.startsWith('colour'));
		expect(doubts).toEqual(code === null ? [] : [code]);
	});
	it('nitrite that stands out against nitrate says that a source is near', () => {
		const of = (nitrite: object, nitrate: object) =>
			codesOf(
				see({
					'readings/nitrite/nitrite': { unit: 'mg_L_N', ...nitrite },
					'readings/nitrate/nitrate': { unit: 'mg_L_N', ...nitrate }
				})
			);
		expect(of({ value: 0.3 }, { value: 2 })).toContain('fresh-source'); // 15 %
		expect(of({ value: 0.15 }, { value: 2 })).not.toContain('fresh-source');
		expect(of({ below: 0.15 }, { below: 1 })).not.toContain('fresh-source');
	});
	it('a disc read through polarised glasses is doubted, its two depths averaged', () => {
		const seen = see({
			'readings/disc-depth/down': { value: 1.4, unit: 'm' },
			'readings/disc-depth/up': { value: 1.2, unit: 'm' },
			'disc/spoilers/polarised': true
		});
		expect(seen.results.find((r) => r.parameter === 'disc-depth')!.figure).toMatchObject({
			value: expect.closeTo(1.3, 9) as number
		});
		expect(sentenceOf(seen, 'disc-spoiled')).toContain('polarised glasses');
	});
	it('a figure finer than its thermometer is asked about', () => {
		const instruments = {
			'T-1': { code: 'T-1', measures: { 'air-temperature': { low: -10, high: 50, resolution: 0.5 } }, calibratedAt: {} }
		};
		const read = (value: number, unit = 'degC') =>
			codesOf(
				see({ 'readings/air-temperature/shade': { value, unit, instrument: 'T-1' } }, streamVisit, { instruments })
			);
		expect(read(14.3)).toContain('finer-than-instrument');
		expect(read(14.5)).not.toContain('finer-than-instrument');
		const below = { 'readings/air-temperature/shade': { below: 0.3, unit: 'degC', instrument: 'T-1' } };
		expect(codesOf(see(below, streamVisit, { instruments }))).not.toContain('finer-than-instrument');
		expect(read(58.1, 'degF')).not.toContain('finer-than-instrument');
	});
});

describe('oxygen by titration', () => {
	const bottle = (id: string, more: Record<string, unknown>) =>
		Object.fromEntries(Object.entries({ mgLPerDrop: 0.2, ...more }).map(([k, v]) => [`titrations/${id}/${k}`, v]));
	it('is the mean of the bottles; two that lie apart are asked about', () => {
		const seen = see({ ...bottle('first', { drops: 45 }), ...bottle('second', { drops: 49 }) });
		expect(seen.results.find((r) => r.parameter === 'dissolved-oxygen')!.figure).toMatchObject({
			value: expect.closeTo(9.3, 9) as number
		});
		expect(sentenceOf(seen, 'titrations-apart')).toContain('8.9 mg/L and 9.7 mg/L');
		expect(codesOf(see({ ...bottle('first', { drops: 45 }), ...bottle('second', { drops: 47 }) }))).not.toContain(
			'titrations-apart'
		);
	});
	it('gives nothing from a bottle with a bubble', () => {
		const seen = see(bottle('first', { drops: 45, hasBubble: true }));
		expect(seen.results).toEqual([]);
		expect(weightOf(seen.flags.find((f) => f.code === 'titration-bubble')!)).toBe('spoils');
	});
	it('runs a clock from fixing until it is titrated, and doubts acid that came too soon', () => {
		const fixed = see(bottle('first', { fixedAt: iso(55) }));
		expect(fixed.clocks).toMatchObject([
			{ id: 'titrations/first', kind: 'fixed', due_ms: start + 57 * 60_000, last_ms: start + (55 + 480) * 60_000 }
		]);
		expect(see({ ...bottle('first', { fixedAt: iso(55), drops: 40 }) }).clocks).toEqual([]);
		expect(sentenceOf(see(bottle('first', { fixedAt: iso(55), acidAt: iso(56) })), 'floc-unsettled')).toContain('60 s');
	});
});

describe('flow', () => {
	const main = (more: Record<string, unknown>, id = 'main') =>
		Object.fromEntries(Object.entries(more).map(([k, v]) => [`gaugings/${id}/${k}`, v]));
	const edges = { 'edges/startDistance_m': 0, 'edges/endDistance_m': 4 };
	const vertical = (n: number, depth: number, more: Record<string, unknown>) =>
		Object.fromEntries(
			Object.entries({ distance_m: n, depth_m: depth, ...more }).map(([k, v]) => [`verticals/v${n}/${k}`, v])
		);
	const flowOf = (lines: Record<string, unknown>, card?: MethodCard) => {
		const found = see(lines, card).results.find((r) => r.parameter === 'discharge')?.figure;
		return found && 'value' in found ? found.value : null;
	};

	it('by two and three points is that of the means of each vertical', () => {
		const points = main({
			...edges,
			...vertical(1, 0.4, { velocity02_m_s: 0.5, velocity08_m_s: 0.3 }),
			...vertical(2, 0.5, { velocity02_m_s: 0.6, velocity06_m_s: 0.5, velocity08_m_s: 0.3 }),
			...vertical(3, 0.3, { velocity_m_s: 0.2 })
		});
		// (0.5+0.3)/2 = 0.4; (0.6+2×0.5+0.3)/4 = 0.475; mid-section with panels of 1 m
		expect(flowOf(points)).toBeCloseTo(0.4 * 0.4 + 0.5 * 0.475 + 0.3 * 0.2, 9);
	});
	it('changed on the spot to raising the meter, counts only what was read so', () => {
		const three = (n: number, depth: number) =>
			vertical(n, depth, { velocity02_m_s: 0.6, velocity06_m_s: 0.5, velocity08_m_s: 0.3 });
		const before = { ...edges, school: 'three-point', ...three(1, 0.4), ...three(2, 0.5), ...three(3, 0.3) };
		expect(flowOf(main(before))).toBeCloseTo(1.2 * 0.475, 9);
		const raised = { ...before, school: 'raise' };
		expect(flowOf(main(raised))).toBeNull();
		expect(codesOf(see(main(raised)))).toContain('vertical-incomplete');
		for (const n of [1, 2, 3]) Object.assign(raised, { [`verticals/v${n}/velocity_m_s`]: 1.5 });
		expect(flowOf(main(raised))).toBeCloseTo(1.2 * 1.5, 9);
		// what was read before stays readable, as of the other way
		expect(flowOf(main({ ...raised, school: 'three-point' }))).toBeCloseTo(1.2 * 0.475, 9);
	});
	it('on a card that raises the meter, read at one point instead, does not take the old mean for it', () => {
		const raising: MethodCard = {
			...fullVisit,
			steps: fullVisit.steps.map((s) => (s.tool === 'flow' ? { ...s, school: 'raise' } : s))
		};
		const raised = { ...edges, ...vertical(1, 0.4, { velocity_m_s: 1.5 }), ...vertical(2, 0.5, { velocity_m_s: 1.5 }) };
		expect(flowOf(main(raised), raising)).toBeCloseTo(1.5 * (0.4 + 1.5 * 0.5), 9);
		expect(flowOf(main({ ...raised, school: 'one-point' }), raising)).toBeNull();
	});
	it('of which the lower point is the faster is asked about, by that vertical', () => {
		const turned = see(main({ ...edges, ...vertical(1, 0.4, { velocity02_m_s: 0.3, velocity08_m_s: 0.5 }) }));
		expect(turned.flags.find((f) => f.code === 'speeds-turned')).toMatchObject({ path: 'gaugings/main/verticals/v1' });
	});
	it('waits for the second point of a vertical', () => {
		const half = see(main({ ...edges, ...vertical(1, 0.4, { velocity02_m_s: 0.5 }) }));
		expect(sentenceOf(half, 'vertical-incomplete')).toContain('no velocity yet');
	});
	it('by one sweep takes one velocity for all verticals', () => {
		const swept = main({
			method: 'sweep',
			sweepVelocity_m_s: 0.25,
			...edges,
			...vertical(1, 0.4, {}),
			...vertical(2, 0.5, {}),
			...vertical(3, 0.3, {})
		});
		expect(flowOf(swept)).toBeCloseTo(0.25 * 1.2, 9);
	});
	it('by another arithmetic is that one’s', () => {
		const lines = {
			...edges,
			...vertical(1, 0.4, { velocity_m_s: 0.4 }),
			...vertical(2, 0.5, { velocity_m_s: 0.5 }),
			...vertical(3, 0.3, { velocity_m_s: 0.2 })
		};
		// mean-section: areas 0.2, 0.45, 0.4, 0.15 with mean velocities 0.2, 0.45, 0.35, 0.1
		expect(flowOf(main({ ...lines, arithmetic: 'mean-section' }))).toBeCloseTo(0.04 + 0.2025 + 0.14 + 0.015, 9);
		expect(
			sentenceOf(see(main({ ...lines, arithmetic: 'mean-section', because: 'as every year' })), 'another-way')
		).toBe('Gauged by mean-section, where the card asks for mid-section: as every year.');
	});
	it('by floats takes the coefficient and the averaging that were chosen', () => {
		const floats = {
			method: 'float',
			'floats/length_m': 10,
			'floats/runs/a/time_s': 20,
			'floats/runs/b/time_s': 25,
			'floats/areas/a/area_m2': 1.2,
			'floats/depth_m': 0.3
		};
		// between 0.66 at 0.3 m and 0.68 at 0.6 m of depth
		expect(flowOf(main(floats))).toBeCloseTo((10 / 22.5) * 0.66 * 1.2, 9);
		const depthless = Object.fromEntries(Object.entries(floats).filter(([place]) => place !== 'floats/depth_m'));
		expect(flowOf(main(depthless))).toBeNull();
		expect(flowOf(main({ ...floats, 'floats/coefficient': 0.8, 'floats/averaging': 'velocities' }))).toBeCloseTo(
			((0.5 + 0.4) / 2) * 0.8 * 1.2,
			9
		);
	});
	it('by floats works the area out from the width and three depths at a mark, and the coefficient from their mean', () => {
		const floats = {
			method: 'float',
			'floats/length_m': 10,
			'floats/runs/a/time_s': 20,
			'floats/areas/upper/width_m': 4,
			'floats/areas/upper/depths/1/depth_m': 0.2,
			'floats/areas/upper/depths/2/depth_m': 0.4
		};
		expect(flowOf(main(floats))).toBeNull(); // a depth is missing
		const whole = { ...floats, 'floats/areas/upper/depths/3/depth_m': { value: 20, unit: 'cm' } };
		// a metre apart, the edges dry: 0.1 + 0.3 + 0.3 + 0.1 m²; mean depth 0.2 m, where 0.66 holds as at 0.3 m
		expect(flowOf(main(whole))).toBeCloseTo((10 / 20) * 0.66 * 0.8, 9);
		expect(flowOf(main({ ...whole, 'floats/areas/upper/area_m2': 1 }))).toBeCloseTo((10 / 20) * 0.66 * 1, 9);
	});
	it('through a flume that leans, or whose tail nobody read, is doubted', () => {
		const rated = {
			...fullVisit,
			limits: {
				flume: { coefficient: 0.9, exponent: 1.55, submergenceLimit: 0.5, minimumHead_m: 0.03, maximumHead_m: 0.3 }
			}
		};
		const flume = see(main({ method: 'flume', 'flume/head_m': 0.2, 'flume/isLevelAcross': false }), rated);
		expect(codesOf(flume)).toEqual(expect.arrayContaining(['flume-not-level', 'flume-unread-tail']));
		expect(
			flowOf(main({ method: 'flume', 'flume/head_m': { value: 20, unit: 'cm' }, 'flume/tailDepth_m': 0.05 }), rated)
		).toBeCloseTo(0.9 * 0.2 ** 1.55, 9);
	});
	it('is gauged as the card asks where nobody chose otherwise', () => {
		const asking = (more: object): MethodCard => ({
			...fullVisit,
			steps: fullVisit.steps.map((s) => (s.tool === 'flow' ? { ...s, ...more } : s))
		});
		const floats = main({
			'floats/length_m': 10,
			'floats/runs/a/time_s': 20,
			'floats/areas/a/area_m2': 1,
			'floats/coefficient': 0.85
		});
		expect(flowOf(floats, asking({ method: 'float' }))).toBeCloseTo(0.5 * 0.85, 9);
		expect(flowOf(floats)).toBeNull();
		const swept = main({ sweepVelocity_m_s: 0.25, ...edges, ...vertical(1, 0.4, {}), ...vertical(2, 0.5, {}) });
		expect(flowOf(swept, asking({ method: 'sweep' }))).toBeCloseTo(0.25 * (1 * 0.4 + 1.5 * 0.5), 9);
		expect(codesOf(see(floats, asking({ method: 'float' })))).not.toContain('another-way');
		expect(sentenceOf(see(main({ method: 'verticals' }), asking({ method: 'float' })), 'another-way')).toContain(
			'where the card asks for floats'
		);
	});
	it('is that of the first gauging, by whichever way it was done', () => {
		const floats = main({
			method: 'float',
			'floats/length_m': 10,
			'floats/runs/a/time_s': 20,
			'floats/areas/a/area_m2': 1,
			'floats/coefficient': 0.85
		});
		const again = main(
			{
				...edges,
				...vertical(1, 0.4, { velocity_m_s: 0.4 }),
				...vertical(2, 0.5, { velocity_m_s: 0.5 }),
				...vertical(3, 0.3, { velocity_m_s: 0.2 })
			},
			'repeat'
		);
		expect(flowOf({ ...floats, ...again })).toBeCloseTo(0.5 * 0.85, 9);
		expect(see({ ...floats, ...again }).flows.map((f) => f.id)).toEqual(['main', 'repeat']);
		expect(flowOf(again)).toBeCloseTo(0.47, 9); // where the first gave none, what was gauged again is the flow
	});
	it('measured twice is compared; a tape that hangs through is noticed', () => {
		const fill = (L: number) => ({ method: 'bucket', 'fills/a/volume_L': L, 'fills/a/time_s': 5 });
		const twice = see({ ...main(fill(10)), ...main(fill(12), 'repeat') });
		expect(sentenceOf(twice, 'gaugings-apart')).toContain('0.00200 m³/s and 0.00240 m³/s, lie 18 % apart');
		expect(codesOf(see({ ...main(fill(10)), ...main(fill(10.5), 'repeat') }))).not.toContain('gaugings-apart');
		const sag = (m: number) =>
			codesOf(see(main({ ...edges, tapeSag_m: m, ...vertical(1, 0.4, { velocity_m_s: 0.4 }) })));
		expect(sag(0.3)).toContain('tape-sags'); // 8/3 × 0.075² = 1.5 %
		expect(sag(0.2)).not.toContain('tape-sags');
	});
});

it('a sheet from paper that one person typed asks for the second', () => {
	const paper = (copies: Record<string, unknown>) =>
		codesOf(see({ opening: { ...opening, isOnPaper: true }, ...copies }));
	expect(paper({ 'copies/IQ/doneAt': iso(100) })).toContain('typed-once');
	expect(paper({ 'copies/IQ/doneAt': iso(100), 'copies/OT/doneAt': iso(120) })).not.toContain('typed-once');
});

it('a form is done when every question has an answer, and says how far it is', () => {
	const state = (lines: Record<string, unknown>) => see(lines).steps.find((s) => s.id === 'habitat')!;
	expect(state({ 'habitat/bed': 'cobbles', 'habitat/hiding/wood': true })).toMatchObject({
		state: 'open',
		progress: '2 of 11'
	});
});

describe('a sheet from paper', () => {
	const outOfTurn = {
		'readings/water-temperature/main': { value: 11.2, unit: 'degC' },
		'readings/air-temperature/main': { value: 14.5, unit: 'degC' }
	};
	it('is typed in any order: that says nothing of how it was done at the stream', () => {
		expect(codesOf(see(outOfTurn))).toContain('out-of-order');
		expect(codesOf(see({ opening: { ...opening, isOnPaper: true }, ...outOfTurn }))).not.toContain('out-of-order');
	});
});
