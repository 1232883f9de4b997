import { sql } from 'drizzle-orm';
import { z } from 'zod';
import type { ProgramFacts } from '../../../core/schedule';
import { inSentence } from '../../../core/wording';
import { isParameterCode, parameterOf } from '../../../core/quantity';
import type { Db } from '../connect';
import { instant, rowsOf, written, writtenNumber } from '../rows';

const DAY_ms = 86_400_000;
const ROUNDS_AHEAD_days = 45;
/** Hours without a word after which somebody asks, where the program says nothing else. */
export const USUAL_OVERDUE_h = 2;

/** What is running, open, due and waiting in a program, for the agenda and the clocks rail. */
export async function programFacts(
	db: Db,
	programId: string,
	now_ms: number
): Promise<Omit<ProgramFacts, 'consumables' | 'samplers' | 'storm'>> {
	const now = new Date(now_ms).toISOString();
	const until = new Date(now_ms + ROUNDS_AHEAD_days * DAY_ms).toISOString();
	const [overdue_h, clocks, openVisits, sites, rounds, waiting, conflicts, calibrations] = await Promise.all([
		overdueAfter(db, programId),
		clockFacts(db, programId, now),
		openVisitFacts(db, programId),
		siteFacts(db, programId),
		roundFacts(db, programId, now, until),
		waitingFacts(db, programId),
		conflictFacts(db, programId),
		calibrationFacts(db, programId, now)
	]);
	return { overdue_h, clocks, openVisits, sites, rounds, waiting, conflicts, calibrations };
}

async function overdueAfter(db: Db, programId: string): Promise<number> {
	const own = await rowsOf(
		db,
		z.object({ overdue_h: writtenNumber.nullable() }),
		sql`select settings->>'overdue_h' as overdue_h from program where id = ${programId}`
	);
	return own[0]?.overdue_h ?? USUAL_OVERDUE_h;
}

async function clockFacts(db: Db, programId: string, now: string): Promise<ProgramFacts['clocks']> {
	const clocks = await rowsOf(
		db,
		z.object({
			kind: z.string(),
			visit_id: z.string(),
			label: z.string(),
			site: z.string(),
			start_at: instant,
			due_at: instant,
			last_at: instant,
			deadline: written<ProgramFacts['clocks'][number]['deadline']>()
		}),
		sql`
		select c.kind, c.visit_id, c.label, s.name as site, c.start_at, c.due_at, c.last_at, c.deadline from running_clock c
		join visit v on v.program_id = c.program_id and v.id = c.visit_id
		join site s on s.program_id = v.program_id and s.id = v.site_id
		where c.program_id = ${programId} and c.last_at > ${now}::timestamptz - interval '1 day' order by c.last_at`
	);
	return clocks.map((b) => ({
		kind: b.kind,
		visitId: b.visit_id,
		label: b.label,
		site: b.site,
		start_ms: +b.start_at,
		due_ms: +b.due_at,
		last_ms: +b.last_at,
		deadline: b.deadline
	}));
}

async function openVisitFacts(db: Db, programId: string): Promise<ProgramFacts['openVisits']> {
	const open = await rowsOf(
		db,
		z.object({
			id: z.string(),
			site: z.string(),
			crew: z.array(z.string()),
			done: z.number(),
			asked: z.number(),
			started_at: instant,
			heard: instant.nullable(),
			waits: z.string().nullable(),
			back_at: z.string().nullable(),
			is_on_paper: z.boolean()
		}),
		sql`
		select v.id, s.name as site, v.steps_done as done, v.steps_asked as asked, v.started_at,
			(select max(e.received_at) from entry e where e.program_id = v.program_id and e.visit_id = v.id) as heard,
			v.sheet->'arrival'->'waiting'->>'who' as waits, v.sheet->'arrival'->'waiting'->>'backAt' as back_at,
			coalesce((v.sheet->'opening'->>'isOnPaper')::bool, false) as is_on_paper,
			array(
				select m.name from member m
				where m.program_id = v.program_id and v.sheet->'arrival'->'crew' ? m.initials order by m.name
			) as crew
		from visit v join site s on s.program_id = v.program_id and s.id = v.site_id
		where v.program_id = ${programId} and not v.is_finished order by v.started_at`
	);
	return open.map((v) => ({
		visitId: v.id,
		site: v.site,
		crew: v.crew,
		done: v.done,
		asked: v.asked,
		started_ms: +v.started_at,
		heard_ms: +(v.heard ?? v.started_at),
		waits: v.waits,
		back_ms: v.back_at === null ? null : Date.parse(v.back_at),
		isOnPaper: v.is_on_paper
	}));
}

async function siteFacts(db: Db, programId: string): Promise<ProgramFacts['sites']> {
	const sites = await rowsOf(
		db,
		z.object({
			code: z.string(),
			name: z.string(),
			last: instant.nullable(),
			least_days: z.number().nullable(),
			aim_days: z.number().nullable(),
			most_days: z.number().nullable()
		}),
		sql`
		with spaced as (
			select distinct on (site_id) site_id, least_days, aim_days, most_days
			from circuit c, unnest(c.site_ids) as site_id
			where c.program_id = ${programId} order by site_id, aim_days
		)
		select s.code, s.name, (
				select v.started_at from visit v
				join method_card_version m on m.program_id = v.program_id and m.id = v.card_version_id
				where v.program_id = s.program_id and v.site_id = s.id and v.is_finished
					and m.body ->> 'purpose' is distinct from 'scouting'
				order by v.started_at desc limit 1
			) as last, c.least_days, c.aim_days, c.most_days
		from site s left join spaced c on c.site_id = s.id
		where s.program_id = ${programId} and s.retired_on is null order by s.code`
	);
	return sites.map((s) => ({
		code: s.code,
		name: s.name,
		lastGrab_ms: s.last === null ? null : +new Date(s.last),
		...spacingOf(s)
	}));
}

async function roundFacts(db: Db, programId: string, now: string, until: string): Promise<ProgramFacts['rounds']> {
	const rounds = await rowsOf(
		db,
		z.object({
			id: z.string(),
			name: z.string(),
			starts_at: instant,
			sites: z.array(z.string()),
			team_id: z.string(),
			crew_ids: z.array(z.string()),
			is_storm: z.boolean()
		}),
		sql`
		select r.id, r.name, r.starts_at, r.team_id, r.crew_ids, r.purpose = 'storm' as is_storm,
			array(
				select s.code from site s where s.program_id = r.program_id and s.id = any(r.site_ids)
				order by array_position(r.site_ids, s.id)
			) as sites
		from round r
		where r.program_id = ${programId} and r.refused_because is null
			and r.starts_at between ${now}::timestamptz - interval '12 hours' and ${until}
		order by r.starts_at`
	);
	return rounds.map((r) => ({
		id: r.id,
		name: r.name,
		starts_ms: +r.starts_at,
		sites: r.sites,
		teamId: r.team_id,
		crewIds: r.crew_ids,
		isStorm: r.is_storm
	}));
}

async function waitingFacts(db: Db, programId: string): Promise<ProgramFacts['waiting']> {
	const waiting = await rowsOf(
		db,
		z.object({ results: writtenNumber.nullable(), visits: writtenNumber, oldest: instant.nullable() }),
		sql`
		select sum(awaits_review) as results, count(*) as visits, min(started_at) as oldest from visit
		where program_id = ${programId} and awaits_review > 0`
	);
	return {
		results: waiting[0]?.results ?? 0,
		visits: waiting[0]?.visits ?? 0,
		oldest_ms: waiting[0]?.oldest ? +new Date(waiting[0].oldest) : null
	};
}

async function conflictFacts(db: Db, programId: string): Promise<ProgramFacts['conflicts']> {
	const conflicts = await rowsOf(
		db,
		z.object({ id: z.string(), site: z.string() }),
		sql`
		select v.id, s.name as site from visit v join site s on s.program_id = v.program_id and s.id = v.site_id
		where v.program_id = ${programId} and v.awaits_review > 0 and v.conflicts > 0 order by v.started_at desc limit 5`
	);
	return conflicts.map((c) => ({ visitId: c.id, site: c.site }));
}

/**
 * The last calibration and last use of each instrument that has a calibration rule. Use is read from the sheets of
 * recent visits.
 */
async function calibrationFacts(db: Db, programId: string, now: string): Promise<ProgramFacts['calibrations']> {
	const rows = await rowsOf(
		db,
		z.object({
			instrument: z.string(),
			parameter: z.string(),
			limit_days: z.number(),
			last: instant.nullable(),
			last_used: instant
		}),
		sql`
		with recent as materialized (
			select v.started_at, v.sheet->'readings' as readings from visit v
			where v.program_id = ${programId} and v.started_at > ${now}::timestamptz - interval '45 days'
		), used as (
			select f.figure->>'instrument' as code, p.parameter, max(recent.started_at) as last_used
			from recent, jsonb_each(recent.readings) as p(parameter, slots), jsonb_each(p.slots) as f(slot, figure)
			group by 1, 2
		)
		select i.code as instrument, u.parameter, u.last_used,
			(i.measures->u.parameter->>'calibrationDays')::float8 as limit_days,
			(
				select max(c.at) from calibration c
				where c.program_id = i.program_id and c.instrument_id = i.id and c.parameter = u.parameter and c.passed
			) as last
		from used u join instrument i on i.program_id = ${programId} and i.code = u.code
		where i.measures->u.parameter ? 'calibrationDays' order by i.code, u.parameter`
	);
	return rows.map((r) => ({
		instrument: r.instrument,
		parameter: isParameterCode(r.parameter) ? inSentence(parameterOf(r.parameter, undefined).name) : r.parameter,
		limit_days: r.limit_days,
		last_ms: r.last === null ? null : +r.last,
		lastUsed_ms: +r.last_used
	}));
}

const spacingOf = ({
	least_days,
	aim_days,
	most_days
}: {
	least_days: number | null;
	aim_days: number | null;
	most_days: number | null;
}) =>
	least_days === null || aim_days === null || most_days === null
		? {}
		: { spacing: { least_days, aim_days, most_days } };
