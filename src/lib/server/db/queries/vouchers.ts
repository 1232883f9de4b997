import { sql } from 'drizzle-orm';
import { z } from 'zod';
import { keptIn } from '../../../core/subjects/voucher/branch';
import { agreedName, standingOf, type VoucherStanding } from '../../../core/subjects/voucher/agreed-name';
import type { Kept } from '../../../core/subjects/voucher/keeping';
import type { Member } from '../../access';
import type { Db } from '../connect';
import { rowsOf, written } from '../rows';
import { animalsKnown } from './own-animals';
import { readable } from './visits';

/** More than these are looked for by their visit. */
export const MOST_VOUCHERS = 500;

const Row = z.object({
	id: z.string(),
	visitId: z.string(),
	site: z.string(),
	started_ms: z.coerce.number(),
	taxon: z.string(),
	count: z.number().nullable(),
	label: z.string().nullable(),
	keptIn: z.enum(keptIn).nullable(),
	keptAt: z.string().nullable(),
	shelf: z.string().nullable(),
	toppedUpOn: z.string().nullable(),
	loans: written<NonNullable<Kept['loans']>>().nullable(),
	/** What each member who looked calls it. */
	opinions: z.record(z.string(), z.string()).nullable()
});
/** A lot, and how those who looked again stand to its name. */
export type VoucherRow = z.infer<typeof Row> & { standing: VoucherStanding };

/** Animals kept on visits that this member may see, the newest first. */
export async function vouchersOf(db: Db, member: Member, most: number): Promise<VoucherRow[]> {
	const rows = await rowsOf(
		db,
		Row,
		sql`
		select p.key as id, v.id as "visitId", s.code as site, extract(epoch from v.started_at) * 1000 as started_ms,
			p.value ->> 'taxon' as taxon, (p.value ->> 'count')::int as count, p.value ->> 'label' as label,
			p.value ->> 'keptIn' as "keptIn", p.value ->> 'keptAt' as "keptAt", p.value ->> 'shelf' as shelf,
			p.value ->> 'toppedUpOn' as "toppedUpOn", p.value -> 'loans' as loans, v.sheet -> 'opinions' -> p.key as opinions
		from visit v join site s on s.program_id = v.program_id and s.id = v.site_id
		cross join jsonb_each(v.sheet -> 'vouchers') p
		where v.program_id = ${member.programId} and v.sheet ? 'vouchers' and p.value ? 'taxon' and ${readable(member)}
		order by v.started_at desc, p.value ->> 'label' limit ${most}`
	);
	const animals = await animalsKnown(db, member.programId);
	return rows.map((row) => ({
		...row,
		standing: standingOf(
			agreedName({ opinions: { [row.id]: row.opinions ?? {} } }, row.id, animals),
			row.taxon,
			animals
		)
	}));
}

const Opinions = Row.pick({ id: true, taxon: true, opinions: true }).extend({
	/** Who gave it the name under which it was counted. */
	by: z.string()
});

/** What was said of all animals that the program ever kept, whoever may see their visits: how often a name is wrong. */
export const opinionsOf = (db: Db, programId: string, most: number): Promise<z.infer<typeof Opinions>[]> =>
	rowsOf(
		db,
		Opinions,
		sql`
		select p.key as id, p.value ->> 'taxon' as taxon, v.sheet -> 'opinions' -> p.key as opinions,
		named.by_member_id as by
		from visit v cross join jsonb_each(v.sheet -> 'vouchers') p
		cross join lateral (
			select by_member_id from entry where program_id = v.program_id and visit_id = v.id
				and path = 'vouchers/' || p.key || '/taxon' and op = 'set' order by at desc limit 1
		) named
		where v.program_id = ${programId} and v.sheet ? 'vouchers' and p.value ? 'taxon'
		order by v.started_at desc, p.key limit ${most}`
	);
