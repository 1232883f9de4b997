import { sql } from 'drizzle-orm';
import { z } from 'zod';
import type { ParameterCode, Qualifier, Unit, Way } from '../../../core/quantity';
import type { Db } from '../connect';
import { instant, rowsOf, written } from '../rows';

export const ResultRow = z.object({
	site: z.string(),
	site_name: z.string(),
	parameter: written<ParameterCode>(),
	at: instant,
	visit_id: z.string(),
	comes_from: z.string(),
	way: written<Way>(),
	is_reported: z.boolean(),
	value: z.number(),
	qualifier: written<Qualifier>(),
	unit: written<Unit>(),
	uncertainty: z.number().nullable(),
	lower: z.number().nullable(),
	upper: z.number().nullable(),
	readings: z.number(),
	basis: z.string(),
	status: written<'waiting' | 'accepted' | 'qualified' | 'rejected'>(),
	is_simulated: z.boolean()
});
export type ResultRow = z.output<typeof ResultRow>;

/** Which results of a program are wanted; an empty list leaves nothing out. */
export interface Wanted {
	siteCodes: readonly string[];
	parameters: readonly string[];
	/** Left out: of all visits. */
	visitIds?: readonly string[];
	from: Date;
	before: Date;
	/** Of each visit and parameter the one that is reported; else all determinations. */
	reportedOnly: boolean;
	/** What may be seen by whoever sees no unreviewed results. */
	acceptedOnly: boolean;
}

const AT_ONCE = 5000;

const isAfter = ({ at, visit_id, parameter, comes_from }: ResultRow) => sql`
	and (r.at, r.visit_id, r.parameter, r.comes_from)
		> (${new Date(at).toISOString()}, ${visit_id}, ${parameter}, ${comes_from})`;

/** Results in the order of time, some thousands at once, however many there are. */
export async function* resultsOf(db: Db, programId: string, wanted: Wanted): AsyncGenerator<ResultRow[]> {
	const { siteCodes, parameters, visitIds = [], reportedOnly, acceptedOnly } = wanted;
	let last: ResultRow | undefined;
	for (;;) {
		const rows = await rowsOf(
			db,
			ResultRow,
			sql`
			select s.code as site, s.name as site_name, r.parameter, r.at, r.visit_id, r.comes_from, r.way,
				r.is_reported, r.value, r.qualifier, r.unit,
				r.uncertainty, r.lower, r.upper, r.readings, r.basis, r.status, r.is_simulated
			from result r join site s on s.program_id = r.program_id and s.id = r.site_id
			where r.program_id = ${programId} and r.at >= ${wanted.from.toISOString()}
				and r.at < ${wanted.before.toISOString()}
				and (${siteCodes.length === 0} or s.code = any(${sql.param([...siteCodes])}::text[]))
				and (${parameters.length === 0} or r.parameter = any(${sql.param([...parameters])}::text[]))
				and (${wanted.visitIds === undefined} or r.visit_id = any(${sql.param([...visitIds])}::uuid[]))
				and (${!reportedOnly} or r.is_reported) and (${!acceptedOnly} or r.status in ('accepted', 'qualified'))
				${last === undefined ? sql`` : isAfter(last)}
			order by r.at, r.visit_id, r.parameter, r.comes_from limit ${AT_ONCE}`
		);
		if (rows.length > 0) yield rows;
		if (rows.length < AT_ONCE) return;
		last = rows.at(-1);
	}
}
