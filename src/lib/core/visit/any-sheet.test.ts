import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aLine } from '../../../../tests/a-line';
import { sayPlace } from '../interpret';
import { flagSentence } from '../subjects/flags';
import { fold, whyRefused } from '../logbook';
import { forms } from '../observations';
import { fullVisit, orderSteps, shippedCards, type MethodCard } from '../method';
import { evaluate } from '.';
import { type Context } from '../subjects/context';

const start = Date.UTC(2026, 4, 14, 9);
const opening = {
	siteId: '018f3b1c-0000-7000-8000-000000000001',
	cardVersionId: '018f3b1c-0000-7000-8000-000000000002',
	startedAt: new Date(start).toISOString()
};
const instruments: Context['instruments'] = {
	M: {
		code: 'M',
		measures: {
			'dissolved-oxygen': { low: 0, high: 20, resolution: 0.1, accuracy: 0.2, calibrationDays: 2 },
			conductivity: { low: 0, high: 900 }
		},
		calibratedAt: {}
	},
	V: { code: 'V', measures: { velocity: { low: 0.03, high: 1, stall: 0.05 } }, calibratedAt: {} }
};

const instant = fc.integer({ min: -600, max: 3000 }).map((minutes) => new Date(start + minutes * 60_000).toISOString());
const flag = fc.boolean();
const length = (most: number) =>
	fc.oneof(
		fc.double({ min: 0, max: most, noNaN: true }),
		fc.record({ value: fc.double({ min: 0, max: most, noNaN: true }), unit: fc.constantFrom('m', 'ft', 'cm') })
	);
const speed = fc.oneof(
	fc.double({ min: -1, max: 4, noNaN: true }),
	fc.record({ value: fc.double({ min: -1, max: 6, noNaN: true }), unit: fc.constant('ft_s') })
);
const limited = (unit: string, most: number) =>
	fc.oneof(
		fc.record(
			{
				value: fc.double({ min: 0, max: most, noNaN: true }),
				unit: fc.constant(unit),
				instrument: fc.constantFrom('M', 'gone')
			},
			{ requiredKeys: ['value', 'unit'] }
		),
		fc.record({ below: fc.double({ min: 0, max: most, noNaN: true }), unit: fc.constant(unit) }),
		fc.record({ above: fc.double({ min: 0, max: most, noNaN: true }), unit: fc.constant(unit) })
	);
const vertical = fc.constantFrom('a', 'b', 'c', 'd');
const gauging = fc.constantFrom('main', 'repeat');
const bottle = fc.constantFrom('bacteria', 'bacteria-duplicate', 'bacteria-blank', 'nutrients');

/** A line that the sheet can take: its place, and something that may stand there. */
const line: fc.Arbitrary<[string, unknown]> = fc.oneof(
	fc.tuple(fc.constantFrom('arrival/depth_m'), length(3)),
	fc.tuple(fc.constantFrom('arrival/velocity_m_s'), speed),
	fc.tuple(fc.constant('arrival/access'), fc.constantFrom('wade', 'bank', 'pole', 'bridge', 'syringe', 'leave')),
	fc.tuple(fc.constantFrom('arrival/dangers/ice', 'arrival/dangers/storm'), flag),
	fc.tuple(fc.constantFrom('arrival/crew/A/initials', 'arrival/crew/B/initials'), fc.constantFrom('A', 'B')),
	fc.constantFrom(
		...forms.conditions.flatMap((q) =>
			q.choices.map((c): [string, unknown] =>
				q.takes === 'one' ? [`conditions/${q.id}`, c.id] : [`conditions/${q.id}/${c.id}`, true]
			)
		)
	),
	fc
		.tuple(bottle, fc.constantFrom('filledAt', 'onIceAt', 'preservedAt', 'atLabAt'), instant)
		.map(([b, f, v]): [string, unknown] => [`bottles/${b}/${f}`, v]),
	fc
		.tuple(bottle, fc.constantFrom('TE3-260514-B', 'QU1-260514-B', 'old label'))
		.map(([b, v]): [string, unknown] => [`bottles/${b}/label`, v]),
	fc
		.tuple(bottle, fc.constantFrom('bacteria', 'nutrients'))
		.map(([b, v]): [string, unknown] => [`bottles/${b}/kind`, v]),
	fc
		.tuple(bottle, fc.constantFrom('routine', 'duplicate', 'blank'))
		.map(([b, v]): [string, unknown] => [`bottles/${b}/role`, v]),
	fc
		.tuple(bottle, fc.constantFrom('stream', 'deionised'))
		.map(([b, v]): [string, unknown] => [`bottles/${b}/water`, v]),
	fc.tuple(bottle, fc.integer({ min: 0, max: 10 })).map(([b, v]): [string, unknown] => [`bottles/${b}/rinses`, v]),
	fc.tuple(bottle, limited('mg_L_N', 40)).map(([b, v]): [string, unknown] => [`bottles/${b}/results/nitrite`, v]),
	fc
		.tuple(fc.constantFrom('left', 'middle', 'right'), limited('mg_L', 40))
		.map(([s, v]): [string, unknown] => [`readings/dissolved-oxygen/${s}`, v]),
	fc.tuple(fc.constant('readings/water-temperature/main'), limited('degC', 45)),
	fc.tuple(fc.constant('readings/conductivity/main'), limited('uS_cm', 80_000)),
	fc.tuple(fc.constantFrom('readings/nitrate/nitrate', 'readings/nitrite/nitrite'), limited('mg_L_N', 50)),
	fc.tuple(fc.constantFrom('readings/disc-depth/down', 'readings/disc-depth/up'), limited('m', 20)),
	fc.tuple(fc.constant('readings/tube-depth/tube'), limited('cm', 200)),
	fc.tuple(fc.constantFrom('disc/spoilers/polarised', 'disc/spoilers/on-bed'), flag),
	fc.tuple(fc.constantFrom('waits/nitrate/startedAt', 'waits/nitrate/endedAt', 'waits/phosphate/startedAt'), instant),
	fc.tuple(fc.constantFrom('waits/nitrate/least_s', 'waits/phosphate/least_s'), fc.integer({ min: 1, max: 3600 })),
	fc.tuple(fc.constantFrom('titrations/first/hasBubble', 'titrations/second/hasBubble'), flag),
	fc.tuple(
		fc.constantFrom('titrations/first/fixedAt', 'titrations/first/acidAt', 'titrations/second/fixedAt'),
		instant
	),
	fc.tuple(
		fc.constantFrom('titrations/first/drops', 'titrations/first/blankDrops', 'titrations/second/drops'),
		fc.integer({ min: 0, max: 90 })
	),
	fc.tuple(fc.constantFrom('titrations/first/mgLPerDrop', 'titrations/second/mgLPerDrop'), fc.constantFrom(0.2, 1)),
	fc
		.tuple(gauging, fc.constantFrom('verticals', 'sweep', 'float', 'flume', 'bucket'))
		.map(([g, v]): [string, unknown] => [`gaugings/${g}/method`, v]),
	fc
		.tuple(gauging, fc.constantFrom('one-point', 'two-point', 'three-point', 'raise'))
		.map(([g, v]): [string, unknown] => [`gaugings/${g}/school`, v]),
	fc
		.tuple(gauging, fc.constantFrom('mid-section', 'mean-section', 'mean-depth'))
		.map(([g, v]): [string, unknown] => [`gaugings/${g}/arithmetic`, v]),
	fc
		.tuple(gauging, fc.constantFrom('edges/startDistance_m', 'edges/endDistance_m', 'wettedWidth_m'), length(20))
		.map(([g, f, v]): [string, unknown] => [`gaugings/${g}/${f}`, v]),
	fc
		.tuple(gauging, fc.constantFrom('flume/head_m', 'flume/tailDepth_m', 'tapeSag_m', 'edges/startDepth_m'), length(2))
		.map(([g, f, v]): [string, unknown] => [`gaugings/${g}/${f}`, v]),
	fc
		.tuple(gauging, vertical, length(20))
		.map(([g, v, d]): [string, unknown] => [`gaugings/${g}/verticals/${v}/distance_m`, d]),
	fc
		.tuple(gauging, vertical, length(2))
		.map(([g, v, d]): [string, unknown] => [`gaugings/${g}/verticals/${v}/depth_m`, d]),
	fc
		.tuple(
			gauging,
			vertical,
			fc.constantFrom('velocity_m_s', 'velocity02_m_s', 'velocity06_m_s', 'velocity08_m_s'),
			speed
		)
		.map(([g, v, f, s]): [string, unknown] => [`gaugings/${g}/verticals/${v}/${f}`, s]),
	fc.tuple(gauging, speed).map(([g, v]): [string, unknown] => [`gaugings/${g}/sweepVelocity_m_s`, v]),
	fc.tuple(gauging, length(100)).map(([g, v]): [string, unknown] => [`gaugings/${g}/floats/length_m`, v]),
	fc
		.tuple(gauging, fc.double({ min: 0.1, max: 3600, noNaN: true }))
		.map(([g, v]): [string, unknown] => [`gaugings/${g}/floats/runs/r/time_s`, v]),
	fc
		.tuple(gauging, fc.double({ min: 0, max: 40, noNaN: true }))
		.map(([g, v]): [string, unknown] => [`gaugings/${g}/floats/areas/a/area_m2`, v]),
	fc
		.tuple(gauging, fc.double({ min: 0, max: 1, noNaN: true }))
		.map(([g, v]): [string, unknown] => [`gaugings/${g}/floats/coefficient`, v]),
	fc
		.tuple(gauging, fc.double({ min: 0, max: 500, noNaN: true }))
		.map(([g, v]): [string, unknown] => [`gaugings/${g}/fills/f/volume_L`, v]),
	fc
		.tuple(gauging, fc.double({ min: 0.1, max: 3600, noNaN: true }))
		.map(([g, v]): [string, unknown] => [`gaugings/${g}/fills/f/time_s`, v]),
	fc.tuple(gauging, fc.constantFrom('V', 'gone')).map(([g, v]): [string, unknown] => [`gaugings/${g}/instrument`, v]),
	fc.tuple(fc.constantFrom('copies/A/doneAt', 'copies/B/doneAt', 'leaving/at', 'gear/nets/wetAt'), instant)
);

const sheets = fc.array(line, { maxLength: 40 });
const cards: readonly MethodCard[] = [
	...shippedCards,
	{
		...fullVisit,
		limits: {
			flume: { coefficient: 0.9, exponent: 1.55, submergenceLimit: 0.5, minimumHead_m: 0.03, maximumHead_m: 0.3 }
		}
	}
];
const see = (lines: readonly [string, unknown][], card: MethodCard, now_ms = start + 3_600_000) => {
	const usable = lines.filter(([path, value]) => whyRefused(path, value) === null);
	const entries = [['opening', opening] as const, ...usable].map(([path, value], i) =>
		aLine(i + 1, start + i * 20_000, path, value)
	);
	const context: Context = {
		now_ms,
		site: { code: 'TE3', elevation_m: 200, usual: { conductivity: { low: 150, high: 300, visits: 30 } } },
		instruments
	};
	return evaluate(fold(entries), card, context);
};

describe('of any sheet, whatever was typed into it', () => {
	it('something is known and nothing is thrown; every doubt is a whole sentence about a place that can be said', () => {
		fc.assert(
			fc.property(sheets, fc.constantFrom(...cards), (lines, card) => {
				const { flags, results, clocks, steps } = see(lines, card);
				for (const flag of flags) {
					const words = flagSentence(flag);
					expect(words, flag.code).not.toMatch(/undefined|NaN|\[object|Infinity/);
					expect(words.trim(), flag.code).toMatch(/[.]$/);
					expect(sayPlace(flag.path)).not.toBe('');
				}
				for (const clock of clocks) expect(clock.start_ms <= clock.due_ms && clock.due_ms <= clock.last_ms).toBe(true);
				expect(new Set(results.map((r) => r.parameter)).size).toBe(results.length);
				const order = orderSteps(card);
				expect(steps.map((s) => s.id)).toEqual('steps' in order ? order.steps.map((s) => s.step.id) : []);
			}),
			{ numRuns: 300 }
		);
	});

	it('figures are numbers, and none claims to be sure by less than nothing', () => {
		fc.assert(
			fc.property(sheets, fc.constantFrom(...cards), (lines, card) => {
				for (const { figure, uncertainty } of see(lines, card).results) {
					expect(
						Object.values(figure)
							.filter((v) => typeof v === 'number')
							.every(Number.isFinite)
					).toBe(true);
					expect(uncertainty === null || uncertainty >= 0).toBe(true);
				}
			}),
			{ numRuns: 200 }
		);
	});

	it('the hour does not change a figure, only clocks and what is held too long', () => {
		fc.assert(
			fc.property(sheets, fc.integer({ min: 0, max: 3000 }), (lines, minutes) => {
				const [now, later] = [see(lines, fullVisit), see(lines, fullVisit, start + 3_600_000 + minutes * 60_000)];
				expect(later.results).toEqual(now.results);
				expect(later.steps).toEqual(now.steps);
			}),
			{ numRuns: 100 }
		);
	});
});
