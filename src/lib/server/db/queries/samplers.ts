import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import { z } from 'zod';
import type { Db } from '../connect';
import { rowsOf } from '../rows';
import { sampler } from '../schema';

/**
 * Samplers that a visit lifted, or found buried or lost, by their codes, with the day of that visit: whoever was there
 * need not say it to the library again.
 */
export async function goneByVisits(db: Db, programId: string): Promise<Map<string, string>> {
	const rows = await rowsOf(
		db,
		z.object({ code: z.string(), day: z.string() }),
		sql`
		select s.code, min(to_char(v.started_at at time zone p.time_zone, 'YYYY-MM-DD')) as day from sampler s
		join program p on p.id = s.program_id
		join visit v on v.program_id = s.program_id and v.site_id = s.site_id and v.sheet ? 'samplers'
		cross join jsonb_each(v.sheet -> 'samplers') e
		where s.program_id = ${programId} and s.lifted_on is null and e.value ->> 'code' = s.code
			and (e.value ? 'liftedAt' or e.value ->> 'state' in ('buried', 'lost'))
			and to_char(v.started_at at time zone p.time_zone, 'YYYY-MM-DD') >= s.out_on
		group by s.code`
	);
	return new Map(rows.map(({ code, day }) => [code, day]));
}

/** Samplers that stand in the stream, as far as the library and the visits know. */
export async function samplersOut(db: Db, programId: string): Promise<(typeof sampler.$inferSelect)[]> {
	const gone = await goneByVisits(db, programId);
	const rows = await db
		.select()
		.from(sampler)
		.where(and(eq(sampler.programId, programId), isNull(sampler.liftedOn)))
		.orderBy(asc(sampler.code));
	return rows.filter(({ code }) => !gone.has(code));
}
