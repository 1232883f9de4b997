import { and, asc, eq, sql } from 'drizzle-orm';
import { z } from 'zod';
import { withQualifier, type Figure, type ParameterCode, type Qualifier, type Unit } from '../../../core/quantity';
import type { Db } from '../connect';
import { rowsOf, written } from '../rows';
import { site, stream } from '../schema';

export interface StreamOnMap {
	id: string;
	name: string;
	length_km: number;
	joins: { streamId: string; at_km: number } | null;
}

export interface SiteOnMap {
	id: string;
	code: string;
	name: string;
	about: string;
	streamId: string;
	river_km: number;
}

export async function streamNetwork(
	db: Db,
	programId: string
): Promise<{ streams: StreamOnMap[]; sites: SiteOnMap[] }> {
	const streams = await db.select().from(stream).where(eq(stream.programId, programId)).orderBy(asc(stream.name));
	const sites = await db
		.select({
			id: site.id,
			code: site.code,
			name: site.name,
			about: site.about,
			streamId: site.streamId,
			river_km: site.river_km
		})
		.from(site)
		.where(eq(site.programId, programId))
		.orderBy(asc(site.code));
	return {
		streams: streams.map((s) => ({
			id: s.id,
			name: s.name,
			length_km: s.length_km,
			joins:
				s.joinsStreamId === null || s.joinsAt_km === null ? null : { streamId: s.joinsStreamId, at_km: s.joinsAt_km }
		})),
		sites
	};
}

/** Where the sites are: for those who go there, not for every viewer. */
export const sitePositions = (db: Db, programId: string) =>
	db
		.select({
			id: site.id,
			code: site.code,
			name: site.name,
			streamId: site.streamId,
			river_km: site.river_km,
			latitude: site.latitude,
			longitude: site.longitude
		})
		.from(site)
		.where(eq(site.programId, programId));

export const siteByCode = async (db: Db, programId: string, code: string) =>
	(
		await db
			.select()
			.from(site)
			.where(and(eq(site.programId, programId), eq(site.code, code)))
	)[0] ?? null;

/**
 * The newest figure of each parameter at these sites, rejected ones left out; only accepted ones where that is all
 * one may see.
 */
export async function latestFigures(
	db: Db,
	programId: string,
	siteIds: readonly string[],
	acceptedOnly: boolean
): Promise<Map<string, Partial<Record<ParameterCode, Figure>>>> {
	const rows = await rowsOf(
		db,
		z.object({
			site_id: z.string(),
			parameter: written<ParameterCode>(),
			value: z.number(),
			qualifier: written<Qualifier>(),
			unit: written<Unit>()
		}),
		sql`
		select s.id as site_id, p.parameter, r.value, r.qualifier, r.unit
		from site s
		cross join unnest(array['water-temperature','oxygen-saturation','conductance25','tube-depth','e-coli','nitrite']) as p(parameter)
		cross join lateral (
			select value, qualifier, unit from result r
			where r.program_id = s.program_id and r.site_id = s.id and r.parameter = p.parameter and r.is_reported
				and ${acceptedOnly ? sql`r.status in ('accepted', 'qualified')` : sql`r.status <> 'rejected'`}
			order by r.at desc limit 1
		) r
		where s.program_id = ${programId} and s.id = any(${sql.param(siteIds)}::uuid[])`
	);
	const latest = new Map<string, Partial<Record<ParameterCode, Figure>>>();
	for (const r of rows)
		latest.set(r.site_id, { ...latest.get(r.site_id), [r.parameter]: withQualifier(r.value, r.qualifier, r.unit) });
	return latest;
}
