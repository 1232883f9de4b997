import { sql, type SQL } from 'drizzle-orm';
import { z } from 'zod';
import { readScope, type Member, type VisitSubject } from '../../access';
import type { Db } from '../connect';
import { instant, rowsOf } from '../rows';

export interface VisitRow {
	id: string;
	started_ms: number;
	site: { code: string; name: string; about: string };
	isFinished: boolean;
	awaitsReview: number;
	conflicts: number;
	flags: number;
	crew: string[];
	subject: VisitSubject;
	cardTitle: string;
	cardVersion: number;
}

const Row = z.object({
	id: z.string(),
	started_at: instant,
	code: z.string(),
	name: z.string(),
	about: z.string(),
	is_finished: z.boolean(),
	awaits_review: z.number(),
	conflicts: z.number(),
	flags: z.number(),
	crew: z.array(z.string()),
	team_id: z.string().nullable(),
	opened_by: z.string(),
	not_judged_by: z.array(z.string()),
	card: z.string(),
	version: z.number()
});
type Row = z.output<typeof Row>;

/** Of visits `v`: those whose lines this member sees, by the one rule of rights. */
export function readable(member: Member): SQL {
	const scope = readScope(member);
	if (scope === 'own') return sql`(v.opened_by = ${member.id} or v.team_id = ${member.teamId})`;
	return scope === 'all' ? sql`true` : sql`false`;
}

/** Of a visit `v`: who may not judge it, where the program wants nobody of the crew to. */
export const notJudgedBy = sql`
	case when (select p.settings->>'whoJudges' from program p where p.id = v.program_id) = 'others'
		then array(
			select m.id from member m
			where m.program_id = v.program_id and (m.id = v.opened_by or v.sheet->'arrival'->'crew' ? m.initials)
		)
		else '{}'::uuid[] end`;

const select = sql`
	select v.id, v.started_at, s.code, s.name, s.about, v.is_finished, v.awaits_review, v.conflicts,
		v.team_id, v.opened_by,
		(select count(*)::int from flag f where f.program_id = v.program_id and f.visit_id = v.id) as flags,
		array(
			select m.initials from member m
			where m.program_id = v.program_id and v.sheet->'arrival'->'crew' ? m.initials order by m.initials
		) as crew,
		${notJudgedBy} as not_judged_by, c.body->>'title' as card, c.version
	from visit v join site s on s.program_id = v.program_id and s.id = v.site_id
	join method_card_version c on c.program_id = v.program_id and c.id = v.card_version_id`;

const visitOf = (r: Row): VisitRow => ({
	id: r.id,
	started_ms: +r.started_at,
	site: { code: r.code, name: r.name, about: r.about },
	isFinished: r.is_finished,
	awaitsReview: r.awaits_review,
	conflicts: r.conflicts,
	flags: r.flags,
	crew: r.crew,
	subject: { teamId: r.team_id, openedBy: r.opened_by, notJudgedBy: r.not_judged_by },
	cardTitle: r.card,
	cardVersion: r.version
});

/** Visits `v` at sites `s` of which a condition holds, in the order that it asks for. */
export async function visitsWhere(db: Db, condition: SQL): Promise<VisitRow[]> {
	return (await rowsOf(db, Row, sql`${select} where ${condition}`)).map(visitOf);
}

export async function visitById(db: Db, programId: string, id: string): Promise<VisitRow | null> {
	return (await visitsWhere(db, sql`v.program_id = ${programId} and v.id = ${id}`))[0] ?? null;
}

/** Visits with results that nobody has judged yet, oldest first. */
export const visitsAwaitingReview = (db: Db, programId: string, most = 100): Promise<VisitRow[]> =>
	visitsWhere(db, sql`v.program_id = ${programId} and v.awaits_review > 0 order by v.started_at limit ${most}`);

export interface InQueue {
	id: string;
	site: string;
	started_ms: number;
}

/**
 * The visits that await review before and after one, the oldest first, round and round; null where it is the only one.
 */
export async function besideInQueue(
	db: Db,
	programId: string,
	{ id, started_ms }: Pick<VisitRow, 'id' | 'started_ms'>
): Promise<{ before: InQueue; after: InQueue } | null> {
	const here = sql`(${new Date(started_ms).toISOString()}::timestamptz, ${id}::uuid)`;
	const next = async (order: SQL): Promise<InQueue | null> => {
		const rows = await rowsOf(
			db,
			z.object({ id: z.string(), site: z.string(), started_at: instant }),
			sql`
			select v.id, s.name as site, v.started_at
			from visit v join site s on s.program_id = v.program_id and s.id = v.site_id
			where v.program_id = ${programId} and v.awaits_review > 0 and v.id <> ${id} order by ${order} limit 1`
		);
		return rows[0] ? { id: rows[0].id, site: rows[0].site, started_ms: +rows[0].started_at } : null;
	};
	const [before, after] = await Promise.all([
		next(sql`(v.started_at, v.id) < ${here} desc, v.started_at desc, v.id desc`),
		next(sql`(v.started_at, v.id) > ${here} desc, v.started_at, v.id`)
	]);
	return before && after && { before, after };
}

/** The last visits to a site, newest first. */
export const visitsTo = (db: Db, programId: string, siteId: string, most: number): Promise<VisitRow[]> =>
	visitsWhere(db, sql`v.program_id = ${programId} and v.site_id = ${siteId} order by v.started_at desc limit ${most}`);
