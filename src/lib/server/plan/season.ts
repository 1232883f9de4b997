import { and, arrayOverlaps, asc, eq, inArray, isNull, or, sql } from 'drizzle-orm';
import { z } from 'zod';
import { limitsOf } from '../../core/method';
import { inSentence } from '../../core/wording';
import { permissionMissing, type Role } from '../../core/library';
import {
	isSouthern,
	samplerTasks,
	weekday,
	type Purpose,
	type SamplerTask,
	type SeasonRound,
	type SeasonWire
} from '../../core/schedule';
import type { Membership } from '../db/queries/members';
import type { Db } from '../db/connect';
import { instant, rowsOf, written } from '../db/rows';
import { member } from '../db/schema';
import { samplersOut } from '../db/queries/samplers';
import { bottlesASite, cardOf, readGrounds, worksOn, type Grounds, type Site } from './grounds';
import { dateOfDay, dayNumber, dayOfDate } from './local-day';

/** A round as the season board shows it. */
export interface BoardRound extends SeasonRound {
	name: string;
	refusedBecause: string | null;
	siteIds: string[];
	quality: { siteId: string; kind: 'duplicate' | 'blank' }[];
	/** Why it goes although a rule speaks against it. */
	despite: string;
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
	const grounds = await readGrounds(db, programId, timeZone);
	const { from, to } = grounds.settings.season ?? { from: null, to: null };
	const season = { from: from === null ? today - 60 : dayOfDate(from), to: to === null ? today + 180 : dayOfDate(to) };
	const { circuits, sites } = grounds;
	const rows = await roundsFrom(db, programId, season.from - PAST_days);
	return {
		today,
		wire: {
			...season,
			circuits: circuits.map((c) => circuitOnWire(c, grounds, today)),
			people: await volunteersOf(db, programId),
			holidays: (grounds.settings.holidays ?? []).map(dayOfDate),
			labs: labsOnWire(grounds),
			tasks: await samplerTasksOf(db, programId, storms),
			drying: limitsOf(cardOf(grounds, circuits[0]?.circuit) ?? {}),
			southern: sites.filter(isSouthern).length > sites.length / 2,
			disinfected: circuits.filter(({ circuit: c }) => c.disinfects).map(kitOf)
		},
		rounds: rows.map((r) => boardRound(r, grounds, now_ms))
	};
}

/** The gear that a circuit carries: a set that it shares with others, or its team's own. */
const kitOf = ({ circuit: c, team: teamName }: Grounds['circuits'][number]) => c.kit || `gear of ${teamName}`;

function circuitOnWire(
	{ circuit: c, team: teamName }: Grounds['circuits'][number],
	grounds: Grounds,
	today: number
): SeasonWire['circuits'][number] {
	const barred = c.siteIds.flatMap((id) => barredFrom(grounds.siteOf.get(id), today));
	const isShut = (id: string) => barred.some((b) => b.siteId === id && (b.from === null || b.from <= today));
	const open = c.siteIds.filter((id) => !isShut(id));
	return {
		id: c.id,
		name: c.name,
		siteIds: c.siteIds,
		water: c.water,
		kit: kitOf({ circuit: c, team: teamName }),
		teamId: c.teamId,
		weekdays: c.weekdays,
		spacing: { least_days: c.least_days, aim_days: c.aim_days, most_days: c.most_days },
		season: {
			from: c.seasonFrom === null ? null : dayOfDate(c.seasonFrom),
			to: c.seasonTo === null ? null : dayOfDate(c.seasonTo)
		},
		crew: c.crew,
		latestStart_min: c.latestStart_min,
		needs: c.needs,
		labId: c.labId,
		bottles: bottlesASite(grounds, c) * c.siteIds.length,
		barred,
		noOrderOn: c.weekdays.filter((w) => !worksOn(grounds, c, open, nextOn(today, w)))
	};
}

const GOING_OUT: Role[] = ['monitor', 'coordinator'];

/** Those who go out: when they can, and what they are trained for. */
export async function volunteersOf(db: Db, programId: string): Promise<SeasonWire['people']> {
	const people = await db
		.select()
		.from(member)
		.where(
			and(
				eq(member.programId, programId),
				isNull(member.removedAt),
				or(inArray(member.role, GOING_OUT), arrayOverlaps(member.alsoRoles, GOING_OUT))
			)
		)
		.orderBy(asc(member.initials));
	return people.map((p) => ({
		id: p.id,
		teamId: p.teamId,
		skills: p.skills,
		trainedUntil: p.trainedUntil === null ? null : dayOfDate(p.trainedUntil),
		weekdays: p.weekdays,
		away: p.away.map((a) => ({ from: dayOfDate(a.from), to: dayOfDate(a.to) }))
	}));
}

const labsOnWire = ({ places }: Grounds): SeasonWire['labs'] =>
	Object.fromEntries(
		places
			.filter((p) => p.kind === 'lab')
			.map((l) => [
				l.id,
				{
					weekdays: [...new Set(l.hours.map((h) => h.weekday))],
					closed: l.closedOn.map(dayOfDate),
					bottlesADay: l.bottlesADay
				}
			])
	);

const RoundRow = z.object({
	id: z.string(),
	name: z.string(),
	circuit_id: z.string(),
	starts_at: instant,
	crew_ids: z.array(z.string()),
	site_ids: z.array(z.string()),
	refused_because: z.string().nullable(),
	quality: written<BoardRound['quality']>(),
	lab_id: z.string().nullable(),
	despite: z.string(),
	purpose: written<Purpose>(),
	/** Sites where somebody was. */
	visited: z.array(z.string())
});
type RoundRow = z.output<typeof RoundRow>;

async function roundsFrom(db: Db, programId: string, day: number): Promise<RoundRow[]> {
	const rows = await rowsOf(
		db,
		RoundRow,
		sql`
		select r.id, r.name, r.circuit_id, r.starts_at, r.crew_ids, r.site_ids, r.refused_because, r.quality, r.purpose,
		r.lab_id, r.despite,
			array(select distinct v.site_id from visit v where v.program_id = r.program_id and v.round_id = r.id) as visited
		from round r where r.program_id = ${programId} and r.circuit_id is not null
			and r.starts_at > ${new Date(day * 2 * HALF_DAY_ms).toISOString()} order by r.starts_at, r.id`
	);
	return rows;
}

function boardRound(r: RoundRow, grounds: Grounds, now_ms: number): BoardRound {
	const of = grounds.circuits.find(({ circuit: c }) => c.id === r.circuit_id)?.circuit;
	const day = dayNumber(+r.starts_at, grounds.timeZone);
	const state = stateOf(r, now_ms);
	return {
		id: r.id,
		name: r.name,
		circuitId: r.circuit_id,
		day,
		crew: r.crew_ids,
		siteIds: r.site_ids,
		refusedBecause: r.refused_because,
		quality: r.quality,
		purpose: r.purpose,
		labId: r.lab_id,
		despite: r.despite,
		visited: r.visited,
		bottles: of ? bottlesASite(grounds, of) * (r.site_ids.length + r.quality.length) : 0,
		...(of && state === 'planned'
			? { hasNoOrder: !worksOn(grounds, { ...of, labId: r.lab_id ?? of.labId }, r.site_ids, day) }
			: {}),
		state
	};
}

/** The first such day of the week from a day on. */
const nextOn = (day: number, of: number): number => day + ((of - weekday(day) + 7) % 7);

/** What bars a site, and from when: for good, or from the day after its permission ends. */
function barredFrom(
	place_: Site | undefined,
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
export async function samplerTasksOf(db: Db, programId: string, storms: readonly number[]): Promise<SamplerTask[]> {
	const rows = await samplersOut(db, programId);
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
	return +r.starts_at < now_ms - HALF_DAY_ms ? 'missed' : 'planned';
}
