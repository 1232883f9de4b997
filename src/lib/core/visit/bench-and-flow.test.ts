import { describe, expect, it } from 'vitest';
import { flagSentence } from '../subjects/flags';
import { aLine } from '../../../../tests/a-line';
import { fold, whyRefused } from '../logbook';
import { streamVisit, type MethodCard } from '../method';
import { amount } from '../quantity';
import { evaluate, withHistory } from '.';
import { type Context } from '../subjects/context';

const start = Date.UTC(2026, 4, 14, 9);
const HOUR = 3_600_000;
const context: Context = { now_ms: start + 30 * HOUR, site: { elevation_m: 200, usual: {} }, instruments: {} };
const iso = (hours: number) => new Date(start + hours * HOUR).toISOString();

function see(lines: Record<string, unknown>, card: MethodCard = streamVisit, more: Partial<Context> = {}) {
	const entries = Object.entries(lines).map(([path, value], i) => aLine(i + 1, start + i, path, value));
	return evaluate(fold(entries), card, { ...context, ...more });
}
const flagOf = (outcome: ReturnType<typeof see>, code: string) => outcome.flags.find((f) => f.code === code);
const plate = (id: string, more: Record<string, unknown>) =>
	Object.fromEntries(
		Object.entries({ bottle: 'b', volume_mL: 3, pouredAt: iso(4), ...more }).map(([key, value]) => [
			`plates/${id}/${key}`,
			value
		])
	);

describe('plates', () => {
	const bottle = { 'bottles/b/kind': 'bacteria', 'bottles/b/label': 'TE-B', 'bottles/b/filledAt': iso(0) };

	it('run a clock from pouring to reading, in place of the bottle’s', () => {
		const { clocks } = see({ ...bottle, ...plate('1', {}) });
		expect(clocks).toMatchObject([
			{ kind: 'incubation', start_ms: start + 4 * HOUR, due_ms: start + 52 * HOUR, last_ms: start + 76 * HOUR }
		]);
		expect(see({ ...bottle, ...plate('1', { readAt: iso(54), state: 'counted', count: 24 }) }).clocks).toEqual([]);
	});

	it('that stood too cold are read later by as many hours, and asked about where nobody waited', () => {
		const stood = {
			'stood/a': { at: iso(4), temperature_C: 15 },
			'stood/b': { at: iso(14), temperature_C: 15 },
			'stood/c': { at: iso(14.001), temperature_C: 21 }
		};
		const [clock] = see({ ...bottle, ...plate('1', stood) }).clocks;
		expect((clock!.due_ms - start) / HOUR).toBeCloseTo(62, 2);
		expect(clock!.last_ms).toBe(start + 76 * HOUR);
		const read = (hour: number) => ({ ...stood, readAt: iso(hour), state: 'counted', count: 24 });
		expect(flagSentence(flagOf(see({ ...bottle, ...plate('1', read(56)) }), 'plate-held-back')!)).toMatch(
			/read after 52 h, 10 of them under 18 °C, which hardly count/
		);
		expect(flagOf(see({ ...bottle, ...plate('1', read(63)) }), 'plate-held-back')).toBeUndefined();
	});

	it('give the figure with its interval and its working', () => {
		const { results } = see({ ...bottle, ...plate('1', { readAt: iso(54), state: 'counted', count: 24 }) });
		expect(results).toMatchObject([{ parameter: 'e-coli', figure: { value: 800 }, readings: 1, source: 'lab' }]);
		expect(results[0]!.working!.step.number).toBe(800);
		expect(results[0]!.uncertainty).toBeCloseTo((3571.00976 - 1537.72529) / 6, 2); // half of Garwood’s interval × 100/3
	});

	it('counted on a photo by two people who lie apart are looked at together', () => {
		const marks = (who: string, n: number) =>
			Object.fromEntries(
				Array.from({ length: n }, (_, i) => [
					`platePhotos/p/marks/${who}/m${String(i)}`,
					{ x: 0.5, y: 0.5, kind: 'counts' }
				])
			);
		const counted = (second: number) =>
			see({
				...bottle,
				...plate('1', { readAt: iso(54), state: 'counted', count: 20 }),
				'platePhotos/p/plate': '1',
				'platePhotos/p/sha256': 'ab'.repeat(32),
				...marks('bede', 20),
				...marks('orla', second),
				'platePhotos/p/countedAt/bede': iso(54),
				'platePhotos/p/countedAt/orla': iso(55)
			});
		expect(flagSentence(flagOf(counted(25), 'plate-counted-apart')!)).toMatch(
			/counted 20 and 25 on plate 1, 22 % apart/
		);
		expect(flagOf(counted(21), 'plate-counted-apart')).toBeUndefined();
	});

	it('counted in squares of a grid stand for so much of the water, with the interval of what was counted', () => {
		const part = { readAt: iso(54), state: 'counted', count: 24, squares: 60, squaresCounted: 12 };
		const { results } = see({ ...bottle, ...plate('1', part) });
		expect(results[0]!.figure).toMatchObject({ value: expect.closeTo(4000, 6) }); // 24 in a fifth of 3 mL
		expect(results[0]!.uncertainty).toBeCloseTo((5 * (3571.00976 - 1537.72529)) / 6, 1);
		const flags = see({ ...bottle, ...plate('1', { ...part, count: 40 }) });
		expect(flagSentence(flagOf(flags, 'plate-crowded')!)).toContain('too many to count in 3 mL');
		const wrong = see({ ...bottle, ...plate('1', { ...part, squares: 10 }) });
		expect(wrong.results).toEqual([]);
		expect(flagSentence(flagOf(wrong, 'plate-squares')!)).toContain('12 squares were counted of 10');
	});

	it('of one bottle that differ more than counting makes them are asked about, by their volumes', () => {
		const pair = (first: number, second: number, more = {}) =>
			see({
				...bottle,
				...plate('1', { readAt: iso(54), state: 'counted', count: first }),
				...plate('2', { readAt: iso(54), state: 'counted', count: second, ...more })
			});
		// chi-square of 24 and 71 in equal volumes is 23.25: once in some 700,000 times
		expect(flagSentence(flagOf(pair(24, 71), 'plates-scatter')!)).toMatch(
			/hold 24 and 71 colonies.*once in 7\d{5} times/
		);
		expect(flagOf(pair(24, 35), 'plates-scatter')).toBeUndefined();
		// three times the water, three times the colonies
		expect(flagOf(pair(24, 71, { volume_mL: 9 }), 'plates-scatter')).toBeUndefined();
		expect(flagOf(pair(24, 71, { isBlank: true }), 'plates-scatter')).toBeUndefined();
	});

	it.each<[string, Record<string, unknown>, string]>([
		['read too early', { readAt: iso(30), state: 'counted', count: 24 }, 'plate-too-early'],
		['read too late', { readAt: iso(90), state: 'counted', count: 24 }, 'plate-too-old'],
		['kept too cold', { temperature_C: 15 }, 'plate-too-cold'],
		['crowded', { readAt: iso(54), state: 'tooMany' }, 'plate-crowded'],
		['nearly empty', { readAt: iso(54), state: 'counted', count: 2 }, 'plate-sparse'],
		['a blank that grew', { isBlank: true, readAt: iso(54), state: 'counted', count: 1 }, 'blank-grew']
	])('%s are doubted', (_, more, code) => {
		const outcome = see({ ...bottle, ...plate('1', more) });
		const flag = flagOf(outcome, code);
		expect(flagSentence(flag!)).toMatch(/^[A-Z“].*[.]$/);
		expect(flagSentence(flag!)).not.toMatch(/undefined|NaN/);
	});

	it('of a batch whose blank grew give no figure', () => {
		const lines = {
			...bottle,
			...plate('1', { readAt: iso(54), state: 'counted', count: 24 }),
			...plate('0', { isBlank: true, state: 'counted', count: 3 })
		};
		expect(see(lines).results).toEqual([]);
		expect(see({ ...lines, 'plates/0/count': 0 }).results).toHaveLength(1);
	});

	it('poured from a bottle held too long are doubted for that', () => {
		const late = see({ ...bottle, ...plate('1', { pouredAt: iso(7) }) });
		expect(flagOf(late, 'held-too-long')).toMatchObject({ evidence: { held_h: 7, limit_h: 6 } });
	});

	it('of a duplicate stand beside the others, and those of a blank bottle are blanks', () => {
		const routine = { ...bottle, ...plate('1', { readAt: iso(54), state: 'counted', count: 24 }) };
		const duplicate = {
			'bottles/d/role': 'duplicate',
			'bottles/d/duplicateOf': 'b',
			...plate('2', { bottle: 'd', readAt: iso(54), state: 'counted', count: 90 })
		};
		expect(see({ ...routine, ...duplicate }).results).toMatchObject([{ figure: { value: 800 }, readings: 1 }]);
		const blank = { 'bottles/k/role': 'blank', ...plate('0', { bottle: 'k', state: 'counted', count: 1 }) };
		expect(see({ ...routine, ...blank }).results).toEqual([]);
	});

	it('do not hide that their bottle stood warm before it was poured', () => {
		expect(flagOf(see({ ...bottle, ...plate('1', {}) }), 'not-on-ice')).toMatchObject({ evidence: { after_h: 4 } });
	});

	it('follow the card’s own numbers', () => {
		const card: MethodCard = { ...streamVisit, limits: { plateReadable_h: 24, plateTooOld_h: 48 } };
		expect(
			flagOf(
				see({ ...bottle, ...plate('1', { readAt: iso(30), state: 'counted', count: 24 }) }, card),
				'plate-too-early'
			)
		).toBeUndefined();
	});
});

describe('duplicates and blanks', () => {
	const nitrite = (value: number) => ({ value, unit: 'mg_L_N' });

	it('that lie apart are asked about, and only the first counts', () => {
		const outcome = see({
			'bottles/a/label': 'A',
			'bottles/a/results/nitrite': nitrite(0.1),
			'bottles/d/label': 'D',
			'bottles/d/role': 'duplicate',
			'bottles/d/duplicateOf': 'a',
			'bottles/d/results/nitrite': nitrite(0.16)
		});
		expect(flagOf(outcome, 'duplicates-apart')).toMatchObject({
			evidence: { apart_percent: expect.closeTo(46.15, 1), limit_percent: 20 }
		});
		expect(outcome.results).toMatchObject([{ parameter: 'nitrite', figure: { value: 0.1 } }]);
	});

	it('of which one is a non-detect are not', () => {
		const outcome = see({
			'bottles/a/results/nitrite': { below: 0.05, unit: 'mg_L_N' },
			'bottles/d/role': 'duplicate',
			'bottles/d/duplicateOf': 'a',
			'bottles/d/results/nitrite': nitrite(0.06)
		});
		expect(flagOf(outcome, 'duplicates-apart')).toBeUndefined();
	});

	it('without a partner, or not clean, are said to be so', () => {
		expect(flagOf(see({ 'bottles/d/role': 'duplicate', 'bottles/d/label': 'D' }), 'duplicate-alone')).toBeDefined();
		const dirty = see({
			'bottles/k/role': 'blank',
			'bottles/k/label': 'K',
			'bottles/k/results/nitrite': nitrite(0.02)
		});
		expect(flagSentence(flagOf(dirty, 'blank-not-clean')!)).toContain('0.02 mg/L as N');
		expect(dirty.results).toEqual([]);
		const reported = (limit: number) =>
			see({
				'bottles/k/role': 'blank',
				'bottles/k/reports/nitrite': {
					figure: nitrite(0.02),
					lab: 'Millrace',
					report: '26-0117',
					asWritten: '0.02',
					limit
				}
			});
		expect(flagOf(reported(0.01), 'blank-not-clean')).toBeDefined();
		// the lab wrote a figure that it cannot tell from nothing
		expect(flagOf(reported(0.05), 'blank-not-clean')).toBeUndefined();
		// no more than seven others of the program held, by the same hand
		const usual = (limit: number, lab: string | null = null) =>
			see(
				{
					'bottles/k/role': 'blank',
					'bottles/k/label': 'K',
					'bottles/k/results/nitrite': { value: 20, unit: 'ug_L_N' }
				},
				streamVisit,
				{ blanksBefore: [{ parameter: 'nitrite', lab, limit, n: 8 }] }
			);
		expect(flagSentence(flagOf(usual(0.021), 'blank-as-usual')!)).toContain('up to 0.021 mg/L as N by 8 of them');
		expect(flagOf(usual(0.021), 'blank-not-clean')).toBeUndefined();
		expect(flagOf(usual(0.019), 'blank-not-clean')).toBeDefined();
		expect(flagOf(usual(0.021, 'Millrace'), 'blank-not-clean')).toBeDefined();
		expect(
			see({ 'bottles/k/role': 'blank', 'bottles/k/results/nitrite': { below: 0.01, unit: 'mg_L_N' } }).flags
		).toEqual([]);
	});
});

describe('titrations', () => {
	it('give oxygen where no meter did, known to half a drop', () => {
		const { results } = see({
			'titrations/1/drops': 9,
			'titrations/1/mgLPerDrop': 1,
			'titrations/2/drops': 10,
			'titrations/2/mgLPerDrop': 1
		});
		expect(results).toMatchObject([{ parameter: 'dissolved-oxygen', figure: { value: 9 }, readings: 2 }]);
		// two bottles, half a mg/L from their mean each: 0.25; a drop of 1 mg/L, uniform: 1/24. Widened, for two know
		// their spread badly
		const least = 2 * Math.sqrt(0.25 + 1 / 24);
		expect(results[0]!.uncertainty).toBeGreaterThan(1.5 * least);
		expect(results[0]!.uncertainty).toBeLessThan(7 * least); // t of one degree of freedom is 13.97
		const metered = see({
			'titrations/1/drops': 9,
			'titrations/1/mgLPerDrop': 1,
			'readings/dissolved-oxygen/left': { value: 8, unit: 'mg_L' }
		});
		expect(metered.results).toMatchObject([{ figure: { value: 8 } }]);
	});

	it('under the blank are asked about', () => {
		const outcome = see({ 'titrations/1/drops': 1, 'titrations/1/blankDrops': 2, 'titrations/1/mgLPerDrop': 1 });
		expect(flagOf(outcome, 'below-blank')).toBeDefined();
		expect(outcome.results).toEqual([]);
	});

	/** 8000 mg of oxygen an equivalent: 8.4 mL of 0.025 N in 200 mL. */
	const byBurette = {
		'titrations/1/fixedAt': '2026-05-14T08:00:00Z',
		'titrations/1/sample_mL': 200,
		'titrations/1/normality_N': 0.025,
		'titrations/1/titrant_mL': 8.4
	};
	it('by burette give oxygen by the titrant’s strength, less the blank', () => {
		const { results } = see(byBurette);
		expect(results).toMatchObject([{ figure: { value: 8.4 }, basis: 'one titration by burette' }]);
		const less = see({ ...byBurette, 'titrations/1/blank_mL': 0.2 });
		expect(less.results).toMatchObject([{ figure: { value: expect.closeTo(8.2, 9) as number } }]);
		expect(less.results[0]!.basis).toBe('one titration by burette, less the blank');
	});

	it('by burette count with the strength that a standard found, and say where the label is off', () => {
		const checked = {
			...byBurette,
			'titrantChecks/a/standard_mL': 20,
			'titrantChecks/a/standard_N': 0.025,
			'titrantChecks/a/titrant_mL': 21.5
		};
		const outcome = see(checked);
		expect(outcome.results).toMatchObject([
			{ figure: { value: expect.closeTo((8.4 * ((20 * 0.025) / 21.5) * 8000) / 200, 9) as number } }
		]);
		expect(flagOf(outcome, 'titrant-off')!.evidence).toMatchObject({ label_N: 0.025, limit_percent: 3 });
		// a second check counts as much as the first
		const twice = see({
			...checked,
			'titrantChecks/b/standard_mL': 20,
			'titrantChecks/b/standard_N': 0.025,
			'titrantChecks/b/titrant_mL': 20
		});
		const found_N = ((20 * 0.025) / 21.5 + 0.025) / 2;
		expect(twice.results).toMatchObject([
			{ figure: { value: expect.closeTo((8.4 * found_N * 8000) / 200, 9) as number } }
		]);
		expect(flagOf(twice, 'titrant-off')).toBeDefined();
		expect(flagOf(see({ ...checked, 'titrantChecks/a/titrant_mL': 20.2 }), 'titrant-off')).toBeUndefined();
	});

	it('by burette say nothing while something is wanting, and ask where the blank took more', () => {
		const unknown = Object.fromEntries(Object.entries(byBurette).filter(([path]) => !path.endsWith('normality_N')));
		expect(see(unknown).results).toEqual([]);
		const outcome = see({ ...byBurette, 'titrations/1/blank_mL': 9 });
		expect(flagOf(outcome, 'burette-below-blank')!.evidence).toEqual({ titrant_mL: 8.4, blank_mL: 9 });
		expect(outcome.results).toEqual([]);
	});
});

describe('flow without a meter', () => {
	it('by floats, with the doubt that their runs show', () => {
		const { results } = see({
			'gaugings/f/method': 'float',
			'gaugings/f/floats/length_m': 5,
			'gaugings/f/floats/runs/1/time_s': 10,
			'gaugings/f/floats/runs/2/time_s': 12.5,
			'gaugings/f/floats/areas/1/area_m2': 0.8,
			'gaugings/f/floats/coefficient': 0.7
		});
		expect(amount(results[0]!.figure).number).toBeCloseTo((5 / 11.25) * 0.7 * 0.8, 12);
		// speeds of 0.5 and 0.4 m/s: 0.05 of their mean, times t of one degree of freedom; the coefficient ± 0.1; the
		// area ± 10 %
		const relative = Math.hypot((13.968 * 0.05) / (5 / 11.25), 0.1 / 0.7, 0.1);
		expect(results[0]!.uncertainty).toBeCloseTo(relative * (5 / 11.25) * 0.7 * 0.8, 4);
	});

	it('by a bucket', () => {
		const { results, steps } = see({
			'gaugings/b/method': 'bucket',
			'gaugings/b/fills/1/volume_L': 10,
			'gaugings/b/fills/1/time_s': 8
		});
		expect(amount(results[0]!.figure).number).toBeCloseTo(0.00125, 12);
		expect(steps.find((s) => s.id === 'flow')!.state).toBe('done');
	});

	const rated: MethodCard = {
		...streamVisit,
		limits: {
			flume: { coefficient: 0.5, exponent: 1.5, submergenceLimit: 0.5, minimumHead_m: 0.02, maximumHead_m: 0.2 }
		}
	};
	const flume = (head_m: number, tailDepth_m: number) => ({
		'gaugings/t/method': 'flume',
		'gaugings/t/flume/head_m': head_m,
		'gaugings/t/flume/tailDepth_m': tailDepth_m
	});

	it('through a flume, where its rating holds', () => {
		expect(amount(see(flume(0.1, 0.04), rated).results[0]!.figure).number).toBeCloseTo(0.5 * 0.1 ** 1.5, 12);
	});

	it.each([
		['held back from below', flume(0.1, 0.06), rated, 'flume-submerged'],
		['beyond the rating', flume(0.4, 0.1), rated, 'flume-out-of-range'],
		['without a rating', flume(0.1, 0.04), streamVisit, 'flume-unrated'],
		['half typed', { 'gaugings/t/method': 'flume' }, rated, 'gauging-incomplete'],
		[
			'floats without an area',
			{ 'gaugings/t/method': 'float', 'gaugings/t/floats/length_m': 5, 'gaugings/t/floats/runs/1/time_s': 9 },
			streamVisit,
			'gauging-incomplete'
		]
	])('%s gives no flow and says why', (_, lines, card, code) => {
		const outcome = see(lines, card);
		expect(outcome.results).toEqual([]);
		expect(flagSentence(flagOf(outcome, code)!)).toMatch(/[.]$/);
	});
});

describe('a section read in feet', () => {
	it('is kept as it was read and worked out in metres', () => {
		const feet = (value: number) => ({ value, unit: 'ft' });
		const speed = (value: number) => ({ value, unit: 'ft_s' });
		const lines: Record<string, unknown> = {
			'gaugings/main/edges/startDistance_m': feet(0),
			'gaugings/main/edges/endDistance_m': feet(8)
		};
		for (const [i, [x, d, v]] of (
			[
				[2, 1, 1.5],
				[4, 1.5, 2],
				[6, 1, 1.5]
			] as const
		).entries())
			Object.assign(lines, {
				[`gaugings/main/verticals/v${i}/distance_m`]: feet(x),
				[`gaugings/main/verticals/v${i}/depth_m`]: feet(d),
				[`gaugings/main/verticals/v${i}/velocity_m_s`]: speed(v)
			});
		const { results, folded } = see(lines);
		// by hand: 2 × 1 × 1.5 + 2 × 1.5 × 2 + 2 × 1 × 1.5 = 12 ft³/s
		expect(amount(results[0]!.figure).number).toBeCloseTo(12 * 0.028316846592, 12);
		expect(folded.sheet.gaugings!['main']!.verticals!['v1']!.depth_m).toEqual({ value: 1.5, unit: 'ft' });
	});

	it.each<[unknown, RegExp | null]>([
		[{ value: 12, unit: 'ft' }, null],
		[0.3, null],
		[{ value: 40, unit: 'ft' }, /depth over 10 m is not possible/],
		[-0.1, /depth under 0 m is not possible/],
		[{ value: 1, unit: 'mg_L' }, /depth is not measured in mg\/L/],
		[{ value: 1, unit: 'fathom' }, /needs a known unit/],
		[{ value: 'deep', unit: 'm' }, /must be a number/],
		['0.3', /must be a number/],
		[null, /must be a number/]
	])('takes or refuses a depth of %j', (value, why) => {
		const said = whyRefused('gaugings/main/verticals/v1/depth_m', value);
		if (why === null) expect(said).toBeNull();
		else expect(said).toMatch(why);
	});
});

describe('waits and gear', () => {
	it('run until they are done', () => {
		const { clocks } = see({
			'waits/k/what': 'Nitrite kit',
			'waits/k/startedAt': iso(29.9),
			'waits/k/least_s': 600,
			'gear/n/what': 'Kick net',
			'gear/n/wetAt': iso(0)
		});
		expect(clocks).toMatchObject([
			{ kind: 'wait', label: 'Nitrite kit', due_ms: start + 29.9 * HOUR + 600_000 },
			{ kind: 'drying', label: 'Kick net', due_ms: start + 18 * 24 * HOUR } // wet in May: spring
		]);
		expect(see({ 'gear/n/wetAt': iso(0), 'gear/n/disinfectedAt': iso(1) }).clocks).toEqual([]);
		expect(see({ 'waits/k/startedAt': iso(0), 'waits/k/least_s': 60 }).clocks).toEqual([]);
	});
});

describe('slips', () => {
	it('of unit are guessed from what the site has shown, and never put right', () => {
		const outcome = see({ 'readings/water-temperature/main': { value: 44.5, unit: 'degC' } }, streamVisit, {
			site: { elevation_m: 200, usual: { 'water-temperature': { low: 1, high: 19, visits: 30 } } }
		});
		expect(flagSentence(flagOf(outcome, 'unit-slip')!)).toContain('If it was read in Fahrenheit, it would be 6.94 °C');
		expect(outcome.results[0]!.figure).toMatchObject({ value: 44.5 });
	});

	it('are not looked for in a limit, which says where a method ends', () => {
		const usual = { nitrite: { low: 0.2, high: 0.9, visits: 30 } };
		const outcome = see({ 'readings/nitrite/strip': { below: 0.05, unit: 'mg_L_N' } }, streamVisit, {
			site: { elevation_m: 200, usual }
		});
		expect(flagOf(outcome, 'unit-slip')).toBeUndefined();
	});

	it('wait until it is known what the site has shown; then a history that holds the figure leaves nothing to ask', () => {
		const hot = { 'readings/water-temperature/main': { value: 44.5, unit: 'degC' } };
		const unknown = see(hot, streamVisit, { site: { elevation_m: 200, usual: null } });
		// to be found out: nothing is held against it yet
		expect(unknown.flags.map((f) => f.code)).toEqual(['implausible']);
		const spring = { 'water-temperature': { low: 38, high: 45, visits: 30 } };
		expect(withHistory(unknown, spring, undefined).map((f) => f.code)).toEqual([]); // a hot spring is as hot as ever
		expect(withHistory(unknown, {}, undefined).map((f) => f.code)).toEqual(see(hot).flags.map((f) => f.code));
	});

	it('in a section are seen beside the other verticals', () => {
		const lines = Object.fromEntries(
			[0.3, 0.35, 32, 0.28, 0.2].flatMap((depth_m, i) => [
				[`gaugings/main/verticals/v${i}/distance_m`, i + 1],
				[`gaugings/main/verticals/v${i}/depth_m`, Math.min(depth_m, 10)],
				[`gaugings/main/verticals/v${i}/velocity_m_s`, 0.3]
			])
		);
		lines['gaugings/main/verticals/v2/depth_m'] = 3.2;
		const flags = see(lines).flags.filter((f) => f.code === 'unit-slip');
		expect(flags).toMatchObject([
			{
				path: 'gaugings/main/verticals/v2',
				evidence: { instead: { value: 0.32, unit: 'm' }, retype: { value: 0.32, unit: 'm' } }
			}
		]);
	});
});
