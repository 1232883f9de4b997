import { isDeepStrictEqual } from 'node:util';
import { and, eq, sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import { z } from 'zod';
import {
	asRead,
	lookupIn,
	namedBy,
	objectionsTo,
	planImport,
	type ImportMapping,
	type KindName,
	readRow,
	writeRow,
	type FileRow,
	type ImportPlan,
	type Kind,
	type Library,
	type Objection,
	type Row,
	type Texts
} from '../../core/library';
import type { Db } from '../db/connect';
import { instant, rowsOf, written } from '../db/rows';
import type { Membership } from '../db/queries/members';
import { changeSettings, settingsOf } from '../db/queries/program-settings';
import { audit } from '../db/schema';
import { dateOfDay, dayNumber } from '../plan/local-day';
import { wasCounted, workAnimalsAgain } from './animals';
import { loadLibrary } from './load';
import { keepPerson } from './people';
import { keepProgram } from './program';
import { column, tables } from './tables';

export type KeptRow = { ok: true; id: string } | { ok: false; objections: Objection[] };

/** Today in the program's own calendar. */
export const todayOf = (who: Membership, now_ms: number): string => dateOfDay(dayNumber(now_ms, who.program.timeZone));

/** What holds between rows is looked up and written by one at a time. */
const alone = (tx: Db, programId: string) =>
	tx.execute(sql`select pg_advisory_xact_lock(hashtext(${`library ${programId}`}))`);

/**
 * Keeps one row as its texts say, new or changed, with a line in the audit; or says what forbids it, field by field.
 */
export function keepTexts(
	db: Db,
	who: Membership,
	kind: Kind,
	id: string | null,
	texts: Texts,
	now_ms: number
): Promise<KeptRow> {
	return db.transaction(async (tx) => {
		await alone(tx, who.programId);
		const library = await loadLibrary(tx, who.programId);
		const old = id === null ? null : (library[kind.name].find((r) => r.id === id) ?? null);
		if (id !== null && old === null)
			return { ok: false, objections: [{ field: '', why: `This ${kind.one} is gone. Go back to the list.` }] };
		const { row, objections } = readRow(kind, id ?? v7(), texts, lookupIn(library));
		const all = objections.length ? objections : objectionsTo(kind, row, library, todayOf(who, now_ms));
		if (all.length) return { ok: false, objections: all };
		const why = await write(tx, who, kind, old, row, now_ms);
		if (why === null && kind.name === 'animals') await workAnimalsAgain(tx, who.programId, library, now_ms);
		return why === null ? { ok: true, id: row.id } : { ok: false, objections: [why] };
	});
}

/**
 * Puts a kind's examples on its empty shelf, each with its line in the audit. False where there is something already,
 * or the kind has none: then nothing is written.
 */
export function keepExamples(db: Db, who: Membership, kind: Kind, now_ms: number): Promise<boolean> {
	return db.transaction(async (tx) => {
		await alone(tx, who.programId);
		const library = await loadLibrary(tx, who.programId);
		if (!kind.examples || library[kind.name].length > 0) return false;
		for (const example of kind.examples) await write(tx, who, kind, null, { id: v7(), ...example }, now_ms);
		return true;
	});
}

/** Takes a row out that nothing names and that has no past; the audit keeps what it was. */
export function removeRow(
	db: Db,
	who: Membership,
	kind: Kind,
	id: string,
	now_ms: number
): Promise<{ ok: true } | { ok: false; why: string }> {
	return db.transaction(async (tx) => {
		await alone(tx, who.programId);
		const library = await loadLibrary(tx, who.programId);
		const row = library[kind.name].find((r) => r.id === id);
		if (!row) return { ok: false, why: `This ${kind.one} is gone already.` };
		if (kind.name === 'program' || kind.name === 'people')
			return { ok: false, why: `A ${kind.one} is not taken out: what was written in its name stays.` };
		const names = namedBy(kind, id, library);
		if (names.length)
			return {
				ok: false,
				why:
					'It is named by ' +
					`${names.slice(0, 4).join(', ')}${names.length > 4 ? ` and ${names.length - 4} more` : ''}. Change those ` +
					'first.'
			};
		if (await hasPast(tx, who.programId, kind, row))
			return {
				ok: false,
				why:
					'It has a past: visits, rounds or calibrations that stand in its name. ' +
					(kind.endedOn ? 'Say since when it is not used instead.' : 'It stays.')
			};
		const { table } = tables[kind.name as keyof typeof tables];
		await tx.delete(table).where(and(eq(column(table, 'programId'), who.programId), eq(column(table, 'id'), id)));
		await note(tx, who, kind, row, null, now_ms);
		if (kind.name === 'animals') await workAnimalsAgain(tx, who.programId, library, now_ms);
		return { ok: true };
	});
}

/** What the database's own references and the lists of sites in rounds say. */
async function hasPast(tx: Db, programId: string, kind: Kind, { id, code }: Row): Promise<boolean> {
	if (kind.name === 'animals') return wasCounted(tx, programId, String(code));
	const asked = {
		sites: sql`select 1 from visit where program_id = ${programId} and site_id = ${id} union all select 1 from round
			where program_id = ${programId} and ${id} = any(site_ids)`,
		circuits: sql`select 1 from round where program_id = ${programId} and circuit_id = ${id}`,
		labs: sql`select 1 from round where program_id = ${programId} and lab_id = ${id} union all select 1 from lab_report
			where program_id = ${programId} and lab_id = ${id} union all select 1 from shipment
			where program_id = ${programId} and lab_id = ${id}`,
		instruments: sql`select 1 from calibration where program_id = ${programId} and instrument_id = ${id}`,
		teams: sql`select 1 from visit where program_id = ${programId} and team_id = ${id} union all select 1 from round
			where program_id = ${programId} and team_id = ${id}`
	}[kind.name as string];
	return asked !== undefined && (await tx.execute(sql`${asked} limit 1`)).rows.length > 0;
}

/** What a file would do; and with `isConfirmed`, does it: all that is not refused, or nothing. */
export function importFile(
	db: Db,
	who: Membership,
	kind: Kind,
	file: { rows: readonly FileRow[]; defaults: Texts; mapping?: ImportMapping; confirmed: string | null },
	now_ms: number
): Promise<{ plan: ImportPlan; fingerprint: string; written: number | null; why: string | null }> {
	return db.transaction(async (tx) => {
		await alone(tx, who.programId);
		const library = await loadLibrary(tx, who.programId);
		const plan = planImport(kind, file.rows, library, {
			newId: () => v7(),
			today: todayOf(who, now_ms),
			defaults: file.defaults,
			...(file.mapping ? { mapping: file.mapping } : {})
		});
		const fingerprint = plan.lines
			.map((l) => `${l.line}${l.verdict}${l.changes.map((c) => `${c.label}${c.from}${c.to}`).join()}`)
			.join('|');
		if (file.confirmed === null) return { plan, fingerprint, written: null, why: null };
		if (file.confirmed !== fingerprint)
			return {
				plan,
				fingerprint,
				written: null,
				why: 'The library has changed since you looked. Nothing was written; look again.'
			};
		const toWrite = plan.lines.filter((l) => l.verdict === 'new' || l.verdict === 'changed');
		for (const line of inOrderOfNeed(
			kind,
			toWrite.map((l) => l.row!)
		)) {
			const why = await write(tx, who, kind, library[kind.name].find((r) => r.id === line.id) ?? null, line, now_ms);
			if (why !== null) throw new RangeError(`${kind.nameOf(line, lookupIn(library))}: ${why.why}`);
		}
		if (kind.name === 'animals') await workAnimalsAgain(tx, who.programId, library, now_ms);
		const { mapping } = file;
		if (mapping)
			await changeSettings(tx, who.programId, ({ importMappings }) => ({
				importMappings: { ...importMappings, [kind.name]: mapping }
			}));
		return { plan, fingerprint, written: toWrite.length, why: null };
	});
}

/** One field of several rows at once, as if it were typed into each: in all of them, or in none. */
export async function changeSeveral(
	db: Db,
	who: Membership,
	kind: Kind,
	{ ids, field, text }: { ids: readonly string[]; field: string; text: string },
	now_ms: number
): Promise<{ changed: number; same: number } | { why: string }> {
	const of = Object.hasOwn(kind.fields, field) ? kind.fields[field]! : null;
	if (of === null || kind.key.includes(field)) return { why: 'This field is changed in one row at a time.' };
	if (kind.name === 'program') return { why: 'There is one program only.' };
	const library = await loadLibrary(db, who.programId);
	const lookup = lookupIn(library);
	const rows = library[kind.name].filter((row) => ids.includes(row.id));
	if (rows.length < new Set(ids).size) return { why: 'A row that was chosen is gone. Load the page again.' };
	const file = {
		defaults: {},
		rows: rows.map((row, i) => {
			const texts = writeRow(kind, row, lookup);
			return { line: i + 1, cells: { ...Object.fromEntries(kind.key.map((k) => [k, texts[k]!])), [field]: text } };
		})
	};
	const { plan, fingerprint } = await importFile(db, who, kind, { ...file, confirmed: null }, now_ms);
	const refused = plan.lines.filter((l) => l.verdict === 'refused');
	if (refused.length)
		return {
			why: `Nothing was changed. ${refused
				.map((l) => `${l.name}: ${l.why.join(' ')}`)
				.join(' ')
				.slice(0, 600)}`
		};
	const done = await importFile(db, who, kind, { ...file, confirmed: fingerprint }, now_ms);
	if (done.written === null) return { why: done.why ?? 'Nothing was changed.' };
	return { changed: done.written, same: rows.length - done.written };
}

/** What was said of files of this kind before. */
export async function mappingOf(db: Db, programId: string, kind: KindName): Promise<ImportMapping> {
	return (await settingsOf(db, programId)).importMappings?.[kind] ?? { headings: {}, values: {} };
}

/** Rows that others of the same file name go in first. */
function inOrderOfNeed(kind: Kind, rows: readonly Row[]): Row[] {
	const own = Object.entries(kind.fields).flatMap(([name, field]) => (field.refers?.includes(kind.name) ? [name] : []));
	const done = new Set<Row>();
	const add = (row: Row): void => {
		if (done.has(row)) return;
		for (const name of own)
			for (const other of rows) if (other !== row && [row[name]].flat().includes(other.id)) add(other);
		done.add(row);
	};
	for (const row of rows) add(row);
	return [...done];
}

/** Writes a row and its audit line; or says what the database has against it. */
async function write(
	tx: Db,
	who: Membership,
	kind: Kind,
	old: Row | null,
	row: Row,
	now_ms: number
): Promise<Objection | null> {
	const keepRow = () => {
		if (kind.name === 'program') return keepProgram(tx, row);
		if (kind.name === 'people') return keepPerson(tx, who.programId, old, row, now_ms);
		return keepColumns(tx, who, kind, old, row);
	};
	const why = await keepRow();
	if (why === null) await note(tx, who, kind, old, row, now_ms);
	return why;
}

async function keepColumns(tx: Db, who: Membership, kind: Kind, old: Row | null, row: Row): Promise<null> {
	const { table, only = {}, toColumns } = tables[kind.name as keyof typeof tables];
	const changed = old ? changesOf(old, row) : row;
	const values = { ...(toColumns ? toColumns(row) : changed), ...only, programId: who.programId };
	if (old)
		await tx
			.update(table)
			.set(values)
			.where(and(eq(column(table, 'programId'), who.programId), eq(column(table, 'id'), row.id)));
	else await tx.insert(table).values(values);
	return null;
}

/**
 * What is other than it was shown. What a field shows may be known from elsewhere (the day on which a visit lifted a
 * sampler): it is not written down because something beside it is.
 */
const changesOf = (old: Row, row: Row): Partial<Row> =>
	Object.fromEntries(Object.entries(row).filter(([name, value]) => !isDeepStrictEqual(value, old[name])));

const note = (tx: Db, who: Membership, kind: Kind, before: Row | null, after: Row | null, now_ms: number) =>
	tx.insert(audit).values({
		programId: who.programId,
		id: v7(),
		at: new Date(now_ms),
		byMemberId: who.id,
		what: kind.name,
		rowId: (after ?? before)!.id,
		before,
		after
	});

export interface AuditLine {
	id: string;
	at: string;
	by: string;
	changes: { label: string; from: string; to: string }[];
	isNew: boolean;
	isRemoval: boolean;
}

/** Who changed a row, when, and what it was before; the latest first. */
export async function auditOf(db: Db, who: Membership, kind: Kind, id: string, library: Library): Promise<AuditLine[]> {
	const rows = await rowsOf(
		db,
		z.object({
			id: z.string(),
			at: instant,
			by: z.string(),
			before: written<Row>().nullable(),
			after: written<Row>().nullable()
		}),
		sql`
		select a.id, a.at, m.initials as by, a.before, a.after
		from audit a join member m on m.program_id = a.program_id and m.id = a.by_member_id
		where a.program_id = ${who.programId} and a.what = ${kind.name} and a.row_id = ${id}
		order by a.at desc, a.id desc limit 50`
	);
	const lookup = lookupIn(library);
	const said = (row: Row | null, name: string) =>
		row && row[name] !== undefined ? asRead(kind.fields[name], kind.fields[name]!.write(row[name], lookup)) : '';
	return rows.map((r) => ({
		id: r.id,
		at: r.at.toISOString(),
		by: r.by,
		isNew: r.before === null,
		isRemoval: r.after === null,
		changes: Object.entries(kind.fields).flatMap(([name, field]) => {
			const [from, to] = [said(r.before, name), said(r.after, name)];
			return from === to ? [] : [{ label: field.label, from, to }];
		})
	}));
}

/** The texts of a row as it was before one line of its audit: to be looked at and kept again. */
export async function textsBefore(
	db: Db,
	who: Membership,
	kind: Kind,
	id: string,
	auditId: string,
	library: Library
): Promise<Texts | null> {
	const [line] = await db
		.select({ before: audit.before })
		.from(audit)
		.where(
			and(eq(audit.programId, who.programId), eq(audit.what, kind.name), eq(audit.rowId, id), eq(audit.id, auditId))
		);
	const before = line?.before as Row | null | undefined;
	const lookup = lookupIn(library);
	return before
		? Object.fromEntries(
				Object.entries(kind.fields).map(([name, field]) => [
					name,
					before[name] === undefined ? '' : field.write(before[name], lookup)
				])
			)
		: null;
}
