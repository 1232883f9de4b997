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
	/** By the first way, and by the second. */
	firstValue: z.number(),
	secondValue: z.number(),
	visitId: z.string(),
	site: z.string()
});
export type PairRow = z.output<typeof Row>;

/** Of one parameter and two ways; more tell nothing that the newest do not. */
const MOST = 500;

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
		, pairs as (
			select a.parameter, a.unit, a.way as first, b.way as second, a.at, a.value as first_value,
				b.value as second_value, a.visit_id, a.site_id,
				row_number() over (partition by a.parameter, a.way, b.way order by a.at desc, a.visit_id) as nth
			from shown a join shown b on b.visit_id = a.visit_id and b.parameter = a.parameter
				and array_position(${order}, a.way) > array_position(${order}, b.way)
		)
		select p.parameter, p.unit, p.first, p.second, extract(epoch from p.at) * 1000 as at_ms,
			p.first_value as "firstValue", p.second_value as "secondValue", p.visit_id as "visitId", s.code as site
		from pairs p join site s on s.program_id = ${programId} and s.id = p.site_id
		where p.nth <= ${MOST} order by p.at desc`
	);
};
