import { asc, eq, sql } from 'drizzle-orm';
import { z } from 'zod';
import { permissionMissing } from '../../core/library';
import { limitsOf, shownAs, type MethodCard } from '../../core/method';
import type { Satchel } from '../../core/satchel';
import { checksFor } from '../../core/score-schemes';
import { can, readScope } from '../access';
import type { Db } from '../db/connect';
import { instant, rowsOf, written } from '../db/rows';
import { flume, program, site } from '../db/schema';
import type { Membership } from '../db/queries/members';
import { samplersOut } from '../db/queries/samplers';
import { ownAnimalsOf } from '../db/queries/own-animals';
import { readable } from '../db/queries/visits';
import { thresholdsOf } from '../db/queries/thresholds';
import { peopleOf, teamMembers } from '../db/queries/members';
import { duplicatesOf, entryOf, EntryRow, instrumentFacts, usualOfSites } from '../projection/facts';
import { gearOfRound } from '../plan/gear';
import { dateOfDay, dayNumber, instantAt } from '../plan/local-day';
import { loadRoundDay } from '../plan/round-day';
import { tripsOf } from '../plan/trip';
import { schemesOf } from '../schemes/keep';
import { checksOf } from '../vouchers/checked';
import { seenBefore } from './seen-before';
import { cursorAt, tip } from './send';

const DAY_ms = 86_400_000;
const ROUNDS_BACK_days = 2;
const ROUNDS_AHEAD_days = 21;

const RoundRow = z.object({
	id: z.string(),
	name: z.string(),
	starts_at: instant,
	card_version_id: z.string(),
	site_ids: z.array(z.string()),
	crew_ids: z.array(z.string()),
	quality: written<{ siteId: string; kind: 'duplicate' | 'blank' }[]>(),
	team_id: z.string()
});
type RoundRow = z.output<typeof RoundRow>;

/** What speaks against going to a site at all, in words; '' where nothing does. */
function whyBarred(place: typeof site.$inferSelect, today: string): string {
	if (place.retiredOn !== null) return `Not visited any more since ${place.retiredOn}.`;
	const why = permissionMissing(place, today);
	return why === null ? '' : `${why}.`;
}

type Cards = { id: string; body: MethodCard; in_use: boolean }[];
interface Clock {
	now_ms: number;
	isFixed: boolean;
}

/** What this member's phone carries: the program as it stands, rounds near in time, and every line of open visits. */
export async function packSatchel(db: Db, member: Membership, clock: Clock): Promise<Satchel> {
	const { programId } = member;
	const upTo = await tip(db, programId);
	const [settings] = await db.select({ settings: program.settings }).from(program).where(eq(program.id, programId));
	const people = await peopleOf(db, programId);
	const cards = await rowsOf(
		db,
		z.object({ id: z.string(), body: written<MethodCard>(), in_use: z.boolean() }),
		sql`
		select id, body, version = max(version) over (partition by card_id) as in_use from method_card_version
		where program_id = ${programId}`
	);
	const rounds = await roundsNear(db, member, clock.now_ms);
	return {
		packedAt: new Date(clock.now_ms).toISOString(),
		program: {
			id: programId,
			name: member.program.name,
			timeZone: member.program.timeZone,
			isDemo: member.program.isDemo,
			dates: member.program.dates,
			numbers: member.program.numbers,
			reportTo: settings!.settings.reportTo ?? ''
		},
		member: {
			id: member.id,
			name: member.name,
			initials: member.initials,
			role: member.role,
			teamId: member.teamId,
			mayShip: can(member, 'ship')
		},
		people: Object.entries(people).map(([id, person]) => ({ id, ...person })),
		team: member.teamId ? await teamMembers(db, programId, member.teamId) : [],
		sites: await packSites(db, member, clock.now_ms),
		cards: cards.map(({ id, body, in_use }) => ({ id, card: shownAs(body, member.program.units), inUse: in_use })),
		thresholds: await thresholdsOf(db, programId),
		flumes: await packFlumes(db, programId),
		animals: await ownAnimalsOf(db, programId),
		schemes: await schemesOf(db, programId),
		// a phone carries whose names they were of its own member alone
		checkedNames: checksFor(await checksOf(db, programId), [member.id]),
		duplicatesBefore: await duplicatesOf(db, programId),
		instruments: await packInstruments(db, programId, clock.now_ms),
		rounds: await packRounds(db, member, rounds, cards, clock.now_ms),
		entries: await openEntries(db, member, rounds, upTo, clock.now_ms),
		cursor: cursorAt(upTo, member),
		clock
	};
}

/** Sites with what each has shown before, and what speaks against going there. */
async function packSites(db: Db, member: Membership, now_ms: number): Promise<Satchel['sites']> {
	const { programId } = member;
	const sites = await db.select().from(site).where(eq(site.programId, programId)).orderBy(asc(site.code));
	const today = dateOfDay(dayNumber(now_ms, member.program.timeZone));
	const usual = await usualOfSites(db, programId);
	const before = await seenBefore(db, member, now_ms);
	const out = await samplersOut(db, programId);
	return sites.map((s) => ({
		id: s.id,
		code: s.code,
		name: s.name,
		about: s.about,
		hazards: s.hazards,
		elevation_m: s.elevation_m,
		latitude: s.latitude,
		longitude: s.longitude,
		directions: s.directions,
		access: s.access,
		landmarks: s.landmarks,
		photoPoint: s.photoPoint,
		upstream: s.upstream,
		ways: s.ways,
		wadingDepth_m: s.wadingDepth_m,
		barred: whyBarred(s, today),
		isRetired: s.retiredOn !== null,
		usualAnswers: before.answers.get(s.id) ?? {},
		lastVisit: before.last.get(s.id) ?? null,
		photoPointPicture: before.pictures.get(s.id) ?? null,
		samplers: out.filter(({ siteId }) => siteId === s.id).map(({ code, kind, outOn }) => ({ code, kind, outOn })),
		keptKinds: before.kept.get(s.id) ?? [],
		usual: usual.get(s.id) ?? {}
	}));
}

function packFlumes(db: Db, programId: string): Promise<Satchel['flumes']> {
	const { name, throat_m, coefficient, exponent, submergenceLimit, minimumHead_m, maximumHead_m, source } = flume;
	const columns = { name, throat_m, coefficient, exponent, submergenceLimit, minimumHead_m, maximumHead_m, source };
	return db.select(columns).from(flume).where(eq(flume.programId, programId)).orderBy(asc(flume.name));
}

/** Instruments in use, as they stand today. */
async function packInstruments(db: Db, programId: string, now_ms: number): Promise<Satchel['instruments']> {
	const rows = await rowsOf(
		db,
		z.object({ code: z.string(), kind: z.string() }),
		sql`select code, kind from instrument where program_id = ${programId} and retired_on is null order by code`
	);
	const facts = (await instrumentFacts(db, programId))(new Date(now_ms));
	return rows.map(({ code, kind }) => ({ kind, facts: facts[code]! }));
}

/** Rounds of the last days and next weeks that this member may go on. */
async function roundsNear(db: Db, member: Membership, now_ms: number): Promise<RoundRow[]> {
	const [from, to] = [now_ms - ROUNDS_BACK_days * DAY_ms, now_ms + ROUNDS_AHEAD_days * DAY_ms];
	const rows = await rowsOf(
		db,
		RoundRow,
		sql`
		select id, name, starts_at, card_version_id, site_ids, crew_ids, quality, team_id from round
		where program_id = ${member.programId} and refused_because is null
			and starts_at between ${new Date(from).toISOString()} and ${new Date(to).toISOString()}
			and (team_id = ${member.teamId} or ${readScope(member)} = 'all')
		order by starts_at`
	);
	return rows;
}

/** Rounds with the way of their bottles, their gear, and the day's plan where the day is near. */
async function packRounds(
	db: Db,
	member: Membership,
	rounds: readonly RoundRow[],
	cards: Cards,
	now_ms: number
): Promise<Satchel['rounds']> {
	const { programId } = member;
	const ids = rounds.map((r) => r.id);
	const trips = await tripsOf(db, programId, ids);
	const packed: Satchel['rounds'] = [];
	for (const r of rounds) {
		const gear = await gearOfRound(db, programId, {
			teamId: r.team_id,
			siteIds: r.site_ids,
			starts_ms: +r.starts_at,
			drying: limitsOf(cards.find((c) => c.id === r.card_version_id)?.body ?? {})
		});
		packed.push({
			id: r.id,
			name: r.name,
			startsAt: r.starts_at.toISOString(),
			cardVersionId: r.card_version_id,
			siteIds: r.site_ids,
			crewIds: r.crew_ids,
			quality: r.quality,
			day: Math.abs(+r.starts_at - now_ms) < DAY_ms ? await packDay(db, member, r.id, now_ms) : null,
			trip: trips.get(r.id) ?? null,
			kit: gear.kit,
			gear: gear.warnings
		});
	}
	return packed;
}

/** What a round's day is worked out from. */
async function packDay(
	db: Db,
	member: Membership,
	roundId: string,
	now_ms: number
): Promise<Satchel['rounds'][number]['day']> {
	const day = await loadRoundDay(db, member, roundId, now_ms);
	if (!day) return null;
	return { question: day.question, lab: day.lab, midnight_ms: instantAt(day.day, 0, member.program.timeZone) };
}

/** So long a plate may still stand on the shelf after its bottle was filled. */
const PLATES_ms = 5 * 86_400_000;

/**
 * All lines of visits that are open, whose plates may still grow, or that belong to these rounds, as far as this member
 * may read them.
 */
async function openEntries(
	db: Db,
	member: Membership,
	rounds: readonly RoundRow[],
	upTo: Awaited<ReturnType<typeof tip>>,
	now_ms: number
): Promise<Satchel['entries']> {
	const rows = await rowsOf(
		db,
		EntryRow,
		sql`
		select e.id, e.visit_id, e.at, e.by_member_id, e.device, e.path, e.op, e.value, e.was, e.skew_ms
		from visit v join entry e on e.program_id = v.program_id and e.visit_id = v.id
		where v.program_id = ${member.programId} and e.seq <= ${upTo} and (
				not v.is_finished
				or (v.sheet ? 'bottles' and v.started_at > ${new Date(now_ms - PLATES_ms).toISOString()}::timestamptz)
				or v.round_id = any(${sql.param(rounds.map((r) => r.id))}::uuid[])
			)
			and not exists (select 1 from entry_set_aside a where a.program_id = e.program_id and a.entry_id = e.id)
			and ${readable(member)}`
	);
	return rows.map(entryOf);
}
