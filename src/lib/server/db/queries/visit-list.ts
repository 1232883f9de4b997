import { sql } from 'drizzle-orm';
import { z } from 'zod';
import type { Member } from '../../access';
import { dayOfDate, instantAt } from '../../plan/local-day';
import type { Db } from '../connect';
import { rowsOf } from '../rows';
import { readable, visitsWhere, type VisitRow } from './visits';

/** How a visit stands: still open, waiting for review, judged. */
export const visitStates = ['open', 'waiting', 'judged', 'flagged'] as const;

export interface VisitFilter {
	/** A site's code; '' for all. */
	site: string;
	/** Days in the program's calendar, both included. */
	from: string | null;
	to: string | null;
	/** A person's initials; '' for all. */
	crew: string;
	state: (typeof visitStates)[number] | 'all';
}

const stateIs = {
	all: sql`true`,
	open: sql`not v.is_finished`,
	waiting: sql`v.is_finished and v.awaits_review > 0`,
	judged: sql`v.is_finished and v.awaits_review = 0`,
	flagged: sql`exists (select 1 from flag f where f.program_id = v.program_id and f.visit_id = v.id)`
};

/** Visits that this member may see and that a filter leaves, the newest first, a page of them and how many in all. */
export async function listVisits(
	db: Db,
	member: Member & { program: { timeZone: string } },
	{ site, from, to, crew, state }: VisitFilter,
	page: { skip: number; take: number }
): Promise<{ visits: VisitRow[]; inAll: number }> {
	const at = (day: string, plus: number) =>
		new Date(instantAt(dayOfDate(day) + plus, 0, member.program.timeZone)).toISOString();
	const wanted = sql.join(
		[
			sql`v.program_id = ${member.programId}`,
			readable(member),
			stateIs[state],
			...(site === '' ? [] : [sql`s.code = ${site}`]),
			...(from === null ? [] : [sql`v.started_at >= ${at(from, 0)}`]),
			...(to === null ? [] : [sql`v.started_at < ${at(to, 1)}`]),
			...(crew === '' ? [] : [sql`v.sheet->'arrival'->'crew' ? ${crew}`])
		],
		sql` and `
	);
	const rows = await rowsOf(
		db,
		z.object({ in_all: z.number() }),
		sql`
		select count(*)::int as in_all from visit v join site s on s.program_id = v.program_id and s.id = v.site_id
		where ${wanted}`
	);
	const visits = await visitsWhere(
		db,
		sql`${wanted} order by v.started_at desc, v.id limit ${page.take} offset ${page.skip}`
	);
	return { visits, inAll: rows[0]?.in_all ?? 0 };
}
