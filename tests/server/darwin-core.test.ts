import { parse } from 'csv-parse/sync';
import { XMLParser } from 'fast-xml-parser';
import JSZip from 'jszip';
import { describe, expect, it } from 'vitest';
import { v7 } from 'uuid';
import { shippedCards } from '../../src/lib/core/method';
import { darwinCoreArchive } from '../../src/lib/server/darwin-core/archive';
import { sampledEvents } from '../../src/lib/server/darwin-core/events';
import { database } from '../../src/lib/server/db/connect';
import { methodCard, methodCardVersion } from '../../src/lib/server/db/schema';
import { aDevice, anOpening, aProgram, now_ms, send } from './a-program';

const db = database();
const about = { name: 'Test streams', day: '2026-05-14', latitudes: [0, 0], longitudes: [0, 0] } as const;

/** A program with one kick sample, sorted to its end. */
async function withASample() {
	const program = await aProgram();
	const { programId, members } = program;
	const card = shippedCards.find((c) => c.code === 'animals')!;
	const [cardId, cardVersionId] = [v7(), v7()];
	await db.insert(methodCard).values({ programId, id: cardId, code: card.code });
	await db
		.insert(methodCardVersion)
		.values({ programId, id: cardVersionId, cardId, version: 1, body: card, inUseSince: new Date(now_ms) });
	const visitId = v7();
	const write = aDevice(members.monitor, visitId);
	const step = (tool: string) => card.steps.find((s) => s.tool === tool)!.id;
	const { refused } = await send(members.monitor, [
		write('opening', { ...anOpening(program), cardVersionId }),
		write('readings/water-temperature/left', { value: 11.2, unit: 'degC' }),
		write(`nets/${step('net')}/places`, 6, { op: 'add' }),
		write(`tallies/${step('tray')}/taxa/Baetidae`, 30, { op: 'add' }),
		write(`tallies/${step('tray')}/taxa/Asellidae`, 4, { op: 'add' }),
		write(`trays/${step('tray')}/endedAt`, new Date(now_ms).toISOString())
	]);
	expect(refused).toEqual([]);
	return { program, visitId };
}

/** An archive read by its own description alone, as another program would. */
async function readArchive(bytes: Uint8Array) {
	const zip = await JSZip.loadAsync(bytes);
	const xml = new XMLParser({ ignoreAttributes: false, isArray: (name) => name === 'field' || name === 'extension' });
	const { archive } = xml.parse(await zip.file('meta.xml')!.async('string')) as { archive: Described };
	const tableOf = async (table: Table, id: { '@_index': string }) => {
		const rows = parse(await zip.file(table.files.location)!.async('string'), {
			delimiter: table['@_fieldsTerminatedBy'],
			from_line: 1 + Number(table['@_ignoreHeaderLines'])
		});
		return rows.map((row) => ({
			id: row[Number(id['@_index'])]!,
			...Object.fromEntries(table.field.map((f) => [f['@_term'].split('/').at(-1)!, row[Number(f['@_index'])]!]))
		})) as (Record<string, string> & { id: string })[];
	};
	return {
		core: await tableOf(archive.core, archive.core.id),
		extensions: Object.fromEntries(
			await Promise.all(
				archive.extension.map(async (e) => [e['@_rowType'].split('/').at(-1), await tableOf(e, e.coreid)] as const)
			)
		) as Record<string, (Record<string, string> & { id: string })[]>,
		eml: xml.parse(await zip.file(archive['@_metadata'])!.async('string')) as Record<string, unknown>
	};
}
interface Table {
	'@_rowType': string;
	'@_fieldsTerminatedBy': string;
	'@_ignoreHeaderLines': string;
	files: { location: string };
	field: { '@_index': string; '@_term': string }[];
}
interface Described {
	'@_metadata': string;
	core: Table & { id: { '@_index': string } };
	extension: (Table & { coreid: { '@_index': string } })[];
}

describe('a Darwin Core Archive', () => {
	it('is read by its own description: every animal and figure belongs to an event of it', async () => {
		const { program, visitId } = await withASample();
		const events = await sampledEvents(db, program.programId, {}, false);
		const { core, extensions, eml } = await readArchive(await darwinCoreArchive(events, about));
		expect(core).toHaveLength(1);
		expect(core[0]).toMatchObject({ locationID: 'S1', waterBody: 'Stream', geodeticDatum: 'WGS84' });
		expect(core[0]!.id.startsWith(visitId)).toBe(true);
		expect(core[0]!['samplingEffort']).toContain('6 places');
		const ids = new Set(core.map((e) => e.id));
		for (const rows of Object.values(extensions)) for (const row of rows) expect(ids).toContain(row.id);
		expect(extensions['Occurrence']!.map((o) => [o['scientificName'], o['individualCount']])).toEqual([
			['Baetidae', '30'],
			['Asellidae', '4']
		]);
		expect(extensions['MeasurementOrFact']).toEqual(
			expect.arrayContaining([
				expect.objectContaining({ measurementType: 'Water temperature', measurementValue: '11.2' })
			])
		);
		expect(eml).toHaveProperty(['eml:eml', 'dataset', 'creator', 'organizationName'], 'Test streams');
	});

	it('holds only what was reviewed for whoever sees no more, and nothing of others', async () => {
		const { program } = await withASample();
		expect(await sampledEvents(db, program.programId, {}, true)).toEqual([]);
		expect(await sampledEvents(db, (await aProgram()).programId, {}, false)).toEqual([]);
		expect((await readArchive(await darwinCoreArchive([], about))).core).toEqual([]);
	});
});
