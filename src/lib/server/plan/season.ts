import { stepsOf } from '../../core/subjects/steps';
import { and, asc, eq, isNull } from 'drizzle-orm';
import { sql } from 'drizzle-orm';
import { limitsOf, type MethodCard } from '../../core/method';
import { inSentence } from '../../core/wording';
import { permissionMissing } from '../../core/library';
import {
	isSouthern,
	samplerTasks,
	usualDriveGuess,
	weekday,
	type Purpose,
	type SamplerTask,
	type SeasonRound,
	type SeasonWire,
	type Skill
} from '../../core/schedule';
import type { Membership } from '../db/queries/members';
import type { Db } from '../db/connect';
import { circuit, drive, member, place, program, sampler, site, team } from '../db/schema';
import { dayWorks } from './day-works';
import { dateOfDay, dayNumber, dayOfDate } from './local-day';
import { dayQuestion, learnedLengths } from './round-day';

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

/**
 * Everything a season is planned from: circuits, people, labs, samplers, and the rounds that there are. `storms` are
 * days after which leaf bags are looked at.
 */
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
		visited: string[];
	}>(sql`
		select r.id, r.name, r.circuit_id, r.starts_at, r.crew_ids, r.site_ids, r.refused_because, r.quality, r.purpose,
			array(select distinct v.site_id from visit v where v.program_id = r.program_id and v.round_id = r.id) as visited
		from round r where r.program_id = ${programId} and r.circuit_id is not null
			and r.starts_at > ${new Date((season.from - PAST_days) * 2 * HALF_DAY_ms).toISOString()} order by r.starts_at, r.id`);
	const { rows: cards } = await db.execute<{ card_id: string; body: MethodCard }>(sql`
		select distinct on (card_id) card_id, body from method_card_version where program_id = ${programId} order by card_id, version desc`);
	const cardOf = (cardId: string) => cards.find((c) => c.card_id === cardId)?.body;
	const limits = limitsOf(cardOf(circuits[0]?.circuit.cardId ?? '') ?? {});
	const places = await db.select().from(place).where(eq(place.programId, programId));
	const allSites = await db.select().from(site).where(eq(site.programId, programId));
	const siteOf = new Map(allSites.map((s) => [s.id, s]));
	const entered = new Map(
		(await db.select().from(drive).where(eq(drive.programId, programId))).map((d) => [
			`${d.fromId} ${d.toId}`,
			d.minutes
		])
	);
	const learned = await learnedLengths(db, programId, [...new Set(circuits.flatMap(({ circuit: c }) => c.siteIds))]);
	const worksOn = (c: typeof circuit.$inferSelect, siteIds: readonly string[], day: number): boolean => {
		const [card, depot, sites] = [
			cardOf(c.cardId),
			places.find((p) => p.id === c.depotId),
			siteIds.flatMap((id) => siteOf.get(id) ?? [])
		];
		const lab = places.find((p) => p.id === c.labId) ?? null;
		if (!card || !depot || sites.length === 0) return true;
		const { question } = dayQuestion({
			sites,
			depot,
			lab,
			entered,
			guess: own!.settings.driveGuess ?? usualDriveGuess,
			learned,
			card,
			start: c,
			day,
			timeZone
		});
		// that the lab is shut is a rule of its own
		return question.lab === null || dayWorks(question);
	};
	const openToday = (siteIds: readonly string[]) =>
		siteIds.filter((id) => !barredFrom(siteOf.get(id), today).some((b) => b.from === null || b.from <= today));
	const circuitOf = new Map(circuits.map(({ circuit: c }) => [c.id, c]));
	const bottleSteps = (cardId: string) => {
		const card = cardOf(cardId);
		return card ? stepsOf(card, 'bottle').length : 0;
	};
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
				bottles: c.labId === null ? 0 : bottleSteps(c.cardId) * c.siteIds.length,
				barred: c.siteIds.flatMap((id) => barredFrom(siteOf.get(id), today)),
				noOrderOn: c.weekdays.filter((w) => !worksOn(c, openToday(c.siteIds), nextOn(today, w)))
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
				labs.map((l) => [
					l.id,
					{
						weekdays: [...new Set(l.hours.map((h) => h.weekday))],
						closed: l.closedOn.map(dayOfDate),
						bottlesADay: l.bottlesADay
					}
				])
			),
			tasks: await samplerTasksOf(db, programId, storms),
			drying: limits,
			southern: allSites.filter(isSouthern).length > allSites.length / 2,
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
			visited: r.visited,
			bottles: bottlesOf(circuitOf.get(r.circuit_id), r),
			...(isAhead(r)
				? {
						hasNoOrder: !worksOn(circuitOf.get(r.circuit_id)!, r.site_ids, dayNumber(+new Date(r.starts_at), timeZone))
					}
				: {}),
			state: stateOf(r, now_ms)
		}))
	};

	function bottlesOf(
		c: typeof circuit.$inferSelect | undefined,
		r: { site_ids: string[]; quality: readonly unknown[] }
	): number {
		return !c || c.labId === null ? 0 : bottleSteps(c.cardId) * (r.site_ids.length + r.quality.length);
	}
	function isAhead(r: {
		circuit_id: string;
		starts_at: Date;
		refused_because: string | null;
		visited: string[];
	}): boolean {
		return (
			r.refused_because === null &&
			r.visited.length === 0 &&
			+new Date(r.starts_at) > now_ms - HALF_DAY_ms &&
			circuitOf.has(r.circuit_id)
		);
	}
}

/** The first such day of the week from a day on. */
const nextOn = (day: number, of: number): number => day + ((of - weekday(day) + 7) % 7);

/** What bars a site, and from when: for good, or from the day after its permission ends. */
function barredFrom(
	place_: typeof site.$inferSelect | undefined,
	today: number
): { siteId: string; site: string; why: string; from: number | null }[] {
	if (!place_) return [];
	const at = (why: string, from: number | null) => [{ siteId: place_.id, site: place_.name, why, from }];
	if (place_.retiredOn !== null) return at('it is not visited any more', dayOfDate(place_.retiredOn));
	const why = permissionMissing(place_, dateOfDay(today));
	if (why !== null) return at(inSentence(why), null);
	return place_.permissionUntil !== null ? at('the permission ends before', dayOfDate(place_.permissionUntil) + 1) : [];
}

/** What the samplers that stand in the stream ask for. */
async function samplerTasksOf(db: Db, programId: string, storms: readonly number[]): Promise<SamplerTask[]> {
	const rows = await db
		.select()
		.from(sampler)
		.where(and(eq(sampler.programId, programId), isNull(sampler.liftedOn)));
	return rows.flatMap((s) =>
		samplerTasks(
			{
				id: s.code,
				siteId: s.siteId,
				kind: s.kind === 'plate stack' ? 'plate-stack' : 'leaf-bag',
				out_day: dayOfDate(s.outOn)
			},
			storms
		)
	);
}

/** How a round stands; half a day after its start it counts as missed, unless somebody went. */
function stateOf(
	r: { refused_because: string | null; visited: readonly unknown[]; starts_at: string | Date },
	now_ms: number
): BoardRound['state'] {
	if (r.refused_because !== null) return 'refused';
	if (r.visited.length > 0) return 'done';
	return +new Date(r.starts_at) < now_ms - HALF_DAY_ms ? 'missed' : 'planned';
}
