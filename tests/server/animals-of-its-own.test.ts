import { and, eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import { describe, expect, it } from 'vitest';
import { animalKey } from '../../src/lib/core/identification';
import { kindNamed, lookupIn, writeRow } from '../../src/lib/core/library';
import { shippedCards } from '../../src/lib/core/method';
import { Satchel } from '../../src/lib/core/satchel';
import { database } from '../../src/lib/server/db/connect';
import { animalsOf } from '../../src/lib/server/db/queries/animals';
import { ownAnimalsOf } from '../../src/lib/server/db/queries/own-animals';
import { entry, methodCard, methodCardVersion, result } from '../../src/lib/server/db/schema';
import { auditOf, importFile, keepTexts, removeRow } from '../../src/lib/server/library/keep';
import { loadLibrary } from '../../src/lib/server/library/load';
import { readFile } from '../../src/lib/server/library/read-file';
import { packSatchel } from '../../src/lib/server/sync/satchel';
import { aDevice, anOpening, aProgram, now_ms, send } from './a-program';

const db = database();
const kind = kindNamed('animals')!;

/** A program at whose one visit a tray was sorted: these kinds, so many of each. */
async function withATray(counts: Record<string, number>) {
	const program = await aProgram();
	const { programId, members } = program;
	const card = shippedCards.find((c) => c.code === 'animals')!;
	const step = card.steps.find((s) => s.tool === 'tray')!.id;
	const [cardId, cardVersionId, visitId] = [v7(), v7(), v7()];
	await db.insert(methodCard).values({ programId, id: cardId, code: card.code });
	await db
		.insert(methodCardVersion)
		.values({ programId, id: cardVersionId, cardId, version: 1, body: card, inUseSince: new Date(now_ms) });
	const write = aDevice(members.monitor, visitId);
	const { refused } = await send(members.monitor, [
		write('opening', { ...anOpening(program), cardVersionId }),
		...Object.entries(counts).map(([code, n]) => write(`tallies/${step}/taxa/${code}`, n, { op: 'add' })),
		write(`trays/${step}/endedAt`, new Date(now_ms).toISOString())
	]);
	expect(refused).toEqual([]);
	const who = {
		...members.coordinator,
		program: { id: programId, name: 'Test streams', timeZone: 'Etc/UTC', isDemo: false }
	};
	return {
		programId,
		who,
		keep: (texts: Record<string, string>, id: string | null = null) => keepTexts(db, who, kind, id, texts, now_ms),
		kinds: async () => (await animalsOf(db, programId, null, false, 9)).flatMap((s) => s.kinds),
		figure: async (parameter: 'taxa-richness') => {
			const at = and(eq(result.programId, programId), eq(result.visitId, visitId), eq(result.parameter, parameter));
			return (await db.select({ value: result.value }).from(result).where(at))[0]?.value;
		},
		written: async () =>
			(await db.select({ path: entry.path }).from(entry).where(eq(entry.programId, programId)))
				.filter(({ path }) => path.startsWith('tallies/'))
				.map(({ path }) => path.split('/').at(-1))
				.sort()
	};
}

const joined = {
	code: 'Ancylidae',
	name: 'river limpet',
	rank: 'family',
	countsAs: 'Planorbidae',
	because: 'our board'
};

describe('kinds of animals of a program’s own', () => {
	it('joined to another count as it in earlier visits too; what was written stays; parted again they are two', async () => {
		const tray = await withATray({ Ancylidae: 3, Planorbidae: 4, Baetidae: 40 });
		expect(await tray.figure('taxa-richness')).toBe(3);
		const done = await tray.keep(joined);
		expect(done).toMatchObject({ ok: true });
		expect(Object.fromEntries((await tray.kinds()).map((k) => [k.code, k.count]))).toEqual({
			Planorbidae: 7,
			Baetidae: 40
		});
		expect(await tray.figure('taxa-richness')).toBe(2);
		expect(await tray.written()).toEqual(['Ancylidae', 'Baetidae', 'Planorbidae']);
		const id = 'id' in done ? done.id : '';
		expect((await tray.keep({ ...joined, countsAs: '' }, id)).ok).toBe(true);
		expect(await tray.figure('taxa-richness')).toBe(3);
		// who joined and parted them, and when, is known
		const audit = await auditOf(db, tray.who, kind, id, await loadLibrary(db, tray.programId));
		expect(audit.map((line) => line.changes.find((c) => c.label === 'Joined to')?.to)).toEqual(['', 'Planorbidae']);
	});

	it('come in from a file, species after genus or before, and go on any phone', async () => {
		const tray = await withATray({ Baetis: 5, Baetidae: 2 });
		expect((await tray.kinds()).map((k) => k.taxon?.code ?? null)).toEqual([null, 'Baetidae']);
		const text =
			'Scientific name,Called,Rank,Belongs to,Other names\n' +
			'Baetis-rhodani,large dark mayfly,species,Baetis,\n' +
			'Baetis,swimming mayfly,genus,Baetidae,Alainites; Labiobaetis\n';
		const read = readFile(text, 'animals');
		if ('why' in read) throw new Error(read.why);
		const bring = (confirmed: string | null) =>
			importFile(db, tray.who, kind, { rows: read.rows, defaults: {}, confirmed }, now_ms);
		const { plan, fingerprint } = await bring(null);
		expect(plan.lines.flatMap((l) => l.why)).toEqual([]);
		expect((await bring(fingerprint)).written).toBe(2);
		expect(await tray.figure('taxa-richness')).toBe(1);
		expect((await tray.kinds())[0]!.taxon).toMatchObject({ name: 'swimming mayfly', scoresAs: 'Baetidae' });
		const satchel = await packSatchel(db, tray.who, { now_ms, isFixed: true });
		expect(Satchel.parse(satchel).animals.map((a) => [a.code, a.partOf])).toEqual([
			['Baetis', 'Baetidae'],
			['Baetis-rhodani', 'Baetis']
		]);
		// a genus stays as long as a species is a part of it
		const [genus] = (await loadLibrary(db, tray.programId)).animals.filter((a) => a['code'] === 'Baetis');
		expect(await removeRow(db, tray.who, kind, genus!.id, now_ms)).toMatchObject({
			ok: false,
			why: expect.stringContaining('Baetis-rhodani') as string
		});
	});

	it('that the program says how to tell are in the key of every phone, and come from a file and go to one', async () => {
		const tray = await withATray({ Baetidae: 2 });
		const baetis = { code: 'Baetis', name: 'swimming mayfly', rank: 'genus', partOf: 'Baetidae' };
		const told = { tell: 'Short middle tail.', shows: 'tails: three, fringed inside; Colour: BROWN' };
		expect(await tray.keep({ ...baetis, shows: 'wings: two' })).toMatchObject({
			ok: false,
			objections: [{ field: 'shows', why: expect.stringContaining('nothing that the key asks') as string }]
		});
		expect(await tray.keep({ ...baetis, shows: 'tails: four' })).toMatchObject({
			objections: [{ field: 'shows', why: expect.stringContaining('There are: none; one; two, long') as string }]
		});
		const shipped = { code: 'Perlidae', name: 'golden stonefly', rank: 'family' };
		expect(await tray.keep({ ...shipped, shows: 'tails: one' })).toMatchObject({ ok: false });
		expect(await tray.keep({ ...baetis, ...told })).toMatchObject({ ok: true });
		const { animals } = Satchel.parse(await packSatchel(db, tray.who, { now_ms, isFixed: true }));
		expect(animalKey(animals).describedAs('Baetis')).toMatchObject({ tell: 'Short middle tail.', share: 0.5 });
		const library = await loadLibrary(db, tray.programId);
		const texts = writeRow(kind, library.animals[0]!, lookupIn(library));
		expect(texts['shows']).toBe('tails: three, fringed inside; colour: brown');
	});

	it('that were counted stay on the shelf; those that were not, and what is said of one that is shipped, go', async () => {
		const tray = await withATray({ Baetis: 5, Perlidae: 1 });
		const idOf = async (texts: Record<string, string>) => {
			const kept = await tray.keep(texts);
			if (!kept.ok) throw new Error(kept.objections.map((o) => o.why).join(' '));
			return kept.id;
		};
		const counted = await idOf({ code: 'Baetis', name: 'swimming mayfly', rank: 'genus', partOf: 'Baetidae' });
		const not = await idOf({ code: 'Cloeon', name: 'pond mayfly', rank: 'genus', partOf: 'Baetidae' });
		const shipped = await idOf({ code: 'Perlidae', name: 'great stonefly', rank: 'family' });
		const remove = async (id: string) => (await removeRow(db, tray.who, kind, id, now_ms)).ok;
		expect([await remove(counted), await remove(not), await remove(shipped)]).toEqual([false, true, true]);
		expect((await ownAnimalsOf(db, tray.programId)).map((a) => a.code)).toEqual(['Baetis']);
	});

	it.each([
		[
			'of a genus nobody knows',
			{ code: 'Aus-bus', rank: 'species', partOf: 'Aus' },
			'partOf',
			'There is no “Aus” here'
		],
		['without its family', { code: 'Aus', rank: 'genus' }, 'partOf', 'Which family or genus'],
		[
			'part of what is smaller',
			{ code: 'Ausidae', rank: 'family', partOf: 'Baetidae' },
			'partOf',
			'no part of a family'
		],
		['of another rank than is shipped', { code: 'Baetidae', rank: 'order' }, 'rank', 'of rank family here'],
		[
			'joined to itself',
			{ code: 'Baetidae', rank: 'family', countsAs: 'Baetidae' },
			'countsAs',
			'neither would be left'
		],
		['joined in a circle', { code: 'Planorbidae', rank: 'family', countsAs: 'Ancylidae' }, 'countsAs', 'neither would'],
		['joined to none', { code: 'Baetidae', rank: 'family', countsAs: 'Ausidae' }, 'countsAs', 'There is no “Ausidae”'],
		['with a small letter', { code: 'baetis', rank: 'genus', partOf: 'Baetidae' }, 'code', 'a capital'],
		['a tolerance of 12', { code: 'Baetidae', rank: 'family', tolerance: '12' }, 'tolerance', 'between 0 and 10']
	])('%s is refused at its field', async (_, texts, field, why) => {
		const tray = await withATray({ Baetidae: 1 });
		expect((await tray.keep(joined)).ok).toBe(true);
		const kept = await tray.keep({ name: 'x', ...texts });
		expect(kept).toMatchObject({ ok: false, objections: [{ field, why: expect.stringContaining(why) as string }] });
	});
});
