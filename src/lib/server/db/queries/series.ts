import { sql } from 'drizzle-orm';
import { z } from 'zod';
import type { ParameterCode, Qualifier, Unit } from '../../../core/quantity';
import type { Way } from '../../../core/quantity';
import type { Db } from '../connect';
import { instant, rowsOf, written } from '../rows';

export interface SeriesPoint {
	at_ms: number;
	value: number;
	qualifier: Qualifier;
	unit: Unit;
	uncertainty: number | null;
	/** Limits between which it lies with 95 %, where those are not even about it. */
	lower: number | null;
	upper: number | null;
	isSimulated: boolean;
	/** How it was found. */
	way: Way;
	/** What the stream carried on that visit, where it was gauged. */
	discharge_m3_s: number | null;
	status: 'waiting' | 'accepted' | 'qualified' | 'rejected';
	visitId: string;
}

export interface Span {
	from: Date;
	to: Date;
}

/** Points drawn one by one; a span with more is told as one figure a stretch. */
export const MOST_POINTS = 400;

export interface Stretch {
	at_ms: number;
	low: number;
	middle: number;
	high: number;
	results: number;
}

export type Series = { kind: 'points'; points: SeriesPoint[] } | { kind: 'stretches'; stretches: Stretch[] };

/** Of each visit the determination that is reported, where one may see it. */
const seen = (acceptedOnly: boolean) =>
	acceptedOnly ? sql`and r.is_reported and r.status in ('accepted', 'qualified')` : sql`and r.is_reported`;

/**
 * One parameter's results at a site over a span: point by point, or where they are many, the spread in equal
 * stretches of time.
 */
export async function seriesOf(
	db: Db,
	programId: string,
	siteId: string,
	parameter: ParameterCode,
	span: Span,
	acceptedOnly: boolean
): Promise<Series> {
	const points = await pointsOf(db, programId, siteId, parameter, span, acceptedOnly, MOST_POINTS + 1);
	if (points.length <= MOST_POINTS) return { kind: 'points', points };
	const rows = await rowsOf(
		db,
		z.object({ at: instant, low: z.number(), middle: z.number(), high: z.number(), results: z.number() }),
		sql`
		select to_timestamp(avg(extract(epoch from at))) as at, min(value) as low,
			percentile_cont(0.5) within group (order by value) as middle, max(value) as high, count(*)::int as results
		from result r where program_id = ${programId} and site_id = ${siteId} and parameter = ${parameter}
			and at between ${span.from.toISOString()} and ${span.to.toISOString()}
			and status <> 'rejected' ${seen(acceptedOnly)}
		group by width_bucket(extract(epoch from at), ${span.from.getTime() / 1000}, ${span.to.getTime() / 1000}, 200)
		order by 1`
	);
	return {
		kind: 'stretches',
		stretches: rows.map((r) => ({
			at_ms: +r.at,
			low: r.low,
			middle: r.middle,
			high: r.high,
			results: r.results
		}))
	};
}

const Point = z.object({
	at: instant,
	value: z.number(),
	qualifier: written<Qualifier>(),
	unit: written<Unit>(),
	uncertainty: z.number().nullable(),
	lower: z.number().nullable(),
	upper: z.number().nullable(),
	is_simulated: z.boolean(),
	way: written<Way>(),
	status: written<SeriesPoint['status']>(),
	visit_id: z.string(),
	discharge_m3_s: z.number().nullable()
});

/** Results one by one, newest last. */
export async function pointsOf(
	db: Db,
	programId: string,
	siteId: string,
	parameter: ParameterCode,
	span: Span,
	acceptedOnly: boolean,
	most: number
): Promise<SeriesPoint[]> {
	const rows = await rowsOf(
		db,
		Point,
		sql`
		select r.at, r.value, r.qualifier, r.unit, r.uncertainty, r.lower, r.upper, r.is_simulated, r.way, r.status,
			r.visit_id, q.value as discharge_m3_s
		from result r
		left join result q on q.program_id = r.program_id and q.visit_id = r.visit_id and q.parameter = 'discharge'
			and q.is_reported and q.qualifier is null and q.status <> 'rejected'
		where r.program_id = ${programId} and r.site_id = ${siteId} and r.parameter = ${parameter}
			and r.at between ${span.from.toISOString()} and ${span.to.toISOString()} ${seen(acceptedOnly)}
		order by r.at desc limit ${most}`
	);
	return rows
		.map(({ at, visit_id, is_simulated, ...r }) => ({
			...r,
			at_ms: +new Date(at),
			visitId: visit_id,
			isSimulated: is_simulated
		}))
		.reverse();
}

/**
 * Which parameters a site has results of that one may see, and when its first and last were. One look into the index
 * for each parameter.
 */
export async function parametersAt(
	db: Db,
	programId: string,
	siteId: string,
	all: readonly ParameterCode[],
	acceptedOnly: boolean
): Promise<{ parameter: ParameterCode; first: Date; last: Date }[]> {
	const rows = await rowsOf(
		db,
		z.object({ parameter: written<ParameterCode>(), first: instant, last: instant }),
		sql`
		select p.parameter, a.at as first, z.at as last
		from unnest(${sql.param([...all])}::text[]) with ordinality as p(parameter, n)
		cross join lateral (
			select at from result r
			where program_id = ${programId} and site_id = ${siteId} and parameter = p.parameter ${seen(acceptedOnly)}
			order by at limit 1
		) a
		cross join lateral (
			select at from result r
			where program_id = ${programId} and site_id = ${siteId} and parameter = p.parameter ${seen(acceptedOnly)}
			order by at desc limit 1
		) z
		order by p.n`
	);
	return rows.map((r) => r);
}
