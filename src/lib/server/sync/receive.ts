import { eq, sql } from 'drizzle-orm';
import { z } from 'zod';
import { Entry, instantOf, whyUnfit } from '../../core/logbook';
import { Opening } from '../../core/subjects/whole-visit/branch';
import { isFromStandIn } from '../../core/quantity';
import { notJudgedBy } from '../db/queries/visits';
import { can, readScope, rolesOf, type Member, type VisitSubject } from '../access';
import { isDatabaseAway, type Db } from '../db/connect';
import { rowsOf, written, writtenNumber } from '../db/rows';
import { program } from '../db/schema';
import { log } from '../log';
import { visitFacts } from '../projection/facts';
import { projectVisits, workOut, writeWorked } from '../projection/project';
import { keepAside } from './late-lines';
import type { Received, Refusal } from './request';
import { whyUnsound } from './sound';

/**
 * Takes entries into the logbook: each is checked by itself and refused with its path and the reason, or kept. Giving
 * the same entry again changes nothing. The visits they belong to are worked out anew in the same transaction. What
 * comes from somebody who has left is kept beside the logbook until the coordinator has decided.
 */
export function receiveEntries(db: Db, member: Member, given: readonly unknown[], clock: Clock): Promise<Taken> {
	const read = given.map((one) => parse(one, member, clock));
	return take(db, member, read, clock);
}

/**
 * Takes lines that the office wrote on behalf of a member. They are entries by their making: only what somebody put
 * into them is held against their places.
 */
export function receiveOwn(db: Db, member: Member, lines: readonly Entry[], now_ms: number): Promise<Taken> {
	const clock: Clock = { now_ms, skew_ms: null };
	const read = lines.map((line) => soundly(line) ?? fitting(line, member, clock));
	return take(db, member, read, clock);
}

async function take(db: Db, member: Member, read: readonly (Entry | Refusal)[], clock: Clock): Promise<Taken> {
	const isRefused = (one: Entry | Refusal): one is Refusal => 'why' in one;
	const refused = read.filter(isRefused);
	const wellFormed = read.filter((one): one is Entry => !isRefused(one));
	if (wellFormed.length === 0) return { accepted: [], refused, stretches: [], again: [] };
	const taken =
		member.removedAt === null
			? await takeEach(db, member, wellFormed, clock)
			: { ...(await keepAside(db, member, wellFormed, clock.now_ms)), stretches: [], again: [] };
	return { ...taken, refused: [...refused, ...taken.refused] };
}

/** What was taken, and where the logbook holds it: so that it is not sent back to where it came from. */
export interface Taken extends Received {
	/** The places that these lines were given, no other among them. */
	stretches: Stretch[];
	/** Those that the logbook held before. */
	again: string[];
}

/** Places of a program's logbook, the first and the last among them. */
export interface Stretch {
	first: number;
	last: number;
}

export interface Clock {
	now_ms: number;
	/** How far the device's clock is ahead of the server's; null when it did not say. */
	skew_ms: number | null;
}

/**
 * Takes them together; where something breaks on one of them, each half by itself, down to the one that breaks. It
 * alone is refused: one bad line must not keep a phone's whole queue. Trouble with the database itself is no line's
 * fault.
 */
async function takeEach(db: Db, member: Member, entries: readonly Entry[], clock: Clock): Promise<Taken> {
	try {
		return await takeTogether(db, member, entries, clock);
	} catch (trouble) {
		if (isDatabaseAway(trouble)) throw trouble;
		const [only] = entries;
		if (entries.length === 1 && only) {
			log.error({ err: trouble, entry: only.id }, 'a line could not be kept');
			return {
				accepted: [],
				refused: [
					{
						id: only.id,
						path: only.path,
						why: 'the logbook cannot take this line; it has been noted, and stays on the device'
					}
				],
				stretches: [],
				again: []
			};
		}
		const half = Math.ceil(entries.length / 2);
		const first = await takeEach(db, member, entries.slice(0, half), clock);
		const second = await takeEach(db, member, entries.slice(half), clock);
		return {
			accepted: [...first.accepted, ...second.accepted],
			refused: [...first.refused, ...second.refused],
			stretches: [...first.stretches, ...second.stretches],
			again: [...first.again, ...second.again]
		};
	}
}

function takeTogether(db: Db, member: Member, entries: readonly Entry[], clock: Clock): Promise<Taken> {
	return db.transaction(async (tx) => {
		const refused: Refusal[] = [];
		const visits = await visitsOf(tx, member, entries);
		const isDemo = entries.some(isSimulated) && (await isDemoProgram(tx, member.programId));
		const allowed = entries.filter((entry) => {
			const why = isSimulated(entry) && !isDemo ? INVENTED : whyNotAllowed(member, visits.get(entry.visitId), entry);
			if (why) refused.push({ id: entry.id, path: entry.path, why });
			return why === null;
		});
		const opened = allowed.filter((e) => visits.get(e.visitId)?.isNew && e.path === 'opening' && e.op === 'set');
		await openVisits(tx, member, opened, clock.now_ms);
		const once = [...new Map(allowed.map((e) => [e.id, e])).values()];
		if (once.length === 0) return { accepted: [], stretches: [], again: [], refused };
		const first = await takePlaces(tx, member.programId, once.length);
		// nearly always all of them are new: their visits are worked out while the database writes them
		const facts = await visitFacts(tx, member.programId, visitsIn(once), { entries: once, skew_ms: clock.skew_ms });
		const worked = workOut(facts, clock.now_ms);
		const { fresh, clashing, ...taken } = await append(tx, member.programId, once, first, clock);
		refused.push(...clashing);
		if (fresh.length === once.length) await writeWorked(tx, member.programId, worked, clock.now_ms);
		else await projectVisits(tx, member.programId, visitsIn(fresh), clock.now_ms);
		return { ...taken, refused };
	});
}

const INVENTED = 'it comes from a stand-in for a device, and is invented: only a demo takes that';

/** A figure or a place that no device gave. */
const isSimulated = ({ op, value }: Entry): boolean =>
	op === 'set' && typeof value === 'object' && value !== null && isFromStandIn(value);

const isDemoProgram = async (tx: Db, programId: string): Promise<boolean> =>
	(await tx.select({ isDemo: program.isDemo }).from(program).where(eq(program.id, programId)))[0]?.isDemo ?? false;

/** What can be told of a line that is not one. */
const Named = z
	.object({ id: z.string().max(80).nullable().catch(null), path: z.string().max(300).nullable().catch(null) })
	.catch({ id: null, path: null });
const AHEAD_ms = 24 * 3_600_000;

const refusal = (one: unknown, why: string): Refusal => ({ ...Named.parse(one), why });

/** Why the line cannot be kept at all; null where it can. */
function soundly(one: unknown): Refusal | null {
	const why = whyUnsound(one);
	return why === null ? null : refusal(one, why);
}

function parse(one: unknown, member: Member, clock: Clock): Entry | Refusal {
	const unsound = soundly(one);
	if (unsound) return unsound;
	const parsed = Entry.safeParse(one);
	if (parsed.success) return fitting(parsed.data, member, clock);
	const said = parsed.error.issues.map((i) => (i.path.length ? `${i.path.join('.')}: ${i.message}` : i.message));
	return refusal(one, said.join('; '));
}

/** The entry where its place takes it from this member, now. */
function fitting(entry: Entry, member: Member, { now_ms, skew_ms }: Clock): Entry | Refusal {
	if (entry.by !== member.id)
		return refusal(entry, 'this entry was written by someone else; it is sent when they sign in on this device');
	if (member.removedAt !== null && instantOf(entry.at) > member.removedAt.getTime())
		return refusal(entry, 'you no longer belong to this program; what you wrote before that is kept');
	const why = whyUnfit(entry);
	if (why !== null) return refusal(entry, why);
	if (entry.path !== 'opening' || entry.op !== 'set') return entry;
	const opening = Opening.parse(entry.value);
	// a phone whose clock runs ahead says so, and its visit is kept; a date that no clock explains is a slip
	if (Date.parse(opening.startedAt) > now_ms + AHEAD_ms + Math.max(0, skew_ms ?? 0))
		return refusal(entry, 'a visit begins now or has begun; this one begins in the future');
	return { ...entry, value: opening };
}

interface KnownVisit extends VisitSubject {
	isNew: boolean;
	/** What it was opened as: said once, and the same for the office and the sheet. */
	opened: Pick<Opening, 'siteId' | 'cardVersionId' | 'roundId'>;
}

/** The visits the entries speak of: those the program has, and those that one of the entries opens here. */
async function visitsOf(tx: Db, member: Member, entries: readonly Entry[]): Promise<Map<string, KnownVisit>> {
	const asked = [...new Set(entries.map((e) => e.visitId))];
	const rows = await rowsOf(
		tx,
		z.object({
			id: z.string(),
			team_id: z.string().nullable(),
			opened_by: z.string(),
			not_judged_by: z.array(z.string()),
			site_id: z.string(),
			card_version_id: z.string(),
			round_id: z.string().nullable()
		}),
		sql`select v.id, v.team_id, v.opened_by, v.site_id, v.card_version_id, v.round_id, ${notJudgedBy} as not_judged_by
			from visit v where v.program_id = ${member.programId} and v.id = any(${sql.param(asked)}::uuid[])`
	);
	const known = new Map<string, KnownVisit>(
		rows.map((v) => [
			v.id,
			{
				teamId: v.team_id,
				openedBy: v.opened_by,
				notJudgedBy: v.not_judged_by,
				isNew: false,
				opened: {
					siteId: v.site_id,
					cardVersionId: v.card_version_id,
					...(v.round_id === null ? {} : { roundId: v.round_id })
				}
			}
		])
	);
	const openings = entries.filter((e) => !known.has(e.visitId) && e.path === 'opening' && e.op === 'set');
	if (openings.length === 0) return known;
	const real = await realReferences(tx, member);
	for (const entry of openings) {
		if (known.has(entry.visitId)) continue;
		const { siteId, cardVersionId, roundId } = Opening.parse(entry.value);
		if (real.sites.has(siteId) && real.cards.has(cardVersionId) && (roundId === undefined || real.rounds.has(roundId)))
			known.set(entry.visitId, {
				teamId: member.teamId,
				openedBy: member.id,
				isNew: true,
				opened: { siteId, cardVersionId, ...(roundId === undefined ? {} : { roundId }) }
			});
	}
	return known;
}

/** Sites and cards of the program, and the rounds that this member may go on. */
async function realReferences(tx: Db, member: Member): Promise<Record<'sites' | 'cards' | 'rounds', Set<string>>> {
	const rows = await rowsOf(
		tx,
		z.object({ what: written<'sites' | 'cards' | 'rounds'>(), id: z.string() }),
		sql`
		select 'sites' as what, id from site where program_id = ${member.programId}
		union all select 'cards', id from method_card_version where program_id = ${member.programId}
		union all select 'rounds', id from round where program_id = ${member.programId}
			and (team_id = ${member.teamId} or ${member.id} = any(crew_ids) or ${readScope(member)} = 'all')`
	);
	const of = (what: string) => new Set(rows.filter((r) => r.what === what).map((r) => r.id));
	return { sites: of('sites'), cards: of('cards'), rounds: of('rounds') };
}

function whyNotAllowed(member: Member, visit: KnownVisit | undefined, entry: Entry): string | null {
	if (!visit)
		return entry.path === 'opening'
			? 'its site, card or round is not one of this program, or the round is another team’s'
			: 'no such visit in this program';
	const { path, op } = entry;
	if (!can(member, 'write-entry', { visit, path, op })) {
		const mightElse = can(member, 'write-entry', { visit: { ...visit, notJudgedBy: [] }, path, op });
		return mightElse
			? 'you were on this visit: in this program others judge it'
			: `as ${rolesOf(member).join(' and ')} you may not write here`;
	}
	if (entry.path !== 'opening') return null;
	if (entry.op === 'strike') return 'a visit stays the visit that it was opened as; open another';
	const { siteId, cardVersionId, roundId } = Opening.parse(entry.value);
	const { opened } = visit;
	return siteId === opened.siteId && cardVersionId === opened.cardVersionId && roundId === opened.roundId
		? null
		: 'this visit is open already, at another site, with another card or on another round; open another visit';
}

async function openVisits(tx: Db, member: Member, openings: readonly Entry[], now_ms: number): Promise<void> {
	const visits = openings.map((entry) => ({ id: entry.visitId, ...Opening.parse(entry.value) }));
	if (visits.length === 0) return;
	await tx.execute(sql`
		insert into visit (program_id, id, site_id, card_version_id, round_id, team_id, opened_by, started_at)
		select ${member.programId}, id, "siteId", "cardVersionId", "roundId", ${member.teamId}, ${member.id},
		least("startedAt", ${new Date(now_ms).toISOString()}::timestamptz)
		from jsonb_to_recordset(${JSON.stringify(visits)}::jsonb)
		as r(id uuid, "siteId" uuid, "cardVersionId" uuid, "roundId" uuid, "startedAt" timestamptz)
		on conflict do nothing`);
}

const visitsIn = (entries: readonly Entry[]): string[] => [...new Set(entries.map((e) => e.visitId))];

/**
 * The first of so many places in the logbook. The row lock on its tip is held from here to the commit, so nobody else
 * can write the same ids, or to the same visits, in between.
 */
async function takePlaces(tx: Db, programId: string, count: number): Promise<number> {
	const tip = await rowsOf(
		tx,
		z.object({ first: z.string() }),
		sql`
		update logbook_tip set last_seq = last_seq + ${count} where program_id = ${programId}
		returning last_seq - ${count} + 1 as first`
	);
	return Number(tip[0]!.first);
}

/** Writes what is not there yet. An id that stands for another entry already is a clash, and refused. */
async function append(tx: Db, programId: string, once: readonly Entry[], first: number, { now_ms, skew_ms }: Clock) {
	// what is there already leaves a gap among the places, which nothing minds; to ask for it first would read more
	const [put] = await rowsOf(
		tx,
		z.object({ lines: writtenNumber }),
		sql`
		with put as (insert into entry (program_id, id, seq, visit_id, at, by_member_id, device, path, op, value, was,
			received_at, skew_ms)
		select ${programId}, id, ${first} + nth - 1, visit_id, at, by, device, path, op, value, was,
			${new Date(now_ms).toISOString()}, ${skew_ms}
		from rows from (json_to_recordset(${JSON.stringify(once)}::json)
			as (id uuid, "visitId" uuid, at text, by uuid, device text, path text, op op, value jsonb, was uuid)
		) with ordinality as r(id, visit_id, at, by, device, path, op, value, was, nth)
		on conflict (program_id, id) do nothing returning 1) select count(*) as lines from put`
	);
	const last = first + once.length - 1;
	// nearly always all of them: only where some were there before is it asked which
	const placed = put!.lines === once.length ? null : await idsAt(tx, programId, first, last);
	const [fresh, known] = [
		once.filter((e) => placed?.has(e.id) ?? true),
		once.filter((e) => placed?.has(e.id) === false)
	];
	const clashing = known.length ? await clashes(tx, programId, known) : [];
	const isClashing = new Set(clashing.map((c) => c.id));
	const again = known.map((e) => e.id).filter((id) => !isClashing.has(id));
	return {
		accepted: [...fresh.map((e) => e.id), ...again],
		stretches: [{ first, last }],
		again,
		fresh,
		clashing
	};
}

/** The lines that stand at these places of the logbook. */
async function idsAt(tx: Db, programId: string, first: number, last: number): Promise<Set<string>> {
	const rows = await rowsOf(
		tx,
		z.object({ id: z.string() }),
		sql`select id from entry where program_id = ${programId} and seq between ${first} and ${last}`
	);
	return new Set(rows.map((r) => r.id));
}

async function clashes(tx: Db, programId: string, known: readonly Entry[]): Promise<Refusal[]> {
	const rows = await rowsOf(
		tx,
		z.object({ id: z.string(), path: z.string() }),
		sql`
		select e.id, r.path from jsonb_to_recordset(${JSON.stringify(known)}::jsonb)
		as r(id uuid, "visitId" uuid, at text, by uuid, path text, op op, value jsonb, was uuid)
		join entry e on e.program_id = ${programId} and e.id = r.id
		where (e.visit_id, e.at, e.by_member_id, e.path, e.op, coalesce(e.value, 'null'), e.was)
			is distinct from (r."visitId", r.at, r.by, r.path, r.op, coalesce(r.value, 'null'), r.was)`
	);
	return rows.map(({ id, path }) => ({ id, path, why: 'another entry with this id is in the logbook already' }));
}
