import { sql } from 'drizzle-orm';
import { z } from 'zod';
import { limitsOf } from '../../core/method';
import {
	dryingDays,
	gearWarnings,
	isSouthern,
	type DryingTimes,
	type GearFacts,
	type GearWarning
} from '../../core/schedule';
import type { InstrumentFacts } from '../../core/subjects/context';
import type { Db } from '../db/connect';
import { instant, rowsOf, written } from '../db/rows';

const KIT_FROM_days = 120;
const VELOCITY_FROM_visits = 12;
const DAY_ms = 86_400_000;

interface Round {
	teamId: string;
	siteIds: readonly string[];
	starts_ms: number;
	drying?: DryingTimes | undefined;
}

/**
 * The instruments that a team takes along, as it last did, and what is wrong with its gear on the morning of a round.
 */
export async function gearOfRound(
	db: Db,
	programId: string,
	round: Round
): Promise<{ kit: string[]; warnings: GearWarning[] }> {
	const instruments = await instrumentsTaken(db, programId, round);
	return {
		kit: instruments.map((t) => t.code),
		warnings: gearWarnings({
			starts_ms: round.starts_ms,
			instruments,
			pastVelocity: await velocitiesAt(db, programId, round.siteIds),
			wet: [...(await wetFromVisits(db, programId, round)), ...(await wetFromShelf(db, programId, round))],
			consumables: await expiredBy(db, programId, round.starts_ms)
		})
	};
}

const isoOf = (ms: number) => new Date(ms).toISOString();

/** Instruments of the team's last visits, with what each is calibrated for. */
async function instrumentsTaken(db: Db, programId: string, { teamId, starts_ms }: Round): Promise<GearFacts[]> {
	const tools = await rowsOf(
		db,
		z.object({
			id: z.string(),
			code: z.string(),
			kind: z.string(),
			measures: written<InstrumentFacts['measures']>(),
			battery: instant.nullable()
		}),
		sql`
		with lately as (
			select sheet from visit where program_id = ${programId} and team_id = ${teamId}
				and started_at between ${isoOf(starts_ms - KIT_FROM_days * DAY_ms)} and ${isoOf(starts_ms)}
				order by started_at desc limit 8
		), used as (
			select distinct f.figure->>'instrument' as code
			from lately, jsonb_each(sheet->'readings') as p(parameter, slots), jsonb_each(p.slots) as f(slot, figure)
			union select g.value->>'instrument' from lately, jsonb_each(sheet->'gaugings') as g
		)
		select id, code, kind, measures, battery_changed_at as battery from instrument
		where program_id = ${programId} and retired_on is null and code in (select code from used) order by code`
	);
	const done = await rowsOf(
		db,
		z.object({ instrument_id: z.string(), parameter: z.string(), last: instant }),
		sql`
		select instrument_id, parameter, max(at) as last from calibration
		where program_id = ${programId} and passed and instrument_id = any(${sql.param(tools.map((t) => t.id))}::uuid[])
		group by 1, 2`
	);
	return tools.map((tool) => ({
		code: tool.code,
		kind: tool.kind,
		calibrations: Object.entries(tool.measures).flatMap(([parameter, m]) => {
			if (m?.calibrationDays === undefined) return [];
			const last = done.find((d) => d.instrument_id === tool.id && d.parameter === parameter)?.last;
			return [{ parameter, last_ms: last ? +new Date(last) : null, limit_days: m.calibrationDays }];
		}),
		batteryChanged_ms: tool.battery ? +new Date(tool.battery) : null,
		velocity: tool.measures.velocity
			? { low_m_s: tool.measures.velocity.low ?? 0, high_m_s: tool.measures.velocity.high ?? Infinity }
			: null
	}));
}

type Facts = Parameters<typeof gearWarnings>[0];

/** The slowest and fastest water of the last visits to each site. */
async function velocitiesAt(db: Db, programId: string, siteIds: readonly string[]): Promise<Facts['pastVelocity']> {
	const rows = await rowsOf(
		db,
		z.object({ site: z.string(), low: z.number(), high: z.number() }),
		sql`
		select s.code as site, min(v.speed) as low, max(v.speed) as high from (
			select w.site_id, coalesce(x.value->>'velocity_m_s', x.value->>'velocity06_m_s')::float8 as speed
			from (select site_id, sheet, row_number() over (partition by site_id order by started_at desc) as back from visit
				where program_id = ${programId} and site_id = any(${sql.param(siteIds)}::uuid[]) and is_finished) w,
				jsonb_each(w.sheet->'gaugings') as g, jsonb_each(g.value->'verticals') as x
			where w.back <= ${VELOCITY_FROM_visits}
				and 'number' in (jsonb_typeof(x.value->'velocity_m_s'), jsonb_typeof(x.value->'velocity06_m_s'))
		) v join site s on s.program_id = ${programId} and s.id = v.site_id group by 1 order by 1`
	);
	return rows.map((s) => ({ site: s.site, low_m_s: Math.max(0, s.low), high_m_s: s.high }));
}

/** Nets and boots that a visit elsewhere made wet, and that are not dry by then. */
async function wetFromVisits(db: Db, programId: string, { teamId, siteIds, starts_ms }: Round): Promise<Facts['wet']> {
	const rows = await rowsOf(
		db,
		z.object({ label: z.string(), water: z.string(), dry_at: instant }),
		sql`
		select c.label, t.name as water, c.last_at as dry_at from running_clock c
		join visit v on v.program_id = c.program_id and v.id = c.visit_id
		join site s on s.program_id = v.program_id and s.id = v.site_id
		join stream t on t.program_id = s.program_id and t.id = s.stream_id
		where c.program_id = ${programId} and c.kind = 'drying' and v.team_id = ${teamId}
			and c.last_at > ${isoOf(starts_ms)}
			and not (s.id = any(${sql.param(siteIds)}::uuid[]))`
	);
	return rows.map((w) => ({ kit: w.label, water: w.water, dry_ms: +w.dry_at }));
}

/** Gear of the library that was last in another water, and not disinfected since. */
async function wetFromShelf(
	db: Db,
	programId: string,
	{ teamId, siteIds, drying = limitsOf({}) }: Round
): Promise<Facts['wet']> {
	const rows = await rowsOf(
		db,
		z.object({ what: z.string(), water: z.string(), wet_on: z.string() }),
		sql`
		select g.what, t.name as water, g.wet_on
		from gear g join stream t on t.program_id = g.program_id and t.id = g.wet_in
		where g.program_id = ${programId} and (g.team_id = ${teamId} or g.team_id is null)
			and (g.disinfected_on is null or g.disinfected_on < g.wet_on)
			and not exists (
				select 1 from site s
				where s.program_id = g.program_id and s.stream_id = g.wet_in and s.id = any(${sql.param(siteIds)}::uuid[])
			)
		order by g.what`
	);
	const [where] = await rowsOf(
		db,
		z.object({ latitude: z.number().nullable() }),
		sql`
		select avg(latitude) as latitude from site where program_id = ${programId}
			and id = any(${sql.param(siteIds)}::uuid[])`
	);
	const southern = isSouthern(where ?? {});
	return rows.map(({ what, water, wet_on }) => {
		const wet_ms = Date.parse(wet_on);
		return { kit: what, water, dry_ms: wet_ms + dryingDays(wet_ms, drying, southern) * DAY_ms };
	});
}

async function expiredBy(db: Db, programId: string, starts_ms: number): Promise<Facts['consumables']> {
	const rows = await rowsOf(
		db,
		z.object({ what: z.string(), expires_on: z.string() }),
		sql`
		select what, expires_on from consumable where program_id = ${programId}
			and expires_on < ${isoOf(starts_ms).slice(0, 10)} order by expires_on`
	);
	return rows.map((o) => ({ what: o.what, expires_ms: Date.parse(o.expires_on) }));
}
