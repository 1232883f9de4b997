import { describe, expect, it } from 'vitest';
import { agenda, type ProgramFacts } from '../../schedule';
import { saySamplerNeed, sayItem, sayTrend } from '..';
import { flagSentence } from '../../subjects/flags';
import { sayLimit } from '../../safety';
import { sayDay, sayDuration, sayTime, sayValue } from '../../wording';
import type { Flag } from '../../subjects/flags';

const now = Date.UTC(2026, 4, 14, 11, 20);
const HOUR = 3_600_000;

describe('time in words', () => {
	it.each([
		[25 * 60_000, '25 min'],
		[59 * 60_000 + 59_999, '59 min'],
		[HOUR, '1 h 00'],
		[3 * HOUR + 50 * 60_000, '3 h 50'],
		[25 * HOUR, '1 day'],
		[50 * HOUR, '2 days'],
		[-25 * 60_000, '25 min']
	])('%d ms is %s', (span_ms, words) => {
		expect(sayDuration(span_ms)).toBe(words);
	});

	it('is told in the program’s own zone', () => {
		expect(sayTime(now, 'UTC')).toBe('11:20');
		expect(sayTime(now, 'Europe/Berlin')).toBe('13:20');
		expect(sayDay(Date.UTC(2026, 4, 14, 23), 'Europe/Berlin')).toBe('Fri 15 May');
		expect(sayDay(now, 'UTC', true)).toBe('Thu 14 May 2026');
	});
});

describe('values in words', () => {
	it.each([
		[{ value: 9.8, unit: 'mg_L' }, '9.8 mg/L'],
		[{ below: 0.05, unit: 'mg_L_N' }, 'below 0.05 mg/L as N'],
		[-0.2, '−0.2'],
		[true, 'yes'],
		[null, ''],
		['grey filaments', 'grey filaments'],
		['2026-05-14T09:12:00Z', '09:12 Thu 14 May'],
		[{ verdict: 'accept', reason: '' }, 'verdict accept']
	])('%j', (value, words) => {
		expect(sayValue(value)).toBe(words);
	});
});

describe('a wading limit', () => {
	it.each([
		[{ school: 'depth-and-velocity', depth_m: 0.3, velocity_m_s: 0.3 }, 'deeper than 0.3 m, or faster than 0.3 m/s'],
		[{ school: 'depth-only', depth_m: 0.5, lifeJacket_m: 0.3 }, 'deeper than 0.5 m, or faster than 3 m/s'],
		[{ school: 'product', product_m2_s: 0.6 }, 'depth × speed over 0.6 m²/s, deeper than 1.2 m, or faster than 3 m/s']
	] as const)('%j', (limit, words) => {
		expect(sayLimit(limit)).toBe(words);
		expect(sayLimit({ ...limit, siteDepth_m: 0.25 })).toBe(`${words}, or here deeper than 0.25 m`);
	});
});

describe('doubts', () => {
	// what was seen, then what to do: one of each that the visit tests do not reach
	it.each<[Pick<Flag, 'code' | 'evidence'>, RegExp]>([
		[{ code: 'clock-skew', evidence: { device: 'phone-2', minutes: 14 } }, /14 min off the server’s.*kept as written/],
		[{ code: 'life-jacket', evidence: { depth_m: 0.42, limit_m: 0.3 } }, /0\.42 m is deeper than 0\.3 m.*life jacket/],
		[{ code: 'not-sampled', evidence: { reason: '' } }, /no reason is noted/],
		[{ code: 'not-sampled', evidence: { reason: 'Shelf ice.' } }, /^Not sampled: Shelf ice\.$/],
		[
			{ code: 'two-values', evidence: { path: 'arrival/depth_m', shown: '0.2', other: '0.5' } },
			/0\.2, and 0\.5.*reviewer strikes one/
		],
		[
			{ code: 'calibration-missing', evidence: { instrument: 'M-3', parameter: 'ph' } },
			/no calibration for pH on record/
		],
		[
			{ code: 'burette-below-blank', evidence: { titrant_mL: 1.25, blank_mL: 2 } },
			/1\.25 mL of titrant is less than the blank’s 2\.00/
		],
		[
			{ code: 'titrant-off', evidence: { label_N: 0.025, found_N: 0.0233, limit_percent: 3 } },
			/label says 0\.0250 N, its standard found 0\.0233 N/
		],
		[{ code: 'below-blank', evidence: { drops: 1, blankDrops: 2 } }, /1 drops are fewer than the blank’s 2/],
		[{ code: 'duplicate-alone', evidence: { label: 'D7' } }, /D7 is a duplicate, but of no bottle here/],
		[
			{
				code: 'unit-slip',
				evidence: {
					of: 'depth',
					seen: { value: 34, unit: 'm' },
					instead: { value: 0.34, unit: 'm' },
					within: { low: 0.1, high: 0.6, unit: 'm' },
					from: { verticals: 5 },
					retype: { value: 34, unit: 'cm' }
				}
			},
			/34 m lies outside 0\.10 m to 0\.60 m, what the other 5 verticals show\. If it was typed in centimetres, it would be 0\.34 m.*strike it/
		]
	])('%j', (flag, words) => {
		expect(flagSentence({ path: 'x', parameter: null, ...flag } as Flag)).toMatch(words);
	});
});

describe('what is due, in words', () => {
	const facts: ProgramFacts = {
		clocks: [],
		openVisits: [],
		overdue_h: 2,
		sites: [],
		rounds: [],
		waiting: { results: 0, visits: 0, oldest_ms: null },
		conflicts: [],
		calibrations: [],
		consumables: [],
		samplers: [],
		storm: null
	};
	const clock = {
		deadline: null,
		visitId: 'v',
		label: 'P3',
		site: 'Tessel 3',
		start_ms: now - 60 * HOUR,
		due_ms: now - 12 * HOUR,
		last_ms: now + 12 * HOUR
	};
	const say = (more: Partial<ProgramFacts>) =>
		agenda({ ...facts, ...more }, now).map((item) => ({ when: item.when, said: sayItem(item, now, 'UTC') }));

	it('a plate that can be read now, one too young, one too old', () => {
		const [ready, old, young] = say({
			clocks: [
				{ ...clock, kind: 'incubation' },
				{ ...clock, kind: 'incubation', label: 'P4', due_ms: now + 20 * HOUR, last_ms: now + 44 * HOUR },
				{ ...clock, kind: 'incubation', label: 'P1', last_ms: now - HOUR }
			]
		});
		expect(old).toMatchObject({
			when: 'late',
			said: { deed: ['Throw away plate ', 'P1', ', Tessel 3'], lane: { say: 'too old to read' } }
		});
		expect(old!.said.reason).toMatch(/Bleach it, bag it, bin it/);
		expect(ready).toMatchObject({ when: 'now', said: { deed: ['Read plate ', 'P3', ', Tessel 3'] } });
		expect(young!.when).toBe('later');
	});

	it('tubes go by their own word', () => {
		const [tubes] = say({ clocks: [{ ...clock, kind: 'tubes', label: 'TE3-T1', last_ms: now - HOUR }] });
		expect(tubes!.said).toMatchObject({ deed: ['Throw away tubes ', 'TE3-T1', ', Tessel 3'] });
		expect(tubes!.said.reason).toMatch(/^They were readable until .*Bleach them, bag them, bin them\.$/);
		expect(tubes!.said.lane.name).toBe('Tubes TE3-T1');
	});

	it('a net that is still wet, and one that is dry', () => {
		const [dry, wet] = say({
			clocks: [
				{ ...clock, kind: 'drying', label: 'Kick net', due_ms: now + 100 * HOUR, last_ms: now + 100 * HOUR },
				{ ...clock, kind: 'drying', label: 'Boots', due_ms: now - HOUR, last_ms: now - HOUR }
			]
		});
		expect(dry).toMatchObject({ when: 'now', said: { deed: ['Dry again: ', 'Boots', ''] } });
		expect(wet).toMatchObject({ when: 'later', said: { deed: ['Let dry ', 'Kick net', ''] } });
		expect(wet!.said.reason).toMatch(/disinfected before; local rules come first/);
	});

	it('a fixed bottle is titrated within its hours, a little after them all the same, and not days later', () => {
		const fixed = (last_ms: number) =>
			say({ clocks: [{ ...clock, kind: 'fixed', label: 'second oxygen bottle', last_ms }] });
		const [inTime] = fixed(now + 2 * HOUR);
		expect(inTime).toMatchObject({
			when: 'now',
			said: { deed: ['Titrate the ', 'second oxygen bottle', ', Tessel 3'], act: { href: '/bench/v' } }
		});
		const [late] = fixed(now - 2 * HOUR);
		expect(late!.when).toBe('late');
		expect(late!.said.reason).toMatch(/titrate it all the same, and it is flagged\.$/);
		expect(fixed(now - 30 * HOUR)).toEqual([]);
	});

	it('leaves a kit’s minutes to the phone', () => {
		expect(say({ clocks: [{ ...clock, kind: 'wait' }] })).toEqual([]);
	});
});

describe('a trend in words', () => {
	it('of a percentage is told in points', () => {
		const { says } = sayTrend(
			{
				verdict: 'rising',
				slopePerYear: 5.5,
				lower: 3.6,
				upper: 6.5,
				p: 0.01,
				results: 36,
				years: 4,
				limits: 0,
				monthsDisagree: false,
				withoutFlow: null
			},
			'%'
		);
		expect(says).toBe('Rising by 5.5 percentage points a year.');
	});

	it('falls with a minus, and a small p is not written out', () => {
		const { says, because } = sayTrend(
			{
				verdict: 'falling',
				slopePerYear: -0.0123,
				lower: -0.02,
				upper: -0.004,
				p: 0.00001,
				results: 40,
				years: 4,
				limits: 3,
				monthsDisagree: true,
				withoutFlow: 'open'
			},
			'mg/L'
		);
		expect(says).toBe('Falling by 0.012 mg/L a year.');
		expect(because).toBe(
			'Between −0.020 and −0.004 mg/L a year with 95 % confidence: 40 results over 4 years, each month held against ' +
				'the same month; 3 known only as a limit; p under 0.001. ' +
				'4 years are few: 5 are usual before much is made of a trend. The months do not agree: look at them one by one. ' +
				'With what the flow explains taken out, no trend can be told from chance.'
		);
	});
});

it('a sampler says what it asks for, and which round does it or misses it', () => {
	const task = {
		samplerId: 'LB-4',
		siteId: 's',
		what: 'look' as const,
		why: 'storm' as const,
		earliest: 20_587,
		latest: 20_589
	};
	const say = (more: object) =>
		saySamplerNeed({ task, metBy: null, nearest: null, ...more }, 'Ebbin 1', 20_588, 'Middle round');
	expect(say({})).toBe(
		'LB-4 at Ebbin 1 is looked at after the storm from Fri 15 May to Sat 16 May; no round goes there.'
	);
	expect(say({ metBy: 'r' })).toMatch(/: Middle round\.$/);
	expect(say({ nearest: { roundId: 'r', off_days: 1 } })).toMatch(/; Middle round comes 1 day too late\.$/);
	expect(say({ nearest: { roundId: 'r', off_days: -3 } })).toMatch(/3 days too early\.$/);
});
