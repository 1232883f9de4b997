import { and, asc, eq, isNull } from 'drizzle-orm';
import { sql } from 'drizzle-orm';
import { limitsOf, type MethodCard } from '../../core/method';
import { samplerTasks, type Purpose, type SamplerTask, type SeasonRound, type SeasonWire, type Skill } from '../../core/schedule';
import type { Membership } from '../db/queries/members';
import type { Db } from '../db/connect';
import { circuit, member, place, program, sampler, team } from '../db/schema';
import { dayNumber, dayOfDate } from './local-day';

/** A round as the season board shows it. */
export interface BoardRound extends SeasonRound {
	name: string;
	refusedBecause: string | null;
	siteIds: string[];
	quality: { siteId: string; kind: 'duplicate' | 'blank' }[];
}

export interface Season {
	/** Null until there are circuits to plan for. */
	wire: SeasonWire;
	rounds: BoardRound[];
	today: number;
}

const HALF_DAY_ms = 43_200_000;
const PAST_days = 60;

/** Everything a season is planned from: circuits, people, labs, samplers, and the rounds that there are. `storms` are days after which leaf bags are looked at. */
export async function loadSeason(
	db: Db,
	{ programId, program: { timeZone } }: Pick<Membership, 'programId' | 'program'>,
	now_ms: number,
	storms: readonly number[] = []
): Promise<Season> {
	const today = dayNumber(now_ms, timeZone);
	const [own] = await db.select({ settings: program.settings }).from(program).where(eq(program.id, programId));
	const { from, to } = own!.settings.season ?? { from: null, to: null };
	const season = { from: from === null ? today - 60 : dayOfDate(from), to: to === null ? today + 180 : dayOfDate(to) };
	const circuits = await db
		.select({ circuit, team: team.name })
		.from(circuit)
		.innerJoin(team, and(eq(team.programId, circuit.programId), eq(team.id, circuit.teamId)))
		.where(eq(circuit.programId, programId))
		.orderBy(asc(circuit.name));
	const people = await db
		.select()
		.from(member)
		.where(and(eq(member.programId, programId), isNull(member.removedAt)))
		.orderBy(asc(member.initials));
	const labs = await db
		.select()
		.from(place)
		.where(and(eq(place.programId, programId), eq(place.kind, 'lab')));
	const { rows } = await db.execute<{
		id: string;
		name: string;
		circuit_id: string;
		starts_at: Date;
		crew_ids: string[];
		site_ids: string[];
		refused_because: string | null;
		quality: BoardRound['quality'];
		purpose: Purpose;
		visits: string;
	}>(sql`
		select r.id, r.name, r.circuit_id, r.starts_at, r.crew_ids, r.site_ids, r.refused_because, r.quality, r.purpose,
			(select count(*) from visit v where v.program_id = r.program_id and v.round_id = r.id) as visits
		from round r where r.program_id = ${programId} and r.circuit_id is not null
			and r.starts_at > ${new Date((season.from - PAST_days) * 2 * HALF_DAY_ms).toISOString()} order by r.starts_at, r.id`);
	const { rows: cards } = await db.execute<{ body: MethodCard }>(sql`
		select body from method_card_version where program_id = ${programId} and card_id = ${circuits[0]?.circuit.cardId ?? null} order by version desc limit 1`);
	const limits = limitsOf(cards[0]?.body ?? {});
	return {
		today,
		wire: {
			...season,
			circuits: circuits.map(({ circuit: c, team: teamName }) => ({
				id: c.id,
				name: c.name,
				siteIds: c.siteIds,
				water: c.water,
				kit: teamName,
				teamId: c.teamId,
				weekdays: c.weekdays,
				spacing: { least_days: c.least_days, aim_days: c.aim_days, most_days: c.most_days },
				crew: c.crew,
				latestStart_min: c.latestStart_min,
				needs: c.needs as Skill[],
				labId: c.labId,
				bottles: c.labId === null ? 0 : c.siteIds.length
			})),
			people: people
				.filter((p) => p.role === 'monitor' || p.role === 'coordinator')
				.map((p) => ({
					id: p.id,
					teamId: p.teamId,
					skills: p.skills as Skill[],
					trainedUntil: p.trainedUntil === null ? null : dayOfDate(p.trainedUntil),
					weekdays: p.weekdays,
					away: p.away.map((a) => ({ from: dayOfDate(a.from), to: dayOfDate(a.to) }))
				})),
			labs: Object.fromEntries(
				labs.map((l) => [l.id, { weekdays: [...new Set(l.hours.map((h) => h.weekday))], closed: l.closedOn.map(dayOfDate), bottlesADay: l.bottlesADay }])
			),
			tasks: await samplerTasksOf(db, programId, storms),
			drying: limits,
			southern: false,
			disinfected: circuits.filter(({ circuit: c }) => c.disinfects).map(({ team: name }) => name)
		},
		rounds: rows.map((r) => ({
			id: r.id,
			name: r.name,
			circuitId: r.circuit_id,
			day: dayNumber(+new Date(r.starts_at), timeZone),
			crew: r.crew_ids,
			siteIds: r.site_ids,
			refusedBecause: r.refused_because,
			quality: r.quality,
			purpose: r.purpose,
			state: r.refused_because !== null ? 'refused' : Number(r.visits) > 0 ? 'done' : +new Date(r.starts_at) < now_ms - HALF_DAY_ms ? 'missed' : 'planned'
		}))
	};
}

/** What the samplers that stand in the stream ask for. */
async function samplerTasksOf(db: Db, programId: string, storms: readonly number[]): Promise<SamplerTask[]> {
	const rows = await db
		.select()
		.from(sampler)
		.where(and(eq(sampler.programId, programId), isNull(sampler.liftedOn)));
	return rows.flatMap((s) =>
		samplerTasks({ id: s.code, siteId: s.siteId, kind: s.kind === 'plate stack' ? 'plate-stack' : 'leaf-bag', out_day: dayOfDate(s.outOn) }, storms)
	);
}
