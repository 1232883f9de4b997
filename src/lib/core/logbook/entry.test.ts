import { describe, expect, it } from 'vitest';
import { Entry, instantOf, placeAt, tick, whyUnfit } from '.';

const good = {
	id: '01890000-0000-7000-8000-000000000001',
	visitId: '01890000-0000-7000-8000-000000000002',
	at: '2026-05-14T11:20:03.123Z-0000',
	by: 'ada',
	device: 'd1',
	path: 'arrival/depth_m',
	op: 'set',
	value: 0.2,
	was: null
};
const entry = (more: object): Entry => Entry.parse({ ...good, ...more });

describe('an entry', () => {
	it.each([
		['an id that is not a UUID of version 7', { id: '0b8f6c1e-63d5-4d0e-8d3c-0e5f4a3f2b11' }],
		['a clock reading of another form', { at: '2026-05-14T11:20:03Z' }],
		['a date that does not exist', { at: '2026-13-45T11:20:03.123Z-0000' }],
		['a deed that there is not', { op: 'erase' }],
		['a key that is not known', { extra: 1 }]
	])('is refused for %s', (_, wrong) => {
		expect(Entry.safeParse({ ...good, ...wrong }).success).toBe(false);
	});

	it.each([
		['nowhere/at/all', 1, /no such place/],
		['arrival', {}, /no such place/],
		['arrival/depth_m/deeper', 1, /no such place/],
		['readings/phlogiston/left', { value: 1, unit: 'mg_L' }, /no such place/],
		['arrival/depth_m', 'knee', /must be a number/],
		['arrival/depth_m', 31, /over 10 m is not possible/],
		['arrival/access', 'swim', /wade, bank, pole, bridge, syringe, leave/],
		['readings/water-temperature/main', { value: 112, unit: 'degC' }, /−2 to 45/],
		['readings/water-temperature/main', { value: 11, unit: 'mg_L' }, /another kind of unit/],
		['readings/water-temperature/main', { value: 11, below: 2, unit: 'degC' }, /a figure is/],
		['reviews/e-coli', { verdict: 'reject', reason: '  ', judged: '1' }, /needs a reason/]
	])('at %s with %o is unfit', (path, value, why) => {
		expect(whyUnfit(entry({ path, value }))).toMatch(why);
	});

	it.each([
		['readings/water-temperature/main', { value: 52, unit: 'degF' }],
		['readings/tube-depth/tube', { above: 120, unit: 'cm' }],
		['gaugings/main/verticals/v1/velocity_m_s', -0.1],
		['bottles/bacteria/results/e-coli', { below: 10, unit: 'cfu_100mL' }]
	])('at %s with %o is fit', (path, value) => {
		expect(whyUnfit(entry({ path, value }))).toBeNull();
	});

	it('strikes only what it names, and adds only where things are counted', () => {
		expect(whyUnfit(entry({ op: 'strike', was: null, value: null }))).toMatch(/names the entry/);
		expect(whyUnfit(entry({ op: 'strike', was: good.id, value: null }))).toMatch(/itself/);
		expect(whyUnfit(entry({ op: 'add' }))).toMatch(/only counts are added/);
		expect(whyUnfit(entry({ path: 'tallies/t/taxa/x', value: 2 }))).toMatch(/not set/);
	});

	it('knows which parameter a place is about', () => {
		expect(placeAt('bottles/b/results/e-coli')?.parameter).toBe('e-coli');
		expect(placeAt('arrival/depth_m')?.parameter).toBeNull();
	});
});

describe('the clock', () => {
	const noon = Date.UTC(2026, 4, 14, 12);

	it('goes with the wall clock, and counts within a millisecond', () => {
		const first = tick(null, noon);
		expect(instantOf(first)).toBe(noon);
		expect(tick(first, noon) > first).toBe(true);
		expect(instantOf(tick(first, noon + 5))).toBe(noon + 5);
	});

	it('never goes back when the wall clock is set back a little', () => {
		const last = tick(null, noon);
		expect(tick(last, noon - 60_000) > last).toBe(true);
	});

	it('does not follow a clock that is a year ahead', () => {
		expect(instantOf(tick(tick(null, noon + 365 * 86_400_000), noon))).toBe(noon);
	});

	it('carries over when a millisecond is full', () => {
		expect(tick('2026-05-14T12:00:00.000Z-ffff', noon)).toBe('2026-05-14T12:00:00.001Z-0000');
	});
});
