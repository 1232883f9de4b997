import fc from 'fast-check';
import { afterEach, describe, expect, it } from 'vitest';
import { numberStyles, writeNumbersBy } from '../quantity';
import {
	asRead,
	asShown,
	emptyLibrary,
	kindNamed,
	kinds,
	lookupIn,
	namedBy,
	objectionsTo,
	planImport,
	readRow,
	withRow,
	writeRow,
	type FileRow,
	type KindName,
	type Library,
	type Texts
} from '.';

const today = '2026-05-14';
let n = 0;
const newId = () => `id-${++n}`;
const the = (name: KindName) => kindNamed(name)!;
afterEach(() => writeNumbersBy(() => undefined));

/** A library with a row more, that must be in order. */
function having(library: Library, name: KindName, texts: Texts): Library {
	const { row, objections } = readRow(the(name), newId(), texts, lookupIn(library));
	expect([...objections, ...objectionsTo(the(name), row, library, today)]).toEqual([]);
	return withRow(library, the(name), row);
}

const site = {
	code: 'KE1',
	name: 'Kell 1',
	streamId: 'Kell',
	river_km: '3',
	latitude: '50',
	longitude: '-20',
	elevation_m: '120',
	permission: 'given',
	ways: 'wading'
};
const person = {
	name: 'Ada Fenn',
	initials: 'AF',
	email: 'ada@fenn.invalid',
	role: 'coordinator',
	weekdays: 'Mon; Tue'
};

function small(): Library {
	let library = having(emptyLibrary(), 'streams', { name: 'Kell', length_km: '12' });
	library = having(library, 'streams', { name: 'Moss Beck', length_km: '4', joinsStreamId: 'kell', joinsAt_km: '5,5' });
	library = having(library, 'sites', site);
	library = having(library, 'people', person);
	library = having(library, 'teams', { name: 'North' });
	library = having(library, 'depots', { name: 'Shed', latitude: '50', longitude: '-20' });
	library = having(library, 'labs', {
		name: 'Bench',
		latitude: '50.1',
		longitude: '-20',
		arrives: 'delivered',
		hours: 'Mon-Wed 09:00-15:00',
		bottlesADay: '8',
		bench_min: '40'
	});
	return { ...library, cards: [{ id: 'card-1', code: 'stream-visit', title: 'Stream visit' }] };
}

const whyNot = (library: Library, name: KindName, texts: Texts, id = newId()): string[] => {
	const { row, objections } = readRow(the(name), id, texts, lookupIn(library));
	return (objections.length ? objections : objectionsTo(the(name), row, library, today)).map((o) => o.why);
};
const idOf = (library: Library, name: KindName, text: string) => lookupIn(library).find([name], text)!;

describe('what is typed', () => {
	it('is said to be wrong at its field, in words', () => {
		const { objections } = readRow(
			the('sites'),
			'x',
			{ ...site, code: '7 x', latitude: '95', river_km: 'three', permission: 'perhaps', ways: '' },
			lookupIn(small())
		);
		expect(objections).toEqual([
			{ field: 'code', why: 'Code: letters, digits and hyphens, a letter first.' },
			{ field: 'river_km', why: 'Above its mouth: “three” is not a number.' },
			{ field: 'latitude', why: 'Latitude lies between −90 and 90 °; 95 does not.' },
			{
				field: 'permission',
				why: 'Landowner’s permission is one of not needed, given, asked, refused; “perhaps” is not.'
			},
			{ field: 'ways', why: 'Ways to sample is missing.' }
		]);
	});

	it.each([
		['labs', 'hours', 'Mon-Tue 09:00-12:00; Tue 11:00-14:00', 'on Tue 11:00-14:00 overlaps 09:00-12:00'],
		['labs', 'hours', 'Mon 15:00-09:00', 'closes before it opens'],
		['labs', 'hours', 'weekdays', 'is not hours such as'],
		['labs', 'closedOn', '24 December', 'is not a day such as'],
		['people', 'away', '2026-07-09 to 2026-07-01', 'ends before it begins'],
		['people', 'weekdays', 'Mon; Someday', '“Someday” is not a day of the week'],
		['instruments', 'measures', 'conductivity 5000 to 0', 'is no range'],
		['instruments', 'measures', 'fizz 0 to 10', 'is not a line such as'],
		['instruments', 'measures', 'conductivity 0 to 10, wobble 3', 'known are accuracy, resolution, stall']
	] as const)('%s: %s “%s”', (name, field, text, why) => {
		expect(the(name).fields[field]!.read(text, lookupIn(small()))).toEqual({ why: expect.stringContaining(why) });
	});

	it('reads hours over the end of a week and writes days in a row as one', () => {
		const { hours } = the('labs').fields;
		const read = hours!.read('Sat-Mon 10:00-12:00; Mon 14:00-15:00', lookupIn(small())) as { value: never };
		expect(hours!.write(read.value, lookupIn(small()))).toBe('Mon 10:00-12:00; Mon 14:00-15:00; Sat-Sun 10:00-12:00');
	});

	it('comes back as it went, for hours of any kind', () => {
		const slot = fc.record({
			weekday: fc.integer({ min: 0, max: 6 }),
			opens_min: fc.integer({ min: 0, max: 700 }),
			closes_min: fc.integer({ min: 701, max: 1440 })
		});
		fc.assert(
			fc.property(fc.uniqueArray(slot, { selector: (s) => s.weekday, maxLength: 7 }), (value) => {
				const { hours } = the('labs').fields;
				const back = hours!.read(hours!.write(value, lookupIn(small())), lookupIn(small())) as { value: typeof value };
				const inOrder = (list: typeof value) => [...list].sort((a, b) => a.weekday - b.weekday);
				expect(inOrder(back.value)).toEqual(inOrder(value));
			})
		);
	});

	it.each([
		['11.2', '−0.12'],
		['11,2', '−0,12']
	] as const)('a number is shown as people write %s, and read back', (style, text) => {
		writeNumbersBy(() => style);
		const { longitude, code } = the('sites').fields;
		expect(asShown(longitude, longitude!.write(-0.12, lookupIn(small())))).toBe(text);
		expect(longitude!.read(text, lookupIn(small()))).toEqual({ value: -0.12 });
		expect(asShown(code, '1.5')).toBe('1.5');
		expect(asRead(longitude, '-0.12')).toBe(text);
	});

	it('a day is read as people write days, and typed as it is kept', () => {
		const { retiredOn } = the('sites').fields;
		expect(asRead(retiredOn, '2026-05-14')).toBe('Thu 14 May 2026');
		expect(asRead(retiredOn, '')).toBe('');
		expect(asShown(retiredOn, '2026-05-14')).toBe('2026-05-14');
	});

	it('an instrument’s ranges come back as they went', () => {
		const text =
			'water-temperature -5 to 50, resolution 0.1\n' +
			'dissolved-oxygen 0 to 20, accuracy 0.2, resolution 0.1, calibrate every 2 days\nvelocity 0.03 to 3, stall 0.03';
		const { measures } = the('instruments').fields;
		const read = measures!.read(text, lookupIn(small())) as { value: never };
		for (const style of numberStyles) {
			writeNumbersBy(() => style);
			const written = measures!.write(read.value, lookupIn(small()));
			expect(written).toBe(text);
			const shown = asShown(measures, written);
			expect(shown).toContain(style === '11,2' ? 'velocity 0,03 to 3, stall 0,03' : 'velocity 0.03 to 3, stall 0.03');
			expect(measures!.read(shown, lookupIn(small()))).toEqual(read);
		}
	});

	it('a comma in thousands is not taken for a decimal mark where people write a point', () => {
		const { measures } = the('instruments').fields;
		expect(measures!.read('conductivity 0 to 5,000', lookupIn(small()))).toEqual({
			why: expect.stringContaining('“000” after conductivity') as string
		});
	});
});

describe('texts of any value come back as it', () => {
	const lookup = lookupIn(small());
	/** What a field reads from what it wrote. */
	const back = (name: KindName, field: string, value: unknown) =>
		the(name).fields[field]!.read(the(name).fields[field]!.write(value, lookup), lookup);
	const day = fc
		.date({ min: new Date('1990-01-01'), max: new Date('2090-01-01'), noInvalidDate: true })
		.map((d) => d.toISOString().slice(0, 10));

	it.each<[KindName, string, fc.Arbitrary<unknown>]>([
		['streams', 'length_km', fc.double({ min: 0.01, max: 10_000, noNaN: true })],
		['sites', 'latitude', fc.double({ min: -90, max: 90, noNaN: true }).map((x) => x + 0)],
		['sites', 'ways', fc.subarray(['wading', 'bank', 'bridge', 'pole'], { minLength: 1 })],
		['sites', 'opens_min', fc.option(fc.integer({ min: 0, max: 1439 }))],
		['sites', 'permissionUntil', fc.option(day)],
		['sites', 'lowWaterAt', fc.option(day.map((d) => `${d} 06:20`))],
		['people', 'weekdays', fc.subarray([1, 2, 3, 4, 5, 6, 0])],
		[
			'people',
			'away',
			fc.array(fc.tuple(day, day).map((pair) => ({ from: [...pair].sort()[0]!, to: [...pair].sort()[1]! })))
		],
		['labs', 'closedOn', fc.uniqueArray(day).map((list) => [...list].sort())],
		['circuits', 'disinfects', fc.boolean()],
		['circuits', 'earliestStart_min', fc.integer({ min: 0, max: 1439 })]
	])('%s: %s', (name, field, values) => {
		fc.assert(fc.property(values, (value) => void expect(back(name, field, value)).toEqual({ value })));
	});

	it('and no text at all makes a reader fall over', () => {
		fc.assert(
			fc.property(fc.string(), (text) => {
				for (const kind of kinds)
					for (const field of Object.values(kind.fields)) {
						const read = field.read(text, lookup);
						expect('value' in read || read.why.length > 0).toBe(true);
					}
			})
		);
	});
});

describe('what must hold between things', () => {
	it('a stream that joins itself', () => {
		const library = small();
		expect(
			whyNot(
				library,
				'streams',
				{ name: 'Kell', length_km: '12', joinsStreamId: 'Kell', joinsAt_km: '2' },
				idOf(library, 'streams', 'Kell')
			)
		).toEqual(['Kell cannot join itself.']);
	});

	it('a circle of streams is named as it runs', () => {
		const library = small();
		const why = whyNot(
			library,
			'streams',
			{ name: 'Kell', length_km: '12', joinsStreamId: 'Moss Beck', joinsAt_km: '2' },
			idOf(library, 'streams', 'Kell')
		);
		expect(why).toEqual(['This makes a circle: Kell → Moss Beck → Kell. Water does not run in one.']);
	});

	it('a site off its stream, and a stream made too short for its site', () => {
		const library = small();
		expect(whyNot(library, 'sites', { ...site, code: 'KE2', river_km: '12.5' })).toEqual([
			'Kell is 12 km long; a site at 12.5 km is not on it.'
		]);
		expect(whyNot(library, 'streams', { name: 'Kell', length_km: '2' }, idOf(library, 'streams', 'Kell'))).toEqual([
			'It is longer than that: KE1 lies at 3 km, Moss Beck joins at 5.5 km.'
		]);
	});

	it('a site far from its neighbour for the water between them is doubted, not refused', () => {
		const library = having(small(), 'sites', { ...site, code: 'KE2', name: 'Kell 2', river_km: '4', latitude: '50.2' });
		const row = library.sites.find((s) => s['code'] === 'KE2')!;
		expect(the('sites').doubts!(row, library, today)[0]!.why).toMatch(
			/22\.2 km from KE1 as the crow flies, but only 1\.0 km along/
		);
	});

	it('two of one name', () => {
		expect(whyNot(small(), 'sites', { ...site, code: 'ke1' })).toEqual(['There is another site KE1.']);
	});

	it('a program’s last coordinator stays one', () => {
		const library = small();
		const id = idOf(library, 'people', 'AF');
		expect(whyNot(library, 'people', { ...person, role: 'monitor' }, id)[0]).toMatch(/at least one coordinator/);
		expect(whyNot(library, 'people', { ...person, leftOn: '2026-05-01' }, id)[0]).toMatch(/at least one coordinator/);
		expect(whyNot(library, 'people', { ...person, leftOn: '2027-05-01' }, id)[0]).toMatch(/yet to come/);
	});

	it('training that has ended is said where the person and the circuit are', () => {
		const library = having(small(), 'people', {
			...person,
			name: 'Ben Orr',
			initials: 'BO',
			email: 'b@o.invalid',
			role: 'monitor',
			teamId: 'North',
			skills: 'plates',
			trainedUntil: '2026-01-31'
		});
		const row = library.people.find((p) => p['initials'] === 'BO')!;
		expect(the('people').doubts!(row, library, today)[0]!.why).toMatch(/ended on 2026-01-31/);
	});

	it('people are trained in what the program says, and it keeps what somebody is trained in', () => {
		const texts = { ...person, name: 'Ben Orr', initials: 'BO', email: 'b@o.invalid', skills: 'boats' };
		expect(whyNot(small(), 'people', texts)[0]).toMatch(/^“boats” is nothing that people are trained in here/);
		const program = { ...small().program[0]!, skills: ['boats'] };
		const withBoats = { ...small(), program: [program] };
		expect(whyNot(withBoats, 'people', texts)).toEqual([]);
		const crewed = having(withBoats, 'people', texts);
		expect(the('program').objections({ ...program, skills: [] }, crewed, today)[0]).toMatchObject({
			field: 'skills',
			why: '“boats” is still asked for by Ben Orr.'
		});
	});

	const circuit = {
		name: 'North round',
		siteIds: 'KE1',
		teamId: 'North',
		cardId: 'stream-visit',
		water: 'Kell',
		depotId: 'Shed',
		labId: 'Bench',
		weekdays: 'Mon; Tue',
		least_days: '15',
		aim_days: '30',
		most_days: '37',
		crew: '2',
		earliestStart_min: '07:30',
		latestStart_min: '11:00'
	};

	it('a circuit that never meets its lab’s hours, or whose days apart go down', () => {
		expect(whyNot(small(), 'circuits', circuit)).toEqual([]);
		expect(whyNot(small(), 'circuits', { ...circuit, weekdays: 'Fri' })).toEqual([
			'Bench takes bottles on Monday, Tuesday, Wednesday; on none of these does the circuit run.'
		]);
		expect(whyNot(small(), 'circuits', { ...circuit, least_days: '31' })[0]).toMatch(
			/at least 31, near 30, at most 37 do not/
		);
	});

	it('a thing that others name is told by whom', () => {
		const library = having(small(), 'circuits', circuit);
		expect(namedBy(the('sites'), idOf(library, 'sites', 'KE1'), library)).toEqual(['circuit North round']);
		expect(namedBy(the('streams'), idOf(library, 'streams', 'Kell'), library)).toEqual([
			'stream Moss Beck',
			'site KE1'
		]);
	});

	it('every kind that others refer to stands before them in the order of setting up', () => {
		for (const [i, kind] of kinds.entries())
			for (const field of Object.values(kind.fields))
				for (const other of field.refers ?? [])
					expect(['cards', ...kinds.slice(0, i + 1).map((k) => k.name)]).toContain(other);
	});
});

describe('a file of rows', () => {
	const rows = (...cells: Texts[]): FileRow[] => cells.map((c, i) => ({ line: i + 2, cells: c }));
	const plan = (name: KindName, file: FileRow[], library = small(), defaults = {}) =>
		planImport(the(name), file, library, { newId, today, defaults });

	it('asks once what foreign headings and words mean, and reads the next file so', () => {
		const foreign = rows({ Kürzel: 'KE1', Gewässer: 'Kell', Erlaubnis: 'erteilt', Notiz: 'x' });
		const first = plan('sites', foreign);
		expect(first.unknown).toEqual(['Kürzel', 'Gewässer', 'Erlaubnis', 'Notiz']);
		const headings = { Kürzel: 'code', Gewässer: 'streamId', Erlaubnis: 'permission', Notiz: '' };
		const again = (values: Record<string, Record<string, string>>) =>
			planImport(the('sites'), foreign, small(), { newId, today, mapping: { headings, values } });
		const asked = again({});
		expect(asked.unknown).toEqual([]);
		expect(asked.strange).toEqual([{ field: 'permission', text: 'erteilt' }]);
		expect(asked.lines[0]).toMatchObject({ verdict: 'refused' });
		expect(again({ permission: { erteilt: '' } }).strange).toEqual(asked.strange);
		const said = again({ permission: { erteilt: 'given' } });
		expect(said.strange).toEqual([]);
		expect(said.lines[0]!.why).toEqual([]);
	});

	it('takes a word that every object answers to for a word like any other', () => {
		const odd = rows({ code: 'KE1', constructor: 'x', permission: 'constructor' });
		const mapping = { headings: {}, values: { permission: { given: 'given' } } };
		const read = planImport(the('sites'), odd, small(), { newId, today, mapping });
		expect(read.unknown).toEqual(['constructor']);
		expect(read.strange).toEqual([{ field: 'permission', text: 'constructor' }]);
	});

	it('says for each line what it would do, and changes only what it has headings for', () => {
		const { lines, unknown } = plan(
			'sites',
			rows(
				{ Code: 'KE1', Hazards: 'A weir.', colour: 'red' },
				{ ...site, code: 'KE2', name: 'Kell 2' },
				{ Code: 'KE1 ', Hazards: '' }
			)
		);
		expect(lines.map((l) => [l.line, l.verdict, l.why])).toEqual([
			[2, 'changed', []],
			[3, 'new', []],
			[4, 'refused', ['Line 2 says the same site already.']]
		]);
		expect(lines[0]!.changes).toEqual([{ label: 'Hazards', from: '', to: 'A weir.' }]);
		expect(lines[0]!.row).toMatchObject({ river_km: 3, name: 'Kell 1' });
		expect(unknown).toEqual(['colour']);
	});

	it('rows may name each other in any order, and fall with what they name', () => {
		const file = rows(
			{ name: 'Upper Rill', length_km: '1', joins: 'Lower Rill', joinsAt_km: '0.5' },
			{ name: 'Lower Rill', length_km: '2', joins: 'Kell', joinsAt_km: '1' }
		);
		expect(plan('streams', file).lines.map((l) => l.verdict)).toEqual(['new', 'new']);
		file[1]!.cells['length_km'] = 'long';
		expect(plan('streams', file).lines.map((l) => [l.verdict, l.why[0]])).toEqual([
			['refused', 'Joins: what it names is refused in this file.'],
			['refused', 'Length: “long” is not a number.']
		]);
	});

	it('a circle made within the file is refused whole', () => {
		const { lines } = plan(
			'streams',
			rows(
				{ name: 'A', length_km: '3', joins: 'B', joinsAt_km: '1' },
				{ name: 'B', length_km: '3', joins: 'A', joinsAt_km: '1' }
			)
		);
		expect(lines.every((l) => l.verdict === 'refused')).toBe(true);
		expect(lines[0]!.why[0]).toMatch(/circle: A → B → A/);
	});

	it('what the file has no heading for is asked once for all rows', () => {
		const file = rows({ code: 'KE5', name: 'Kell 5', latitude: '50', longitude: '-20' });
		expect(plan('sites', file).missing).toEqual(['streamId', 'river_km', 'elevation_m', 'permission', 'ways']);
		const filled = plan('sites', file, small(), {
			streamId: 'Kell',
			river_km: '1',
			elevation_m: '80',
			permission: 'asked',
			ways: 'bank'
		});
		expect(filled.lines[0]).toMatchObject({ verdict: 'new', row: { river_km: 1, ways: ['bank'] } });
		expect(filled.missing).toEqual([]);
	});

	it('a drive in the other direction is the same drive', () => {
		const library = having(small(), 'drives', { fromId: 'Shed', toId: 'KE1', minutes: '20' });
		expect(plan('drives', rows({ from: 'KE1', to: 'Shed', takes: '25' }), library).lines[0]).toMatchObject({
			verdict: 'changed',
			changes: [{ label: 'From' }, { label: 'To' }, { label: 'Takes', from: '20', to: '25' }]
		});
	});

	it.each(numberStyles)('a library written out and read in again changes nothing, with numbers as %s', (style) => {
		writeNumbersBy(() => style);
		const library = small();
		for (const name of ['streams', 'sites', 'people', 'teams', 'depots', 'labs'] as const) {
			const lookup = lookupIn(library);
			const file = library[name].map((row, i): FileRow => ({ line: i + 2, cells: writeRow(the(name), row, lookup) }));
			expect(plan(name, file, library).lines.map((l) => l.verdict)).toEqual(file.map(() => 'same'));
		}
	});
});
