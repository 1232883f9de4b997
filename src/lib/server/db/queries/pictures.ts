import { sql } from 'drizzle-orm';
import { z } from 'zod';
import type { Member } from '../../access';
import type { Db } from '../connect';
import { rowsOf } from '../rows';
import { readable } from './visits';

/** A picture or sketch that a visit brought home. */
const Picture = z.object({
	sha256: z.string(),
	visitId: z.string(),
	of: z.string().nullable(),
	caption: z.string().nullable(),
	started_ms: z.coerce.number()
});
export type Picture = z.infer<typeof Picture>;

/** The latest pictures of a site that the member may see, whose bytes have come. */
export async function picturesOf(db: Db, member: Member, siteId: string, most: number): Promise<Picture[]> {
	return rowsOf(
		db,
		Picture,
		sql`
		select p.value ->> 'sha256' as sha256, v.id as "visitId", p.value ->> 'of' as of, p.value ->> 'caption' as caption,
			extract(epoch from v.started_at) * 1000 as started_ms
		from visit v cross join jsonb_each(v.sheet -> 'photos') p
		join photo held on held.program_id = v.program_id and held.sha256 = p.value ->> 'sha256'
		where v.program_id = ${member.programId} and v.site_id = ${siteId} and v.sheet ? 'photos' and ${readable(member)}
		order by v.started_at desc, p.value ->> 'takenAt' desc limit ${most}`
	);
}
