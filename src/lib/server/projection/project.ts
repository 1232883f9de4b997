import { setImmediate } from 'node:timers/promises';
import { sql } from 'drizzle-orm';
import { z } from 'zod';
import { evaluate, verdictPath, withHistory, type Outcome } from '../../core/visit';
import { type Context } from '../../core/subjects/context';
import { fold, instantOf, SKEW_WORTH_SAYING_ms } from '../../core/logbook';
import { type Verdict } from '../../core/subjects/review/branch';
import { doubt, type Flag } from '../../core/subjects/flags';
import { amount, type ParameterCode } from '../../core/quantity';
import type { Db } from '../db/connect';
import { rowsOf } from '../db/rows';
import { tripsOf } from '../plan/trip';
import { usualBefore, visitFacts, type VisitFacts } from './facts';

const MINUTE_ms = 60_000;

/**
 * Works the named visits out from their entries and writes what follows: the sheet, results, flags, reviews and
 * running clocks. Nothing here is truth; it can be thrown away and made again. Results come first for all of them,
 * since what is unusual at a site is judged by its earlier results.
 */
export async function projectVisits(
	db: Db,
	programId: string,
	visitIds: readonly string[],
	now_ms: number
): Promise<void> {
	const facts = await visitFacts(db, programId, visitIds);
	await writeWorked(db, programId, await workedOut(facts, now_ms), now_ms);
}

/** Writes what was worked out of visits. */
export async function writeWorked(db: Db, programId: string, first: readonly Worked[], now_ms: number): Promise<void> {
	await writeResults(db, programId, first);
	const worked = await heldAgainstHistory(db, programId, first);
	await writeSheets(db, programId, worked);
	await writeFlags(db, programId, worked);
	await writeReviews(db, programId, worked);
	await writeClocks(db, programId, worked);
	const facts = first.map((w) => w.visit);
	await refreshUsual(db, programId, [...new Set(facts.map((v) => v.siteId))]);
	await workSiblingsAgain(db, programId, facts, now_ms);
}

const AT_ONCE_ms = 5;
/**
 * What follows from the entries of visits, before it is held against the history of their sites. Other work, and what
 * is on its way to the database, gets its turn in between.
 */
export async function workedOut(facts: readonly VisitFacts[], now_ms: number): Promise<Worked[]> {
	const worked: Worked[] = [];
	let since_ms = performance.now();
	for (const visit of facts) {
		worked.push({ visit, outcome: outcomeOf(visit, null, now_ms) });
		if (performance.now() - since_ms < AT_ONCE_ms) continue;
		await setImmediate();
		since_ms = performance.now();
	}
	return worked;
}

/** The same with what is unusual for its site, once the results before it are known. */
async function heldAgainstHistory(db: Db, programId: string, first: readonly Worked[]): Promise<Worked[]> {
	const usual = await usualBefore(
		db,
		programId,
		first.map((w) => w.visit)
	);
	return first.map(({ visit, outcome }) => ({
		visit,
		outcome: { ...outcome, flags: withHistory(outcome, usual.get(visit.id) ?? {}, visit.card.own) }
	}));
}

/**
 * The limit of every bottle of a trip counts from the first: where these visits changed which that is, the trip's
 * other visits follow.
 */
async function workSiblingsAgain(
	db: Db,
	programId: string,
	facts: readonly VisitFacts[],
	now_ms: number
): Promise<void> {
	const rounds = [...new Set(facts.flatMap((v) => (v.roundId === null ? [] : [v.roundId])))];
	const after = await tripsOf(db, programId, rounds);
	const changed = rounds.filter(
		(id) => facts.find((v) => v.roundId === id)?.trip?.first?.filledAt_ms !== after.get(id)?.first?.filledAt_ms
	);
	if (changed.length === 0) return;
	const all = await rowsOf(
		db,
		z.object({ id: z.string() }),
		sql`
		select id from visit where program_id = ${programId} and round_id = any(${sql.param(changed)}::uuid[])`
	);
	const again = await visitFacts(
		db,
		programId,
		all.map((v) => v.id)
	);
	const worked = await heldAgainstHistory(db, programId, await workedOut(again, now_ms));
	await writeFlags(db, programId, worked);
	await writeClocks(db, programId, worked);
}

/** The digest of what these sites have shown. */
async function refreshUsual(db: Db, programId: string, siteIds: readonly string[]): Promise<void> {
	if (siteIds.length === 0) return;
	const sites = sql`any(${sql.param([...siteIds])}::uuid[])`;
	await db.execute(sql`delete from site_usual where program_id = ${programId} and site_id = ${sites}`);
	await db.execute(sql`
		insert into site_usual (program_id, site_id, parameter, low, high, visits)
		select program_id, site_id, parameter, min(value), max(value), count(distinct visit_id) from result
		where program_id = ${programId} and site_id = ${sites} and is_reported and status <> 'rejected'
			and not is_simulated group by 1, 2, 3`);
}

export interface Worked {
	visit: VisitFacts;
	outcome: Outcome;
}

/** A visit's outcome as the server sees it: what `evaluate` says, and doubts about the clocks of the devices. */
export function outcomeOf(visit: VisitFacts, usual: Context['site']['usual'], now_ms: number): Outcome {
	const context: Context = {
		now_ms,
		timeZone: visit.timeZone,
		site: {
			code: visit.siteCode,
			elevation_m: visit.elevation_m,
			latitude: visit.latitude,
			wadingDepth_m: visit.wadingDepth_m,
			usual
		},
		instruments: visit.instruments,
		animals: visit.animals,
		trip: visit.trip,
		labelsElsewhere: visit.labelsElsewhere,
		duplicatesBefore: visit.duplicatesBefore,
		blanksBefore: visit.blanksBefore,
		reportTo: visit.reportTo
	};
	const outcome = evaluate(fold(visit.entries), visit.card, context);
	return { ...outcome, flags: [...outcome.flags, ...skewFlags(visit)] };
}

const skewFlags = ({ skew_ms }: VisitFacts): Flag[] =>
	Object.entries(skew_ms)
		.filter(([, skew]) => Math.abs(skew) > SKEW_WORTH_SAYING_ms)
		.map(([device, skew]) =>
			doubt('clock-skew', { path: 'opening', parameter: null }, { device, minutes: Math.round(skew / MINUTE_ms) })
		);

const ids = (worked: readonly Worked[]) => sql`any(${sql.param(worked.map((w) => w.visit.id))}::uuid[])`;
const rows = (list: readonly object[]) => sql`${JSON.stringify(list)}::json`;

async function writeResults(db: Db, programId: string, worked: readonly Worked[]): Promise<void> {
	if (worked.length === 0) return;
	await db.execute(sql`delete from result where program_id = ${programId} and visit_id = ${ids(worked)}`);
	const results = worked.flatMap(({ visit, outcome }) =>
		outcome.determinations.map((r) => {
			const { number: value, qualifier } = amount(r.figure);
			const { parameter, way, uncertainty, readings, source, basis, status } = r;
			return {
				site_id: visit.siteId,
				parameter,
				at: visit.startedAt,
				visit_id: visit.id,
				comes_from: r.from,
				way,
				is_reported: r.isReported,
				value,
				qualifier,
				unit: r.figure.unit,
				uncertainty,
				lower: r.limits?.lower ?? null,
				upper: r.limits?.upper ?? null,
				readings,
				source,
				basis,
				status,
				is_simulated: r.isSimulated
			};
		})
	);
	if (results.length === 0) return;
	await db.execute(sql`
		insert into result (program_id, site_id, parameter, at, visit_id, comes_from, way, is_reported, value, qualifier,
			unit, uncertainty, lower, upper, readings, source, basis, status, is_simulated)
		select ${programId}, site_id, parameter, at, visit_id, comes_from, way, is_reported, value, qualifier,
			unit, uncertainty, lower, upper, readings, source, basis, status, is_simulated
		from json_to_recordset(${rows(results)}) as r(
			site_id uuid, parameter text, at timestamptz, visit_id uuid, comes_from text, way text, is_reported bool,
			value float8, qualifier qualifier, unit text, uncertainty float8, lower float8, upper float8, readings int,
			source result_source, basis text, status review_status, is_simulated bool
		)`);
}

async function writeSheets(db: Db, programId: string, worked: readonly Worked[]): Promise<void> {
	const sheets = worked.map(({ visit, outcome }) => {
		const asked = outcome.steps.filter((s) => s.state !== 'not-required');
		const finished = outcome.folded.sheet.leaving?.at !== undefined;
		return {
			id: visit.id,
			sheet: outcome.folded.sheet,
			is_finished: finished,
			awaits_review: finished ? outcome.results.filter((r) => r.status === 'waiting').length : 0,
			conflicts: outcome.folded.conflicts.length,
			steps_done: asked.filter((s) => s.state !== 'open').length,
			steps_asked: asked.length
		};
	});
	if (sheets.length === 0) return;
	await db.execute(sql`
		update visit v set sheet = r.sheet, is_finished = r.is_finished, awaits_review = r.awaits_review,
			conflicts = r.conflicts, steps_done = r.steps_done, steps_asked = r.steps_asked
		from json_to_recordset(${rows(sheets)})
		as r(id uuid, sheet jsonb, is_finished bool, awaits_review int, conflicts int, steps_done int, steps_asked int)
		where v.program_id = ${programId} and v.id = r.id`);
}

async function writeFlags(db: Db, programId: string, worked: readonly Worked[]): Promise<void> {
	if (worked.length === 0) return;
	await db.execute(sql`delete from flag where program_id = ${programId} and visit_id = ${ids(worked)}`);
	const flags = worked.flatMap(({ visit, outcome }) =>
		outcome.flags.map((flag, number) => ({ ...flag, visit_id: visit.id, number }))
	);
	if (flags.length === 0) return;
	await db.execute(sql`
		insert into flag (program_id, visit_id, number, code, path, parameter, evidence)
		select ${programId}, visit_id, number, code, path, parameter, evidence
		from json_to_recordset(${rows(flags)})
		as r(visit_id uuid, number int, code text, path text, parameter text, evidence jsonb)`);
}

async function writeReviews(db: Db, programId: string, worked: readonly Worked[]): Promise<void> {
	if (worked.length === 0) return;
	await db.execute(sql`delete from review where program_id = ${programId} and visit_id = ${ids(worked)}`);
	const reviews = worked.flatMap(({ visit, outcome: { folded } }) => {
		const line = (path: string, parameter: string, comes_from: string, said: Verdict | undefined) => {
			const entry = folded.lines.get(path)?.live;
			if (!entry || !said) return [];
			const { verdict, reason } = said;
			return [
				{
					visit_id: visit.id,
					parameter,
					comes_from,
					entry_id: entry.id,
					verdict,
					reason,
					by: entry.by,
					at: new Date(instantOf(entry.at))
				}
			];
		};
		const { reviews: older, verdicts } = folded.sheet;
		return [
			...(Object.entries(older ?? {}) as [string, Verdict][]).flatMap(([parameter, said]) =>
				line(`reviews/${parameter}`, parameter, '', said)
			),
			...(Object.entries(verdicts ?? {}) as [ParameterCode, Record<string, Verdict>][]).flatMap(([parameter, all]) =>
				Object.entries(all).flatMap(([from, said]) => line(verdictPath({ parameter, from }), parameter, from, said))
			)
		];
	});
	if (reviews.length === 0) return;
	await db.execute(sql`
		insert into review (program_id, visit_id, parameter, comes_from, entry_id, verdict, reason, by_member_id, at)
		select ${programId}, visit_id, parameter, comes_from, entry_id, verdict, reason, by, at
		from json_to_recordset(${rows(reviews)})
		as r(visit_id uuid, parameter text, comes_from text, entry_id uuid, verdict verdict, reason text, by uuid,
		at timestamptz)`);
}

async function writeClocks(db: Db, programId: string, worked: readonly Worked[]): Promise<void> {
	if (worked.length === 0) return;
	await db.execute(sql`delete from running_clock where program_id = ${programId} and visit_id = ${ids(worked)}`);
	const clocks = worked.flatMap(({ visit, outcome }) =>
		outcome.clocks.map((c) => ({
			visit_id: visit.id,
			id: c.id,
			kind: c.kind,
			label: c.label,
			start_at: new Date(c.start_ms),
			due_at: new Date(c.due_ms),
			last_at: new Date(c.last_ms),
			deadline: c.deadline ?? null
		}))
	);
	if (clocks.length === 0) return;
	await db.execute(sql`
		insert into running_clock (program_id, visit_id, id, kind, label, start_at, due_at, last_at, deadline)
		select ${programId}, visit_id, id, kind, label, start_at, due_at, last_at, deadline
		from json_to_recordset(${rows(clocks)})
		as r(visit_id uuid, id text, kind text, label text, start_at timestamptz, due_at timestamptz, last_at timestamptz,
		deadline jsonb)`);
}
