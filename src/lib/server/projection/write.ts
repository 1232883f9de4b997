import { sql } from 'drizzle-orm';
import type { Db } from '../db/connect';
import { NO_ROWS, type Documents } from './documents';
import type { Worked } from './work-out';

/** Writes what follows from visits in the place of what followed before: all but what is held against their history. */
export async function writeDocuments(db: Db, programId: string, documents: Documents): Promise<void> {
	if (documents.visitIds.length === 0) return;
	await writeResults(db, programId, documents);
	await writeSheets(db, programId, documents);
	await writeReviews(db, programId, documents);
	await writeClocks(db, programId, documents);
}

const those = (visitIds: readonly string[]) => sql`any(${sql.param([...visitIds])}::uuid[])`;

async function writeResults(db: Db, programId: string, { visitIds, results }: Documents): Promise<void> {
	await db.execute(sql`delete from result where program_id = ${programId} and visit_id = ${those(visitIds)}`);
	if (results === NO_ROWS) return;
	await db.execute(sql`
		insert into result (program_id, site_id, parameter, at, visit_id, comes_from, way, is_reported, value, qualifier,
			unit, uncertainty, lower, upper, readings, source, basis, status, is_simulated)
		select ${programId}, site_id, parameter, at, visit_id, comes_from, way, is_reported, value, qualifier,
			unit, uncertainty, lower, upper, readings, source, basis, status, is_simulated
		from json_to_recordset(${results}::json) as r(
			site_id uuid, parameter text, at timestamptz, visit_id uuid, comes_from text, way text, is_reported bool,
			value float8, qualifier qualifier, unit text, uncertainty float8, lower float8, upper float8, readings int,
			source result_source, basis text, status review_status, is_simulated bool
		)`);
}

async function writeSheets(db: Db, programId: string, { sheets }: Documents): Promise<void> {
	await db.execute(sql`
		update visit v set sheet = r.sheet, is_finished = r.is_finished, awaits_review = r.awaits_review,
			conflicts = r.conflicts, steps_done = r.steps_done, steps_asked = r.steps_asked
		from json_to_recordset(${sheets}::json)
		as r(id uuid, sheet jsonb, is_finished bool, awaits_review int, conflicts int, steps_done int, steps_asked int)
		where v.program_id = ${programId} and v.id = r.id`);
}

async function writeReviews(db: Db, programId: string, { visitIds, reviews }: Documents): Promise<void> {
	await db.execute(sql`delete from review where program_id = ${programId} and visit_id = ${those(visitIds)}`);
	if (reviews === NO_ROWS) return;
	await db.execute(sql`
		insert into review (program_id, visit_id, parameter, comes_from, entry_id, verdict, reason, by_member_id, at)
		select ${programId}, visit_id, parameter, comes_from, entry_id, verdict, reason, by, at
		from json_to_recordset(${reviews}::json)
		as r(visit_id uuid, parameter text, comes_from text, entry_id uuid, verdict verdict, reason text, by uuid,
		at timestamptz)`);
}

export async function writeClocks(db: Db, programId: string, { visitIds, clocks }: Documents): Promise<void> {
	await db.execute(sql`delete from running_clock where program_id = ${programId} and visit_id = ${those(visitIds)}`);
	if (clocks === NO_ROWS) return;
	await db.execute(sql`
		insert into running_clock (program_id, visit_id, id, kind, label, start_at, due_at, last_at, deadline)
		select ${programId}, visit_id, id, kind, label, start_at, due_at, last_at, deadline
		from json_to_recordset(${clocks}::json)
		as r(visit_id uuid, id text, kind text, label text, start_at timestamptz, due_at timestamptz, last_at timestamptz,
		deadline jsonb)`);
}

export async function writeFlags(db: Db, programId: string, worked: readonly Worked[]): Promise<void> {
	if (worked.length === 0) return;
	const visitIds = worked.map((w) => w.visit.id);
	await db.execute(sql`delete from flag where program_id = ${programId} and visit_id = ${those(visitIds)}`);
	const flags = worked.flatMap(({ visit, outcome }) =>
		outcome.flags.map((flag, number) => ({ ...flag, visit_id: visit.id, number }))
	);
	if (flags.length === 0) return;
	await db.execute(sql`
		insert into flag (program_id, visit_id, number, code, path, parameter, evidence)
		select ${programId}, visit_id, number, code, path, parameter, evidence
		from json_to_recordset(${JSON.stringify(flags)}::json)
		as r(visit_id uuid, number int, code text, path text, parameter text, evidence jsonb)`);
}
