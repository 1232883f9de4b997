import { describe, expect, it } from 'vitest';
import { emptyLibrary, kindNamed, lookupIn, type KindName } from '.';

const read = (kind: KindName, field: string, text: string) =>
	kindNamed(kind)!.fields[field]!.read(text, lookupIn(emptyLibrary()));

describe('days of the week', () => {
	it.each([
		['Mon; Tue', [1, 2]],
		['mon, wed-fri', [1, 3, 4, 5]],
		['Saturday', [6]],
		['Sat-Mon', [1, 6, 0]]
	])('%s', (text, value) => expect(read('circuits', 'weekdays', text)).toEqual({ value }));
	it.each(['Monkey', 'Mo', 'Mon-Tue-Wed', 'Sunny', 'Mon Tue'])('%s is none', (text) =>
		expect(read('circuits', 'weekdays', text)).toHaveProperty('why')
	);
});

describe('hours', () => {
	it('may name several days', () => {
		const said = read('labs', 'hours', 'Mon, Wed 09:00-12:00; Thursday 10:00-15:30') as {
			value: { weekday: number }[];
		};
		expect(said.value.map((h) => h.weekday)).toEqual([1, 3, 4]);
	});
	it.each(['Monkey 09:00-12:00', 'Mon 09:00-12:00 or so', 'Mon 09:00', '09:00-12:00', 'Mon 09:00-12:00-13:00'])(
		'“%s” is none',
		(text) => expect(read('labs', 'hours', text)).toHaveProperty('why')
	);
});

describe('stretches and moments', () => {
	it.each(['2026-06-01 to 2026-06-14 to 2026-07-01', '2026-06-01 to 2026-06-14 more', '2026-06-01..'])(
		'%s is no stretch',
		(text) => expect(read('people', 'away', text)).toHaveProperty('why')
	);
	it('nothing may follow a time', () =>
		expect(read('sites', 'lowWaterAt', '2026-05-14 06:20 tide')).toHaveProperty('why'));
});

it('a cell of blanks is read at once', () => {
	const began = performance.now();
	for (const [kind, field] of [
		['labs', 'hours'],
		['people', 'away'],
		['circuits', 'weekdays'],
		['labs', 'closedOn']
	] as const)
		read(kind, field, `x${' '.repeat(300_000)}x`);
	expect(performance.now() - began).toBeLessThan(1000);
});

describe('a flume', () => {
	const flume = kindNamed('flumes')!;
	it('whose rating holds over no head is refused', () => {
		const row = {
			id: 'f',
			name: 'Narrow',
			throat_m: 0.1,
			coefficient: 0.5,
			exponent: 1.5,
			submergenceLimit: 0.5,
			minimumHead_m: 0.2,
			maximumHead_m: 0.1,
			source: 's'
		};
		expect(flume.objections(row, emptyLibrary(), '2026-05-14')).toEqual([
			{ field: 'maximumHead_m', why: expect.stringMatching(/no head at all/) as string }
		]);
		expect(flume.objections({ ...row, maximumHead_m: 0.4 }, emptyLibrary(), '2026-05-14')).toEqual([]);
	});
});
