import { and, eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import { describe, expect, it } from 'vitest';
import { exampleThresholds, kindNamed, lookupIn, writeRow, type KindName } from '../../src/lib/core/library';
import { settingsOf, shippedCards } from '../../src/lib/core/method';
import { choosePassword } from '../../src/lib/server/auth/library';
import { database } from '../../src/lib/server/db/connect';
import type { Membership } from '../../src/lib/server/db/queries/members';
import {
	account,
	audit,
	member,
	methodCardVersion,
	result,
	round,
	site,
	stream,
	user,
	visit
} from '../../src/lib/server/db/schema';
import { readSettings, settingsAsCsv } from '../../src/lib/server/library/card-file';
import { cardVersions, keepVersion, takeCard } from '../../src/lib/server/library/cards';
import {
	auditOf,
	changeSeveral,
	importFile,
	mappingOf,
	keepExamples,
	keepTexts,
	removeRow,
	textsBefore
} from '../../src/lib/server/library/keep';
import { loadLibrary } from '../../src/lib/server/library/load';
import { thresholdsOf } from '../../src/lib/server/db/queries/thresholds';
import { definedParameters, knownParameters } from '../../src/lib/server/db/queries/own-parameters';
import { calibrate, calibrationsOf } from '../../src/lib/server/plan/calibrate';
import { joinWord } from '../../src/lib/server/library/people';
import { beginProgram } from '../../src/lib/server/library/program';
import { MOST_ROWS, readFile } from '../../src/lib/server/library/read-file';
import { asCsv, asGeoJson, asGpx } from '../../src/lib/server/library/write-file';
import { askedOf } from '../../src/routes/(office)/sites/[code]/asked';
import { aDevice, anOpening, aProgram, now_ms, send, type AProgram } from './a-program';

const db = database();
const the = (name: KindName) => kindNamed(name)!;

async function aLibrary() {
	const program = await aProgram();
	const who: Membership = {
		...program.members.coordinator,
		program: { id: program.programId, name: 'Test streams', timeZone: 'Etc/UTC', isDemo: false }
	};
	return { ...program, who };
}

/** A site's texts as they stand, for changing some of them. */
async function textsOf({ programId }: AProgram, name: KindName, text: string) {
	const library = await loadLibrary(db, programId);
	const lookup = lookupIn(library);
	const id = lookup.find([name], text)!;
	return {
		id,
		texts: writeRow(
			the(name),
			library[name].find((r) => r.id === id)!,
			lookup
		)
	};
}

const bringIn = async (
	who: Membership,
	name: KindName,
	text: string,
	confirmed: string | null = null,
	defaults = {}
) => {
	const read = readFile(text, name);
	if ('why' in read) throw new Error(read.why);
	return importFile(db, who, the(name), { rows: read.rows, defaults, confirmed }, now_ms);
};

const chlorophyll = {
	code: 'chlorophyll-a',
	name: 'Chlorophyll a',
	unit: 'µg/L',
	decimals: '1',
	possibleLow: '0',
	possibleHigh: '1000',
	plausibleLow: '0,5',
	plausibleHigh: '60',
	isNeverNought: 'no',
	ways: 'meter'
};

describe('the examples of a shelf', () => {
	it('stand on an empty one, once, each with a line of its past', async () => {
		const { who } = await aLibrary();
		expect(await thresholdsOf(db, who.programId)).toEqual([]);
		const both = await Promise.all([1, 2].map(() => keepExamples(db, who, the('thresholds'), now_ms)));
		expect(both.sort()).toEqual([false, true]);
		const { thresholds } = await loadLibrary(db, who.programId);
		expect(thresholds).toHaveLength(exampleThresholds.length);
		expect(
			await auditOf(db, who, the('thresholds'), thresholds[0]!.id, await loadLibrary(db, who.programId))
		).toHaveLength(1);
		expect((await thresholdsOf(db, who.programId)).every((t) => t.isExample)).toBe(true);
		expect(await keepExamples(db, who, the('sites'), now_ms)).toBe(false);
	});
});

describe('several rows at once', () => {
	it('get one field, all of them or none, each with a line of its past', async () => {
		const program = await aLibrary();
		const { who, programId } = program;
		const ids = (await loadLibrary(db, programId)).sites.map((s) => s.id);
		const change = (field: string, text: string, of = ids) =>
			changeSeveral(db, who, the('sites'), { ids: of, field, text }, now_ms);
		expect(await change('hazards', 'A weir below.')).toEqual({ changed: ids.length, same: 0 });
		expect(await change('hazards', 'A weir below.')).toEqual({ changed: 0, same: ids.length });
		const library = await loadLibrary(db, programId);
		expect(library.sites.map((s) => s['hazards'])).toEqual(ids.map(() => 'A weir below.'));
		expect((await auditOf(db, who, the('sites'), ids[0]!, library)).length).toBeGreaterThan(0);
		expect(await change('permission', 'perhaps')).toEqual({ why: expect.stringMatching(/Nothing was changed/) });
		expect(await change('code', 'X1')).toEqual({ why: expect.stringMatching(/one row at a time/) });
		expect(await change('constructor', 'x')).toEqual({ why: expect.stringMatching(/one row at a time/) });
		expect(await change('hazards', 'none', [v7()])).toEqual({ why: expect.stringMatching(/is gone/) });
		expect((await loadLibrary(db, programId)).sites.map((s) => s['hazards'])).toEqual(ids.map(() => 'A weir below.'));
	});
});

describe('the foreign words of a file', () => {
	it('are remembered with what they mean, once it is written', async () => {
		const { who, programId } = await aLibrary();
		const mapping = { headings: { Equipe: 'name' }, values: {} };
		const ask = (confirmed: string | null) =>
			importFile(
				db,
				who,
				the('teams'),
				{ rows: [{ line: 2, cells: { Equipe: 'Sud' } }], defaults: {}, mapping, confirmed },
				now_ms
			);
		const looked = await ask(null);
		expect(await mappingOf(db, programId, 'teams')).toEqual({ headings: {}, values: {} });
		expect((await ask(looked.fingerprint)).written).toBe(1);
		expect(await mappingOf(db, programId, 'teams')).toEqual(mapping);
		expect(await mappingOf(db, programId, 'sites')).toEqual({ headings: {}, values: {} });
	});
});

describe('a parameter of a program’s own', () => {
	const defined = async () => {
		const program = await aLibrary();
		const kept = await keepTexts(db, program.who, the('parameters'), null, chlorophyll, now_ms);
		return { ...program, id: (kept as { id: string }).id };
	};

	it('is defined, read by a step, sent in by a phone, and stands among a site’s figures by its name', async () => {
		const program = await defined();
		const { who, programId, siteId } = program;
		const on = (await cardVersions(db, programId)).get('stream-visit')![0]!.version;
		const texts = { 'steps.reading.parameter': 'own-chlorophyll-a' };
		expect(
			await keepVersion(db, who, 'stream-visit', on, texts, now_ms, [{ do: 'add', tool: 'reading' }])
		).toMatchObject({ ok: true });
		const [version] = (await cardVersions(db, programId)).get('stream-visit')!;
		const visitId = v7({ msecs: now_ms });
		const write = aDevice(program.members.monitor, visitId);
		const opening = { ...anOpening(program), cardVersionId: version!.id };
		const figure = { value: 0.012, unit: 'mg_L' };
		const sent = await send(program.members.monitor, [
			write('opening', opening),
			write('readings/own-chlorophyll-a/main', figure),
			write('leaving/at', new Date(now_ms).toISOString())
		]);
		expect(sent.refused).toEqual([]);
		const rows = await db.select().from(result).where(eq(result.programId, programId));
		expect(rows).toMatchObject([{ parameter: 'own-chlorophyll-a', value: 12, unit: 'ug_L', isReported: true }]);
		const asked = await askedOf(db, who, 'S1', new URL('http://here/sites/S1?p=own-chlorophyll-a&span=all'), now_ms);
		expect(asked).toMatchObject({
			site: { id: siteId },
			parameter: 'own-chlorophyll-a',
			known: { name: 'Chlorophyll a' }
		});
	});

	it('keeps its code and the kind of its unit; the definition that a card took over outlives the shelf', async () => {
		const { who, id, programId } = await defined();
		const again = (change: object) => keepTexts(db, who, the('parameters'), id, { ...chlorophyll, ...change }, now_ms);
		expect(await again({ code: 'chl' })).toMatchObject({ ok: false, objections: [{ field: 'code' }] });
		expect(await again({ unit: '°C' })).toMatchObject({ ok: false, objections: [{ field: 'unit' }] });
		expect(await again({ plausibleHigh: '2000' })).toMatchObject({
			ok: false,
			objections: [{ field: 'plausibleHigh' }]
		});
		expect(await again({ name: 'Chlorophyll', unit: 'mg/L' })).toMatchObject({ ok: true });
		expect(await definedParameters(db, programId)).toMatchObject({ 'own-chlorophyll-a': { name: 'Chlorophyll' } });
		const texts = { 'steps.reading.parameter': 'own-chlorophyll-a' };
		await keepVersion(db, who, 'stream-visit', 1, texts, now_ms, [{ do: 'add', tool: 'reading' }]);
		const wanted = await keepTexts(
			db,
			who,
			the('thresholds'),
			null,
			{
				use: 'clear water',
				parameter: 'own-chlorophyll-a',
				statistic: 'each sample',
				leastSamples: '1',
				good: 'little',
				watchFrom: '20',
				watchHigh: 'much',
				source: 'ours',
				isExample: 'no'
			},
			now_ms
		);
		expect(wanted).toMatchObject({ ok: true });
		// a figure could be held against nothing any more, were it gone
		expect(await removeRow(db, who, the('parameters'), id, now_ms)).toMatchObject({
			ok: false,
			why: expect.stringMatching(/named by threshold clear water/) as string
		});
		await removeRow(db, who, the('thresholds'), (wanted as { id: string }).id, now_ms);
		expect(await removeRow(db, who, the('parameters'), id, now_ms)).toMatchObject({ ok: true });
		expect(await definedParameters(db, programId)).toEqual({});
		expect(await knownParameters(db, programId)).toMatchObject({ 'own-chlorophyll-a': { name: 'Chlorophyll' } });
	});

	it('is measured by an instrument, named by its short name, and calibrated in a standard of it', async () => {
		const { who, programId } = await defined();
		const texts = { code: 'F-1', kind: 'fluorometer', measures: 'chlorophyll-a 0 to 500, calibrate every 30 days' };
		expect(await keepTexts(db, who, the('instruments'), null, texts, now_ms)).toMatchObject({ ok: true });
		const wrong = { ...texts, code: 'F-2', measures: 'phycocyanin 0 to 500' };
		expect(await keepTexts(db, who, the('instruments'), null, wrong, now_ms)).toMatchObject({ ok: false });
		const known = await calibrationsOf(db, programId, 'F-1');
		expect(known!.due).toMatchObject([
			{ parameter: 'own-chlorophyll-a', name: 'Chlorophyll a', unitSymbol: 'µg/L', way: 'standard', limit_days: 30 }
		]);
		const typed = { way: 'standard' as const, reading: 9.9, standard: 10 };
		expect(await calibrate(db, who, known!.id, 'own-chlorophyll-a', typed, now_ms)).toMatchObject({ passed: true });
	});
});

describe('one thing of the library', () => {
	it('is kept with a line in the audit, and can be brought back as it was', async () => {
		const program = await aLibrary();
		const { who } = program;
		const { id, texts } = await textsOf(program, 'sites', 'S1');
		expect(
			await keepTexts(
				db,
				who,
				the('sites'),
				id,
				{ ...texts, permission: 'given', ways: 'wading; bridge', wadingDepth_m: '0,25' },
				now_ms
			)
		).toEqual({
			ok: true,
			id
		});
		expect((await db.select().from(site).where(eq(site.id, id)))[0]).toMatchObject({
			permission: 'given',
			ways: ['wading', 'bridge'],
			wadingDepth_m: 0.25,
			name: 'Site 1'
		});
		const library = await loadLibrary(db, who.programId);
		const [line] = await auditOf(db, who, the('sites'), id, library);
		expect(line!.changes).toEqual([
			{ label: 'Landowner’s permission', from: 'not needed', to: 'given' },
			{ label: 'Ways to sample', from: 'wading', to: 'wading; bridge' },
			{ label: 'Own wading limit, depth', from: '', to: '0.25' }
		]);
		expect(await textsBefore(db, who, the('sites'), id, line!.id, library)).toEqual(texts);
	});

	it('is refused with what is wrong at which field, and nothing is written', async () => {
		const program = await aLibrary();
		const { id, texts } = await textsOf(program, 'sites', 'S1');
		const kept = await keepTexts(db, program.who, the('sites'), id, { ...texts, river_km: '9.5' }, now_ms);
		expect(kept).toEqual({
			ok: false,
			objections: [{ field: 'river_km', why: 'Stream is 9 km long; a site at 9.5 km is not on it.' }]
		});
		expect(await db.select().from(audit).where(eq(audit.programId, program.programId))).toEqual([]);
	});

	it('two coordinators at once do not make a circle between them', async () => {
		const { who, programId } = await aLibrary();
		const make = async (name: string) =>
			(await keepTexts(db, who, the('streams'), null, { name, length_km: '5' }, now_ms)) as { id: string };
		const [a, b] = [await make('A'), await make('B')];
		const kept = await Promise.all([
			keepTexts(
				db,
				who,
				the('streams'),
				a.id,
				{ name: 'A', length_km: '5', joinsStreamId: 'B', joinsAt_km: '1' },
				now_ms
			),
			keepTexts(
				db,
				who,
				the('streams'),
				b.id,
				{ name: 'B', length_km: '5', joinsStreamId: 'A', joinsAt_km: '1' },
				now_ms
			)
		]);
		expect(kept.map((k) => k.ok).sort()).toEqual([false, true]);
		expect(
			(await db.select().from(stream).where(eq(stream.programId, programId))).filter((s) => s.joinsStreamId !== null)
		).toHaveLength(1);
	});

	it('of another program is not to be found', async () => {
		const [one, other] = [await aLibrary(), await aLibrary()];
		const { id, texts } = await textsOf(one, 'sites', 'S1');
		expect(await keepTexts(db, other.who, the('sites'), id, texts, now_ms)).toMatchObject({ ok: false });
		expect(await removeRow(db, other.who, the('sites'), id, now_ms)).toMatchObject({ ok: false });
	});

	it('is not taken out while something names it or it has a past', async () => {
		const program = await aLibrary();
		const { who, programId, siteId, cardVersionId, members } = program;
		const streams = await textsOf(program, 'streams', 'Stream');
		expect(await removeRow(db, who, the('streams'), streams.id, now_ms)).toEqual({
			ok: false,
			why: 'It is named by site S1. Change those first.'
		});
		await db.insert(visit).values({
			programId,
			id: v7(),
			siteId,
			cardVersionId,
			openedBy: members.monitor.id,
			startedAt: new Date(now_ms)
		});
		expect(await removeRow(db, who, the('sites'), siteId, now_ms)).toMatchObject({
			ok: false,
			why: expect.stringMatching(/has a past.*Say since when/)
		});
		const depot = (await keepTexts(
			db,
			who,
			the('depots'),
			null,
			{ name: 'Shed', latitude: '0', longitude: '0' },
			now_ms
		)) as { id: string };
		expect(await removeRow(db, who, the('depots'), depot.id, now_ms)).toEqual({ ok: true });
		expect((await loadLibrary(db, programId)).depots).toEqual([]);
	});
});

describe('people', () => {
	const person = {
		name: 'Ina Weir',
		initials: 'IW',
		email: 'Ina@weir.invalid',
		role: 'monitor',
		teamId: 'team 0',
		weekdays: 'Sat; Sun',
		skills: 'trained crew'
	};

	it('get an address at which they choose a password, once', async () => {
		const { who } = await aLibrary();
		const email = `${v7()}@weir.invalid`;
		const kept = (await keepTexts(db, who, the('people'), null, { ...person, email }, now_ms)) as { id: string };
		const before = await db
			.select({ password: account.password })
			.from(account)
			.innerJoin(user, eq(user.id, account.userId))
			.where(eq(user.email, email));
		const word = (await joinWord(db, who, kept.id)) as { token: string };
		expect(await choosePassword(db, word.token, 'wet boots dry socks')).toBe(true);
		const after = await db
			.select({ password: account.password })
			.from(account)
			.innerJoin(user, eq(user.id, account.userId))
			.where(eq(user.email, email));
		expect(after[0]!.password).not.toBe(before[0]!.password);
		expect(await choosePassword(db, word.token, 'another one entirely')).toBe(false);
		expect(await choosePassword(db, 'no-such-word', 'another one entirely')).toBe(false);
	});

	it('who belong to another program keep their password and e-mail to themselves', async () => {
		const [one, other] = [await aLibrary(), await aLibrary()];
		const email = `${v7()}@weir.invalid`;
		const there = (await keepTexts(db, one.who, the('people'), null, { ...person, email }, now_ms)) as { id: string };
		const here = (await keepTexts(db, other.who, the('people'), null, { ...person, email }, now_ms)) as { id: string };
		expect(await joinWord(db, other.who, here.id)).toMatchObject({ why: expect.stringMatching(/another program/) });
		const changed = await keepTexts(
			db,
			one.who,
			the('people'),
			there.id,
			{ ...person, email: `${v7()}@weir.invalid` },
			now_ms
		);
		expect(changed).toEqual({
			ok: false,
			objections: [{ field: 'email', why: expect.stringMatching(/theirs to change/) }]
		});
	});

	it('who leave lose what they could do from then on, and nothing that they wrote', async () => {
		const { who, programId } = await aLibrary();
		const texts = { ...person, email: `${v7()}@weir.invalid` };
		const kept = (await keepTexts(db, who, the('people'), null, texts, now_ms)) as { id: string };
		await keepTexts(db, who, the('people'), kept.id, { ...texts, leftOn: '2026-05-14' }, now_ms);
		const [row] = await db
			.select()
			.from(member)
			.where(and(eq(member.programId, programId), eq(member.id, kept.id)));
		expect(row!.removedAt).toEqual(new Date(now_ms)); // not the morning: lines of that day are still theirs
	});
});

describe('a file', () => {
	it('says row by row what it would do, and writes all that it may, or nothing', async () => {
		const program = await aLibrary();
		const csv =
			'Code;Name;Stream;Above its mouth;Latitude;Longitude;Elevation;Landowner’s permission;Ways to sample\nS1;Site ' +
			'one;Stream;2;0;0;200;given;wading\nS2;Site 2;Stream;3,5;0,01;0;210;asked;bank\nS3;Site ' +
			'3;Nowhere;1;0;0;1;given;bank\nS4;Site 4\n';
		const seen = await bringIn(program.who, 'sites', csv);
		expect(seen.plan.lines.map((l) => [l.line, l.name, l.verdict, l.why[0]])).toEqual([
			[2, 'S1', 'changed', undefined],
			[3, 'S2', 'new', undefined],
			[4, 'S3', 'refused', 'Stream: there is no “Nowhere” in streams.'],
			[5, 'S4', 'refused', 'The row has 2 cells, the headings are 9.']
		]);
		expect((await loadLibrary(db, program.programId)).sites).toHaveLength(1);
		expect(await bringIn(program.who, 'sites', csv, 'something else')).toMatchObject({
			written: null,
			why: expect.stringMatching(/changed since you looked/)
		});
		expect(await bringIn(program.who, 'sites', csv, seen.fingerprint)).toMatchObject({ written: 2 });
		expect((await loadLibrary(db, program.programId)).sites.map((s) => [s['code'], s['name']])).toEqual([
			['S1', 'Site one'],
			['S2', 'Site 2']
		]);
	});

	it('of streams that name one another goes in whatever their order', async () => {
		const { who, programId } = await aLibrary();
		const csv = 'name,length_km,joins,joinsAt_km\nRill,1,Beck,0.5\nBeck,4,Stream,3\n';
		const seen = await bringIn(who, 'streams', csv);
		expect(await bringIn(who, 'streams', csv, seen.fingerprint)).toMatchObject({ written: 2 });
		const library = await loadLibrary(db, programId);
		expect(
			lookupIn(library).nameOf(['streams'], String(library.streams.find((s) => s['name'] === 'Rill')!['joinsStreamId']))
		).toBe('Beck');
	});

	it.each(['csv', 'geojson', 'gpx'] as const)('written out as %s and brought back changes nothing', async (form) => {
		const program = await aLibrary();
		const { id, texts } = await textsOf(program, 'sites', 'S1');
		await keepTexts(
			db,
			program.who,
			the('sites'),
			id,
			{ ...texts, hazards: '=2+2 & "ice" <thin>; näher', directions: '-steep' },
			now_ms
		);
		const library = await loadLibrary(db, program.programId);
		const files = {
			csv: () => asCsv(the('sites'), library),
			geojson: () => JSON.stringify(asGeoJson(the('sites'), library)),
			gpx: () => asGpx(the('sites'), library)
		};
		const file = files[form]();
		expect((await bringIn(program.who, 'sites', file)).plan.lines.map((l) => [l.verdict, l.changes])).toEqual([
			['same', []]
		]);
		if (form === 'csv') expect(file).toContain(`"'=2+2`);
	});

	it('of tracks makes streams as long as the tracks', () => {
		const point = (lat: number) => `<trkpt lat="${lat}" lon="-20"/>`;
		const gpx =
			'<gpx><trk><name>Upper ' +
			`Kell</name><trkseg>${point(50)}${point(50.01)}</trkseg><trkseg>${point(50.02)}</trkseg></trk></gpx>`;
		expect(readFile(gpx, 'streams')).toEqual({
			rows: [{ line: 1, cells: { name: 'Upper Kell', length_km: '2.224' } }]
		});
	});

	const many = (n: number) => `<gpx>${'<wpt lat="50" lon="-20"><name>P</name></wpt>'.repeat(n)}</gpx>`;
	it.each([
		['a GPX of 50,000 places', many(50_000), /^50,000 rows; at most 2,000/],
		['a CSV too long', `code\n${'A\n'.repeat(MOST_ROWS + 1)}`, /^2,001 rows/],
		['a CSV whose quotation mark is never closed', 'code,name\nA,"open\nB,x', /no CSV.*quotation mark/i],
		['a CSV with a heading twice', 'code,code\nA,B', /“code” is there twice/],
		['XML that ends early', '<gpx><wpt lat="1"', /no XML/],
		['XML with definitions of its own', '<!DOCTYPE x [<!ENTITY a "b">]><gpx/>', /DOCTYPE/],
		['XML that is no GPX', '<kml></kml>', /no GPX/],
		['JSON that breaks off', '{"type":"FeatureCollection"', /no JSON/],
		['JSON that is no GeoJSON', '{"type":"Feature"}', /no GeoJSON/],
		['nothing but headings', 'code,name\n', /nothing in this file/]
	])('%s is refused in words', (_, text, why) => {
		expect(readFile(text, 'sites')).toEqual({ why: expect.stringMatching(why) });
	});

	it('with a feature that is none says which', () => {
		const text = JSON.stringify({
			type: 'FeatureCollection',
			features: [{ type: 'Feature', geometry: { type: 'Point', coordinates: ['x', 1] }, properties: {} }, 7]
		});
		const read = readFile(text, 'sites');
		expect('rows' in read && read.rows.map((r) => r.broken?.slice(0, 19))).toEqual([
			'Feature 1 is not on',
			'Feature 2 is not on'
		]);
	});
});

describe('method cards', () => {
	it('are taken as shipped, once', async () => {
		const { who, programId } = await aLibrary();
		expect(await takeCard(db, who, 'bottle-run', now_ms)).toBe(true);
		expect(await takeCard(db, who, 'bottle-run', now_ms)).toBe(false);
		expect(await takeCard(db, who, 'no-such-card', now_ms)).toBe(false);
		expect((await cardVersions(db, programId)).get('bottle-run')!.map((v) => v.version)).toEqual([1]);
	});

	it('are kept as a next version; planned rounds go over, visits do not, and two at once make one', async () => {
		const program = await aLibrary();
		const { who, programId, siteId, cardVersionId, teams, members } = program;
		const planned = { programId, name: 'round', teamId: teams[0], cardVersionId, siteIds: [siteId] };
		const [ahead, begun] = [v7(), v7()];
		await db.insert(round).values([
			{ ...planned, id: ahead, startsAt: new Date(now_ms + 86_400_000) },
			{ ...planned, id: begun, startsAt: new Date(now_ms + 3_600_000) }
		]);
		await db.insert(visit).values({
			programId,
			id: v7(),
			siteId,
			cardVersionId,
			roundId: begun,
			openedBy: members.monitor.id,
			startedAt: new Date(now_ms)
		});
		const both = await Promise.all(
			[1, 2].map((h) => keepVersion(db, who, 'stream-visit', 1, { 'holding.bacteria_h': String(3 + h) }, now_ms))
		);
		expect(both.filter((b) => b.ok)).toEqual([{ ok: true, version: 2, roundsMoved: 1 }]);
		expect(both.find((b) => !b.ok)).toMatchObject({
			why: [{ why: expect.stringMatching(/kept version 2 meanwhile/) }]
		});
		const versions = await db.select().from(methodCardVersion).where(eq(methodCardVersion.programId, programId));
		const inUse = async (id: string) => (await db.select().from(round).where(eq(round.id, id)))[0]!.cardVersionId;
		expect(versions.find((v) => v.version === 2)!.id).toBe(await inUse(ahead));
		expect(await inUse(begun)).toBe(cardVersionId);
	});

	it('whose limits contradict are not kept', async () => {
		const { who } = await aLibrary();
		expect(await keepVersion(db, who, 'stream-visit', 1, { 'limits.plateReadable_h': '80' }, now_ms)).toEqual({
			ok: false,
			why: [{ path: 'limits.plateTooOld_h', why: expect.stringMatching(/could never be read/) }]
		});
		expect(await keepVersion(db, who, 'stream-visit', 1, {}, now_ms)).toMatchObject({
			ok: false,
			why: [{ why: expect.stringMatching(/Nothing is changed/) }]
		});
	});

	it('go out as CSV and come back the same', () => {
		for (const card of shippedCards)
			expect(readSettings(settingsAsCsv(card))).toMatchObject({
				texts: Object.fromEntries(settingsOf(card).map((s) => [s.path, s.text]))
			});
		expect(readSettings('a,b\n1,2')).toMatchObject({ why: expect.stringMatching(/headings/) });
	});
});

it('nobody begins a second program from outside', async () => {
	await aLibrary();
	expect(
		await beginProgram(db, {
			program: 'Mine',
			timeZone: 'Etc/UTC',
			name: 'X',
			initials: 'X',
			email: 'x@x.invalid',
			password: 'long enough'
		})
	).toBe(false);
});
