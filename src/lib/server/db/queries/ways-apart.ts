import { sql } from 'drizzle-orm';
import { z } from 'zod';
import { ParameterCode, unitCodes, ways } from '../../../core/quantity';
import type { Db } from '../connect';
import { rowsOf } from '../rows';

const Row = z.object({
	parameter: ParameterCode,
	unit: z.enum(unitCodes),
	first: z.enum(ways),
	second: z.enum(ways),
	at_ms: z.coerce.number(),
	firstValue: z.number(),
	secondValue: z.number(),
	visitId: z.string(),
	site: z.string()
});
export type PairRow = z.output<typeof Row>;

/** More pairs than these tell nothing that the newest do not. */
const MOST = 6_000;

/**
 * All parameters that a visit found in two ways, the newest first: the way that is reported before the other is the
 * one it is held against. Limits, what was rejected, what comes from a stand-in and what follows from other figures
 * prove nothing and are left out.
 */
export const wayPairs = (db: Db, programId: string): Promise<PairRow[]> => {
	const order = sql`${sql.param([...ways])}::text[]`;
	return rowsOf(
		db,
		Row,
		sql`
		with shown as (
			select distinct on (r.visit_id, r.parameter, r.way) r.* from result r
			where r.program_id = ${programId} and r.qualifier is null and r.status <> 'rejected'
				and not r.is_simulated and r.way <> 'derived'
			order by r.visit_id, r.parameter, r.way, r.is_reported desc, r.comes_from
		)
		select a.parameter, a.unit, a.way as first, b.way as second, extract(epoch from a.at) * 1000 as at_ms,
			a.value as "firstValue", b.value as "secondValue", a.visit_id as "visitId", s.code as site
		from shown a join shown b on b.visit_id = a.visit_id and b.parameter = a.parameter
			and array_position(${order}, a.way) > array_position(${order}, b.way)
		join site s on s.program_id = ${programId} and s.id = a.site_id
		order by a.at desc limit ${MOST}`
	);
};
