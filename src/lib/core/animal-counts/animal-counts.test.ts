import { describe, expect, it } from 'vitest';
import { CountMapping, planCounts, rowsOfColumns, writesOf, type KnownTray } from '.';

const tray = (over: Partial<KnownTray> = {}): KnownTray => ({
	visitId: '0196c0de-0000-7000-8000-000000000001',
	step: 'sort',
	school: 'count',
	label: 'TE2-2605-A',
	site: 'TE2',
	day: '2026-05-03',
	kinds: {},
	isEnded: false,
	from: null,
	...over
});

type Options = Parameters<typeof planCounts>[1];
const options = (over: Partial<Options> = {}): Options => ({
	mapping: CountMapping.parse({}),
	animals: [],
	trays: [tray()],
	sites: ['TE2', 'EB1'],
	today: '2026-05-14',
	opensAs: null,
	...over
});

/** A file of counts from its text, cells between bars. */
const file = (text: string) => {
	const [head = [], ...rows] = text
		.trim()
		.split('\n')
		.map((line) => line.split('|').map((c) => c.trim()));
	return rows.map((cells, i) => ({
		line: i + 2,
		cells: Object.fromEntries(head.map((h, k) => [h, cells[k] ?? '']))
	}));
};
const plan = (text: string, over: Partial<Options> = {}) => planCounts(file(text), options(over));
const only = (text: string, over: Partial<Options> = {}) => {
	const { samples } = plan(text, over);
	expect(samples).toHaveLength(1);
	return samples[0]!;
};

describe('a file of counts made elsewhere', () => {
	it('is taken whole: names of ours, other names and species, those of one kind together', () => {
		const sample = only(`
			sample | taxon | count
			te2-2605-a | Baetidae | 30
			TE2-2605-A | Baetis rhodani | 12
			TE2-2605-A | Tubificidae | 8
			TE2-2605-A | gammarus sp. | 5,0
			TE2-2605-A | Perlidae |
		`);
		expect(sample).toMatchObject({ verdict: 'new', animals: 55, at: { step: 'sort' } });
		expect(sample.kinds).toEqual([
			{ code: 'Baetidae', count: 42 },
			{ code: 'Oligochaeta', count: 8 },
			{ code: 'Gammaridae', count: 5 }
		]);
		expect(sample.doubts).toEqual(['Counted together as Baetidae: Baetidae 30 and Baetis rhodani 12.']);
	});

	it('may have a column for each sample, named by its label or by site and day; other columns are asked about', () => {
		const table = file(`
			taxon | TE2-2605-A | EB1, 3 May 2026 | Total
			Baetidae | 30 | 4 | 34
			Perlidae | 0 | 2 | 2
			Betidae | - | | 0
			Asellidae | 3.5 | | 3.5
		`);
		const rows = rowsOfColumns(table, options());
		const { samples, strange, unknown, missingFields } = planCounts(rows, options({ opensAs: 'count' }));
		expect([missingFields, strange, unknown]).toEqual([[], [], [{ heading: 'Total', example: '34' }]]);
		expect(samples.map((s) => [s.name, s.verdict, s.animals])).toEqual([
			['TE2-2605-A', 'refused', 30],
			['EB1, Sun 3 May 2026', 'opens', 6]
		]);
		expect(samples[0]!.why[0]).toContain('“3.5” is no whole number of animals');
		// rows of one count each, and headings that name no sample, stay as they are
		for (const text of ['sample | taxon | count\nTE2-2605-A | Baetidae | 3', 'taxon | Monday\nBaetidae | 3'])
			expect(rowsOfColumns(file(text), options())).toEqual(file(text));
	});

	it('waits as a whole where one name is not known, and is taken once that was said', () => {
		const text = `
			site | date | family | n
			TE2 | 3 May 2026 | Betidae | 30
			TE2 | 3 May 2026 | Asellidae | 4
		`;
		const asked = plan(text);
		expect(asked.strange).toEqual(['Betidae']);
		expect(asked.samples[0]).toMatchObject({
			verdict: 'refused',
			why: ['It waits for 1 row. “Betidae” is no animal known here.']
		});
		const said = (code: string) => only(text, { mapping: CountMapping.parse({ animals: { Betidae: code } }) });
		expect(said('Baetidae')).toMatchObject({ verdict: 'new', animals: 34 });
		expect(said('')).toMatchObject({ verdict: 'new', animals: 4, doubts: ['Left out: Betidae 30.'] });
	});

	it.each([
		['-3', 'cannot be'],
		['3.5', 'no whole number'],
		['=SUM(A1)', 'a formula'],
		['many', 'not a count'],
		['9999999', 'not possible']
	])('refuses a count of %s in kind words', (count, why) => {
		const { rows, samples } = plan(`sample|taxon|count\nTE2-2605-A|Baetidae|${count}`);
		expect(rows[0]!.why).toContain(why);
		expect(samples[0]!.verdict).toBe('refused');
	});

	it('says which headings it lacks, and asks what others mean', () => {
		expect(plan('taxon|count\nBaetidae|3').missingFields).toEqual(['site', 'day']);
		const odd = plan('sample|taxon|Zahl\nTE2-2605-A|Baetidae|3');
		expect(odd).toMatchObject({ missingFields: ['count'], unknown: [{ heading: 'Zahl', example: '3' }], samples: [] });
		const mapping = CountMapping.parse({ headings: { Zahl: 'count' } });
		expect(only('sample|taxon|Zahl\nTE2-2605-A|Baetidae|3', { mapping }).verdict).toBe('new');
	});

	it('adds nothing to a tray that was counted, and knows its own counts again', () => {
		const text = 'sample|taxon|count\nTE2-2605-A|Baetidae|3';
		expect(only(text, { trays: [tray({ kinds: { Baetidae: 3 } })] }).verdict).toBe('same');
		expect(only(text, { trays: [tray({ kinds: { Baetidae: 4 } })] }).why[0]).toContain('counted in it already');
		expect(only(text, { trays: [tray({ kinds: { Baetidae: 4 }, from: 'May counts' })] }).why[0]).toMatch(
			/^May counts brought 4 animals/
		);
	});

	it('finds no tray, or two, or one that is sorted otherwise, and says which', () => {
		const byDay = (site: string, day: string) => `site|day|taxon|count\n${site}|${day}|Baetidae|3`;
		const why = (text: string, over: Partial<Options> = {}) => only(text, over).why[0];
		expect(why('sample|taxon|count\nX-1|Baetidae|3')).toBe('No sample of this program has the label X-1.');
		expect(why(byDay('QX9', '2026-05-03'))).toContain('no site QX9');
		expect(why(byDay('EB1', '2026-05-03'))).toContain('One can be opened for it');
		expect(why(byDay('EB1', '2026-06-03'), { opensAs: 'count' })).toContain('still to come');
		expect(why(byDay('TE2', '3/5/2026'))).toContain('write the month as a word');
		expect(why(byDay('TE2', '2026-05-03'), { trays: [tray(), tray({ label: 'B' })] })).toContain('by its label');
		expect(why(byDay('TE2', '2026-05-03'), { trays: [tray({ school: 'pick' })] })).toContain('against the clock');
		expect(why('sample|site|taxon|count\nTE2-2605-A|EB1|Baetidae|3')).toContain('of another site');
		expect(why('sample|site|taxon|count\nTE2-2605-A|EB1|Baetidae|3\nTE2-2605-A|TE2|Perlidae|3')).toContain(
			'which is it'
		);
	});

	it('opens a visit for a sample of a day that has none, where that was asked for', () => {
		const sample = only('site|day|taxon|count\neb1|14.10.2025|Baetidae|3', { opensAs: 'presence' });
		expect(sample).toMatchObject({ verdict: 'opens', school: 'presence', at: { site: 'EB1', day: '2025-10-14' } });
	});

	it('writes neither of two names of one tray', () => {
		const { samples } = plan('sample|site|day|taxon|count\nTE2-2605-A|||Baetidae|3\n|TE2|2026-05-03|Perlidae|3');
		expect(samples.map((s) => s.verdict)).toEqual(['refused', 'refused']);
		expect(samples[0]!.why[0]).toContain('is the same sample');
	});

	it('writes kinds as the card sorts them', () => {
		const kinds = [
			{ code: 'Baetidae', count: 12 },
			{ code: 'Perlidae', count: 1 }
		];
		const from = { from: 'May counts', at: '2026-05-14T11:20:00Z' };
		expect(writesOf({ kinds, school: 'count', isEnded: false }, 'sort', from)).toEqual([
			{ path: 'trays/sort/countedElsewhere', op: 'set', value: 'May counts' },
			{ path: 'tallies/sort/taxa/Baetidae', op: 'add', value: 12 },
			{ path: 'tallies/sort/taxa/Perlidae', op: 'add', value: 1 },
			{ path: 'trays/sort/endedAt', op: 'set', value: '2026-05-14T11:20:00Z' }
		]);
		expect(writesOf({ kinds, school: 'classes', isEnded: false }, 'sort', from).map((w) => w.value)).toContain(
			'11-100'
		);
		expect(writesOf({ kinds, school: 'presence', isEnded: false }, 'sort', from)[1]).toEqual({
			path: 'trays/sort/present/Baetidae',
			op: 'set',
			value: true
		});
		// the moment at which a crew had sorted it stays
		const ended = writesOf({ kinds, school: 'count', isEnded: true }, 'sort', from);
		expect(ended.some((w) => w.path === 'trays/sort/endedAt')).toBe(false);
	});
});
