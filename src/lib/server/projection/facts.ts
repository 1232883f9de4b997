import { sql } from 'drizzle-orm';
import type { Context, InstrumentFacts, Usual } from '../../core/evaluate';
import type { Entry } from '../../core/logbook';
import type { MethodCard } from '../../core/method';
import type { ParameterCode } from '../../core/quantity';
import type { Db } from '../db/connect';

/** What is needed to work out a visit, read for many visits at once. */
export interface VisitFacts {
	id: string;
	siteId: string;
	startedAt: Date;
	siteCode: string;
	timeZone: string;
	elevation_m: number;
	wadingDepth_m: number | null;
	card: MethodCard;
	entries: Entry[];
	skew_ms: Record<string, number>;
	instruments: Context['instruments'];
}

const HISTORY = '10 years';

type EntryRow = Pick<Entry, 'id' | 'at' | 'device' | 'path' | 'op' | 'value' | 'was'> & { visit_id: string; by_member_id: string; skew_ms: string | null };

/** The entry that a row of the logbook keeps. */
export const entryOf = (row: EntryRow): Entry => ({
	id: row.id,
	visitId: row.visit_id,
	at: row.at,
	by: row.by_member_id,
	device: row.device,
	path: row.path,
	op: row.op,
	value: row.value,
	was: row.was
});

export async function visitFacts(db: Db, programId: string, visitIds: readonly string[]): Promise<VisitFacts[]> {
	if (visitIds.length === 0) return [];
	const ids = sql`any(${sql.param([...visitIds])}::uuid[])`;
	const { rows: visits } = await db.execute<{
		id: string;
		site_id: string;
		started_at: string;
		code: string;
		time_zone: string;
		elevation_m: number;
		wading_depth_m: number | null;
		body: MethodCard;
	}>(sql`
		select v.id, v.site_id, v.started_at, s.code, p.time_zone, s.elevation_m, s.wading_depth_m, c.body from visit v
		join program p on p.id = v.program_id
		join site s on s.program_id = v.program_id and s.id = v.site_id
		join method_card_version c on c.program_id = v.program_id and c.id = v.card_version_id
		where v.program_id = ${programId} and v.id = ${ids} order by v.started_at, v.id`);
	const { rows: entries } = await db.execute<EntryRow>(sql`
		select id, visit_id, at, by_member_id, device, path, op, value, was, skew_ms from entry
		where program_id = ${programId} and visit_id = ${ids}`);
	const instruments = await instrumentFacts(db, programId);
	const byVisit = new Map<string, EntryRow[]>(visits.map((v) => [v.id, []]));
	for (const entry of entries) byVisit.get(entry.visit_id)?.push(entry);
	return visits.map((v) => {
		const rows = byVisit.get(v.id) ?? [];
		const startedAt = new Date(v.started_at);
		return {
			id: v.id,
			siteId: v.site_id,
			startedAt,
			siteCode: v.code,
			timeZone: v.time_zone,
			elevation_m: v.elevation_m,
			wadingDepth_m: v.wading_depth_m,
			card: v.body,
			entries: rows.map(entryOf),
			skew_ms: Object.fromEntries(rows.flatMap((r) => (r.skew_ms === null ? [] : [[r.device, Number(r.skew_ms)]]))),
			instruments: instruments(startedAt)
		};
	});
}

/** Instruments as they stood at an instant: with the last calibration before it. */
export async function instrumentFacts(db: Db, programId: string): Promise<(at: Date) => Context['instruments']> {
	const { rows } = await db.execute<{ code: string; measures: InstrumentFacts['measures']; calibrations: { parameter: string; at: string }[] }>(sql`
		select i.code, i.measures, coalesce((
			select json_agg(json_build_object('parameter', c.parameter, 'at', c.at) order by c.at)
			from calibration c where c.program_id = i.program_id and c.instrument_id = i.id and c.passed
		), '[]') as calibrations
		from instrument i where i.program_id = ${programId}`);
	return (at) =>
		Object.fromEntries(
			rows.map(({ code, measures, calibrations }) => [
				code,
				{ code, measures, calibratedAt: Object.fromEntries(calibrations.filter((c) => Date.parse(c.at) <= at.getTime()).map((c) => [c.parameter, c.at])) }
			])
		);
}

/** What earlier visits to the same site have seen of each parameter, for many visits at once. */
export async function usualBefore(
	db: Db,
	programId: string,
	visits: readonly Pick<VisitFacts, 'id' | 'siteId' | 'startedAt'>[]
): Promise<Map<string, NonNullable<Context['site']['usual']>>> {
	if (visits.length === 0) return new Map();
	const asked = JSON.stringify(visits.map((v) => ({ id: v.id, site_id: v.siteId, at: v.startedAt.toISOString() })));
	const { rows } = await db.execute<{ visit_id: string; parameter: ParameterCode; low: number; high: number; visits: number }>(sql`
		select q.id as visit_id, r.parameter, min(r.value) as low, max(r.value) as high, count(*)::int as visits
		from jsonb_to_recordset(${asked}::jsonb) as q(id uuid, site_id uuid, at timestamptz)
		join result r on r.program_id = ${programId} and r.site_id = q.site_id and r.status <> 'rejected'
			and r.at < q.at and r.at > q.at - ${HISTORY}::interval
		group by q.id, r.parameter`);
	const usual = new Map<string, Partial<Record<ParameterCode, Usual>>>();
	for (const { visit_id, parameter, low, high, visits: n } of rows) usual.set(visit_id, { ...usual.get(visit_id), [parameter]: { low, high, visits: n } });
	return usual;
}
