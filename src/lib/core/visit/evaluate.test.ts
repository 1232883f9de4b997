import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aLine } from '../../../../tests/a-line';
import { fold, type Entry } from '../logbook';
import { streamVisit } from '../method';
import { amount } from '../quantity';
import { flagSentence } from '../subjects/flags';
import { evaluate } from '.';
import { type Context } from '../subjects/context';

const start = Date.UTC(2026, 4, 14, 9);
const context: Context = {
	now_ms: start + 3_600_000,
	site: { elevation_m: 200, usual: {} },
	instruments: {
		'M-1': {
			code: 'M-1',
			measures: { 'dissolved-oxygen': { low: 0, high: 20, resolution: 0.1, accuracy: 0.2, calibrationDays: 2 } },
			calibratedAt: { 'dissolved-oxygen': '2026-05-14T07:00:00Z' }
		},
		'V-1': { code: 'V-1', measures: { velocity: { low: 0.03, high: 3, stall: 0.03 } }, calibratedAt: {} }
	}
};

/** A logbook from [minute, path, value] lines. */
function book(...lines: [number, string, unknown][]): Entry[] {
	return lines.map(([minute, path, value], i) => aLine(i + 1, start + minute * 60_000 + i, path, value));
}
const see = (entries: Entry[], more: Partial<Context> = {}) =>
	evaluate(fold(entries), streamVisit, { ...context, ...more });
const codes = (entries: Entry[], more: Partial<Context> = {}) => see(entries, more).flags.map((f) => f.code);
const result = (entries: Entry[], parameter: string) => see(entries).results.find((r) => r.parameter === parameter);

const section = (values: [number, number, number][]): [number, string, unknown][] => [
	[30, 'gaugings/main/edges/startDistance_m', 0],
	[50, 'gaugings/main/edges/endDistance_m', 4],
	...values.flatMap(([x, d, v], i): [number, string, unknown][] => [
		[31, `gaugings/main/verticals/v${i}/distance_m`, x],
		[31, `gaugings/main/verticals/v${i}/depth_m`, d],
		[31, `gaugings/main/verticals/v${i}/velocity_m_s`, v]
	])
];

describe('figures', () => {
	it('gives oxygen as a share of what this water can hold', () => {
		const entries = book(
			[1, 'readings/water-temperature/main', { value: 11.2, unit: 'degC' }],
			...['left', 'middle', 'right'].map((s, i): [number, string, unknown] => [
				2,
				`readings/dissolved-oxygen/${s}`,
				{ value: 9.8 + i / 10, unit: 'mg_L', instrument: 'M-1' }
			])
		);
		const saturation = result(entries, 'oxygen-saturation')!;
		// 10.97 mg/L at 11.2 °C and one atmosphere (Standard Methods table), × 98.95/101.325 at 200 m
		expect(amount(saturation.figure).number).toBeCloseTo((100 * 9.9) / (10.97 * (98.95 / 101.325)), 0);
		expect(result(entries, 'dissolved-oxygen')!.uncertainty).toBeGreaterThan(0.2);
	});

	it('brings conductivity to 25 °C, from degrees Fahrenheit too', () => {
		const at = (temperature: object) =>
			result(
				book(
					[1, 'readings/water-temperature/main', temperature],
					[2, 'readings/conductivity/main', { value: 200, unit: 'uS_cm' }]
				),
				'conductance25'
			)!;
		// Standard Methods 2510 B
		expect(amount(at({ value: 15, unit: 'degC' }).figure).number).toBeCloseTo(200 / (1 - 0.191), 6);
		expect(amount(at({ value: 59, unit: 'degF' }).figure).number).toBeCloseTo(200 / (1 - 0.191), 6);
	});

	it('carries “still visible when full” through to turbidity', () => {
		expect(
			result(book([1, 'readings/tube-depth/tube', { above: 120, unit: 'cm' }]), 'turbidity')!.figure
		).toMatchObject({ below: expect.closeTo(4.92, 1) });
		expect(result(book([1, 'readings/tube-depth/tube', { value: 3, unit: 'cm' }]), 'turbidity')!.figure).toHaveProperty(
			'above'
		);
	});

	it('gives a discharge only when both edges are known', () => {
		const verticals: [number, number, number][] = [
			[1, 0.2, 0.3],
			[2, 0.4, 0.5],
			[3, 0.3, 0.4]
		];
		expect(amount(result(book(...section(verticals)), 'discharge')!.figure).number).toBeCloseTo(0.38, 12);
		const open = book(...section(verticals).filter(([, path]) => !path.includes('endDistance')));
		expect(see(open).gaugings[0]).toMatchObject({ provisional: true, discharge_m3_s: expect.any(Number) });
		expect(result(open, 'discharge')).toBeUndefined();
		expect(codes(open)).toContain('edge-missing');
	});

	it('a mean of one reading below and one above a limit is not a figure', () => {
		const entries = book(
			[1, 'readings/dissolved-oxygen/left', { below: 1, unit: 'mg_L' }],
			[1, 'readings/dissolved-oxygen/right', { above: 20, unit: 'mg_L' }]
		);
		expect(result(entries, 'dissolved-oxygen')).toBeUndefined();
		expect(codes(entries)).toContain('open-both-ways');
	});
});

describe('doubts', () => {
	const oxygen = (value: number, minute = 2): [number, string, unknown] => [
		minute,
		'readings/dissolved-oxygen/left',
		{ value, unit: 'mg_L', instrument: 'M-1' }
	];

	it.each<[string, [number, string, unknown][], string, Partial<Context>]>([
		['a rare figure', [[1, 'readings/water-temperature/main', { value: 33, unit: 'degC' }]], 'implausible', {}],
		[
			'a figure unlike this site',
			[[1, 'readings/water-temperature/main', { value: 22, unit: 'degC' }]],
			'outside-history',
			{ site: { elevation_m: 200, usual: { 'water-temperature': { low: 1, high: 15, visits: 30 } } } }
		],
		[
			'replicates that lie apart',
			[oxygen(9), [2, 'readings/dissolved-oxygen/middle', { value: 10, unit: 'mg_L' }]],
			'replicates-apart',
			{}
		],
		['a probe calibrated long ago', [oxygen(9, 3 * 24 * 60)], 'calibration-old', {}],
		['a reading beyond the meter', [oxygen(24)], 'beyond-meter', {}],
		[
			'water before air',
			[
				[1, 'readings/water-temperature/main', { value: 9, unit: 'degC' }],
				[2, 'readings/air-temperature/shade', { value: 12, unit: 'degC' }]
			],
			'out-of-order',
			{}
		],
		[
			'a meter that stalls',
			[
				[29, 'gaugings/main/instrument', 'V-1'],
				...section([
					[1, 0.2, 0.3],
					[2, 0.4, 0.02],
					[3, 0.3, 0.4]
				])
			],
			'below-threshold-velocity',
			{}
		],
		[
			'two verticals at one place',
			section([
				[1, 0.2, 0.3],
				[1, 0.4, 0.2]
			]),
			'section-impossible',
			{}
		],
		[
			'deep and fast',
			[
				[1, 'arrival/depth_m', 0.4],
				[1, 'arrival/velocity_m_s', 0.5]
			],
			'over-wading-limit',
			{}
		],
		[
			'leaving unsampled',
			[
				[1, 'arrival/access', 'leave'],
				[1, 'arrival/reason', 'ice']
			],
			'not-sampled',
			{}
		],
		[
			'too much oxygen',
			[[1, 'readings/water-temperature/main', { value: 20, unit: 'degC' }], oxygen(15)],
			'supersaturated',
			{}
		]
	])('%s', (_, lines, code, more) => {
		const flags = see(book(...lines), more).flags;
		const flag = flags.find((f) => f.code === code);
		expect(flags.map((f) => f.code)).toContain(code);
		expect(flagSentence(flag!)).toMatch(/[.]$/);
		expect(flagSentence(flag!)).not.toMatch(/undefined|NaN|null/);
	});

	it('takes the calibration as it stood when the figure was read, not now', () => {
		expect(codes(book(oxygen(9)), { now_ms: start + 400 * 86_400_000 })).not.toContain('calibration-old');
	});

	it('says when a bottle was held too long, and runs its clock until it is at the lab', () => {
		const filled: [number, string, unknown][] = [
			[1, 'bottles/bacteria/kind', 'bacteria'],
			[1, 'bottles/bacteria/label', 'B1'],
			[1, 'bottles/bacteria/filledAt', '2026-05-14T09:00:00Z']
		];
		const { clocks, flags } = see(book(...filled));
		expect(clocks).toMatchObject([{ label: 'B1', last_ms: start + 6 * 3_600_000 }]);
		expect(flags.map((f) => f.code)).not.toContain('held-too-long');
		const late = see(book(...filled, [500, 'bottles/bacteria/atLabAt', '2026-05-14T15:30:00Z']));
		expect(late.clocks).toEqual([]);
		expect(late.flags.find((f) => f.code === 'held-too-long')).toMatchObject({ evidence: { held_h: 6.5, limit_h: 6 } });
	});
});

describe('what is next and what is missing', () => {
	it('begins at the beginning and says what leaving now would cost', () => {
		const { next, missing } = see([]);
		expect(next).toBe('arrive');
		expect(missing.map((m) => m.step)).toContain('bacteria-bottle');
		expect(missing.every((m) => m.cost.length > 10)).toBe(true);
	});

	it('asks for nothing more when the site was left, and for no section from the bank', () => {
		expect(
			see(book([1, 'arrival/access', 'leave']))
				.steps.filter((s) => s.state === 'open')
				.map((s) => s.id)
		).toEqual(['leave']);
		expect(see(book([1, 'arrival/access', 'bank'])).steps.find((s) => s.id === 'flow')?.state).toBe('not-required');
	});
});

describe('reviews', () => {
	const reading: [number, string, unknown] = [1, 'readings/air-temperature/shade', { value: 12, unit: 'degC' }];
	const verdict = (judged: string): [number, string, unknown] => [
		90,
		'reviews/air-temperature',
		{ verdict: 'accept', reason: '', judged }
	];

	it('hold while the figure stands', () => {
		expect(result(book(reading, verdict('12.0 °C')), 'air-temperature')).toMatchObject({
			status: 'accepted',
			review: { by: 'ada' }
		});
	});

	it('lapse when the figure changes afterwards', () => {
		const entries = book(reading, verdict('13.0 °C'));
		expect(result(entries, 'air-temperature')?.status).toBe('waiting');
		expect(codes(entries)).toContain('changed-since-review');
	});
});

describe('laws', () => {
	const anyLine = fc.oneof(
		fc.tuple(
			fc.nat(60),
			fc.constantFrom(
				'arrival/depth_m',
				'gaugings/main/edges/startDistance_m',
				'gaugings/main/edges/endDistance_m',
				'gaugings/main/verticals/a/distance_m',
				'gaugings/main/verticals/b/distance_m',
				'gaugings/main/verticals/b/depth_m',
				'gaugings/main/verticals/a/depth_m'
			),
			fc.integer({ min: 0, max: 9 })
		),
		fc.tuple(
			fc.nat(60),
			fc.constantFrom('gaugings/main/verticals/a/velocity_m_s', 'gaugings/main/verticals/b/velocity_m_s'),
			fc.double({ min: -2, max: 3, noNaN: true })
		),
		fc.tuple(
			fc.nat(60),
			fc.constantFrom('readings/water-temperature/main', 'readings/water-temperature/left'),
			fc.double({ min: -2, max: 45, noNaN: true }).map((value) => ({ value, unit: 'degC' }))
		),
		fc.tuple(
			fc.nat(60),
			fc.constantFrom('readings/dissolved-oxygen/left', 'readings/dissolved-oxygen/right'),
			fc
				.tuple(fc.constantFrom('value', 'below', 'above'), fc.double({ min: 0, max: 40, noNaN: true }))
				.map(([k, n]) => ({ [k]: n, unit: 'mg_L' }))
		),
		fc.tuple(
			fc.nat(60),
			fc.constant('readings/tube-depth/tube'),
			fc.double({ min: 0, max: 200, noNaN: true }).map((value) => ({ value, unit: 'cm' }))
		),
		fc.tuple(
			fc.nat(60),
			fc.constantFrom('gaugings/main/method', 'gaugings/two/method'),
			fc.constantFrom('verticals', 'float', 'flume', 'bucket')
		),
		fc.tuple(
			fc.nat(60),
			fc.constantFrom(
				'gaugings/two/floats/length_m',
				'gaugings/two/floats/runs/a/time_s',
				'gaugings/two/floats/areas/a/area_m2',
				'gaugings/two/fills/a/time_s',
				'gaugings/two/fills/a/volume_L',
				'gaugings/two/flume/head_m'
			),
			fc.integer({ min: 1, max: 9 })
		),
		fc.tuple(
			fc.nat(60),
			fc.constantFrom('plates/p/count', 'plates/q/count', 'titrations/t/drops', 'titrations/t/blankDrops'),
			fc.integer({ min: 0, max: 900 })
		),
		fc.tuple(
			fc.nat(60),
			fc.constantFrom('plates/p/volume_mL', 'plates/q/volume_mL', 'titrations/t/mgLPerDrop'),
			fc.constantFrom(0.2, 1, 5)
		),
		fc.tuple(
			fc.nat(60),
			fc.constantFrom('plates/p/state', 'plates/q/state'),
			fc.constantFrom('counted', 'tooMany', 'spoiled')
		),
		fc.tuple(
			fc.nat(60),
			fc.constantFrom(
				'plates/p/pouredAt',
				'plates/p/readAt',
				'bottles/b/filledAt',
				'gear/g/wetAt',
				'waits/w/startedAt'
			),
			fc.integer({ min: 0, max: 90 }).map((h) => new Date(start + h * 3_600_000).toISOString())
		),
		fc.tuple(fc.nat(60), fc.constant('plates/q/isBlank'), fc.boolean()),
		fc.tuple(
			fc.nat(60),
			fc.constantFrom('bottles/b/role', 'bottles/d/role'),
			fc.constantFrom('routine', 'duplicate', 'blank')
		),
		fc.tuple(
			fc.nat(60),
			fc.constantFrom('bottles/b/results/e-coli', 'bottles/d/results/e-coli'),
			fc.integer({ min: 0, max: 999 }).map((value) => ({ value, unit: 'cfu_100mL' }))
		),
		fc.tuple(fc.nat(60), fc.constant('bottles/d/duplicateOf'), fc.constantFrom('b', 'd', 'none'))
	);

	it('never throws on a sheet that can be, and gives no figure that is not a number', () => {
		fc.assert(
			fc.property(fc.array(anyLine, { maxLength: 25 }), (lines) => {
				const outcome = see(book(...(lines as [number, string, unknown][])));
				for (const r of outcome.results) {
					expect(Number.isFinite(amount(r.figure).number)).toBe(true);
					if (r.uncertainty !== null) expect(r.uncertainty).toBeGreaterThanOrEqual(0);
					if (r.working) expect(r.working.step.number).toBeCloseTo(amount(r.figure).number, 9);
				}
				expect(new Set(outcome.results.map((r) => r.parameter)).size).toBe(outcome.results.length);
				for (const flag of outcome.flags) expect(flagSentence(flag)).not.toMatch(/undefined|NaN/);
			})
		);
	});

	it('says the same whatever order the lines come in', () => {
		fc.assert(
			fc.property(fc.array(anyLine, { maxLength: 20 }), (lines) => {
				const entries = book(...(lines as [number, string, unknown][]));
				expect(see([...entries].reverse())).toEqual(see(entries));
			})
		);
	});
});

describe('a site with a wading limit of its own', () => {
	const at = (depth_m: number) => book([1, 'arrival/depth_m', depth_m], [1, 'arrival/velocity_m_s', 0.1]);
	const over = (depth_m: number, wadingDepth_m: number | null) =>
		see(at(depth_m), { site: { ...context.site, wadingDepth_m } }).flags.find((f) => f.code === 'over-wading-limit');

	it('goes before the card: deep and slow is over it', () => {
		expect(over(0.28, 0.25)?.evidence).toMatchObject({
			depth_m: 0.28,
			rule: { siteDepth_m: 0.25 }
		});
		expect(over(0.24, 0.25)).toBeUndefined();
		expect(over(0.28, null)).toBeUndefined();
	});
});
