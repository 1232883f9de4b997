import { sql } from 'drizzle-orm';
import { z } from 'zod';
import { Entry, instantOf, Opening, whyUnfit } from '../../core/logbook';
import { can, type Member, type VisitSubject } from '../access';
import type { Db } from '../db/connect';
import { projectVisits } from '../projection/project';
import type { Refusal } from './request';

export interface Received {
	accepted: string[];
	refused: Refusal[];
}

/**
 * Takes entries into the logbook: each is checked by itself and refused with its path and the reason, or kept. Giving the
 * same entry again changes nothing. The visits they belong to are worked out anew in the same transaction.
 */
export async function receiveEntries(db: Db, member: Member, given: readonly unknown[], clock: { now_ms: number; skew_ms: number | null }): Promise<Received> {
	const refused: Refusal[] = [];
	const wellFormed = given.flatMap((one) => {
		const entry = parse(one, member, refused);
		return entry ? [entry] : [];
	});
	if (wellFormed.length === 0) return { accepted: [], refused };
	return db.transaction(async (tx) => {
		const visits = await visitsOf(tx, member, wellFormed);
		const allowed = wellFormed.filter((entry) => {
			const why = whyNotAllowed(member, visits.get(entry.visitId), entry);
			if (why) refused.push({ id: entry.id, path: entry.path, why });
			return why === null;
		});
		const opened = allowed.filter((e) => visits.get(e.visitId)?.isNew && e.path === 'opening' && e.op === 'set');
		await openVisits(tx, member, opened);
		const { accepted, fresh, clashing } = await append(tx, member.programId, allowed, clock);
		refused.push(...clashing);
		await projectVisits(tx, member.programId, [...new Set(fresh.map((e) => e.visitId))], clock.now_ms);
		return { accepted, refused };
	});
}

/** What can be told of a line that is not one. */
const Named = z.object({ id: z.string().nullable().catch(null), path: z.string().nullable().catch(null) }).catch({ id: null, path: null });

function parse(one: unknown, member: Member, refused: Refusal[]): Entry | null {
	const parsed = Entry.safeParse(one);
	const refuse = (why: string) => (refused.push({ ...Named.parse(one), why }), null);
	if (!parsed.success) return refuse(parsed.error.issues.map((i) => (i.path.length ? `${i.path.join('.')}: ${i.message}` : i.message)).join('; '));
	const entry = parsed.data;
	if (entry.by !== member.id) return refuse('this entry was written by someone else; it is sent when they sign in on this device');
	if (member.removedAt !== null && instantOf(entry.at) > member.removedAt.getTime())
		return refuse('you no longer belong to this program; what you wrote before that is kept');
	const why = whyUnfit(entry);
	return why === null ? entry : refuse(why);
}

interface KnownVisit extends VisitSubject {
	isNew: boolean;
}

/** The visits the entries speak of: those the program has, and those that one of the entries opens here. */
async function visitsOf(tx: Db, member: Member, entries: readonly Entry[]): Promise<Map<string, KnownVisit>> {
	const asked = [...new Set(entries.map((e) => e.visitId))];
	const { rows } = await tx.execute<{ id: string; team_id: string | null; opened_by: string }>(
		sql`select id, team_id, opened_by from visit where program_id = ${member.programId} and id = any(${sql.param(asked)}::uuid[])`
	);
	const known = new Map<string, KnownVisit>(rows.map((v) => [v.id, { teamId: v.team_id, openedBy: v.opened_by, isNew: false }]));
	const openings = entries.filter((e) => !known.has(e.visitId) && e.path === 'opening' && e.op === 'set');
	if (openings.length === 0) return known;
	const real = await realReferences(tx, member.programId);
	for (const entry of openings) {
		const { siteId, cardVersionId, roundId } = Opening.parse(entry.value);
		if (real.sites.has(siteId) && real.cards.has(cardVersionId) && (roundId === undefined || real.rounds.has(roundId)))
			known.set(entry.visitId, { teamId: member.teamId, openedBy: member.id, isNew: true });
	}
	return known;
}

async function realReferences(tx: Db, programId: string): Promise<Record<'sites' | 'cards' | 'rounds', Set<string>>> {
	const { rows } = await tx.execute<{ what: 'sites' | 'cards' | 'rounds'; id: string }>(sql`
		select 'sites' as what, id from site where program_id = ${programId}
		union all select 'cards', id from method_card_version where program_id = ${programId}
		union all select 'rounds', id from round where program_id = ${programId}`);
	const of = (what: string) => new Set(rows.filter((r) => r.what === what).map((r) => r.id));
	return { sites: of('sites'), cards: of('cards'), rounds: of('rounds') };
}

function whyNotAllowed(member: Member, visit: KnownVisit | undefined, entry: Entry): string | null {
	if (!visit) return entry.path === 'opening' ? 'its site, card or round is not one of this program' : 'no such visit in this program';
	// one who has left the program hands in what was written before with the rights held then
	const writer = { ...member, removedAt: null };
	if (can(writer, 'write-entry', { visit, path: entry.path, op: entry.op })) return null;
	return `as ${member.role} you may not write here`;
}

async function openVisits(tx: Db, member: Member, openings: readonly Entry[]): Promise<void> {
	const visits = openings.map((entry) => ({ id: entry.visitId, ...Opening.parse(entry.value) }));
	if (visits.length === 0) return;
	await tx.execute(sql`
		insert into visit (program_id, id, site_id, card_version_id, round_id, team_id, opened_by, started_at)
		select ${member.programId}, id, "siteId", "cardVersionId", "roundId", ${member.teamId}, ${member.id}, "startedAt"
		from jsonb_to_recordset(${JSON.stringify(visits)}::jsonb) as r(id uuid, "siteId" uuid, "cardVersionId" uuid, "roundId" uuid, "startedAt" timestamptz)
		on conflict do nothing`);
}

/**
 * Writes what is not there yet. An id that stands for another entry already is a clash, and refused. The row lock on the
 * logbook's tip is held from here to the commit, so nobody else can write the same ids in between.
 */
async function append(tx: Db, programId: string, entries: readonly Entry[], { now_ms, skew_ms }: { now_ms: number; skew_ms: number | null }) {
	const once = [...new Map(entries.map((e) => [e.id, e])).values()];
	if (once.length === 0) return { accepted: [], fresh: [], clashing: [] };
	const { rows: tip } = await tx.execute<{ first: string }>(sql`
		update logbook_tip set last_seq = last_seq + ${once.length} where program_id = ${programId} returning last_seq - ${once.length} as first`);
	const first = Number(tip[0]!.first);
	const { rows: there } = await tx.execute<{ id: string }>(sql`
		select id from entry where program_id = ${programId} and id = any(${sql.param(once.map((e) => e.id))}::uuid[])`);
	const isThere = new Set(there.map((r) => r.id));
	const fresh = once.filter((e) => !isThere.has(e.id));
	const lines = fresh.map((e, i) => ({ ...e, seq: first + i + 1 }));
	if (lines.length)
		await tx.execute(sql`
			insert into entry (program_id, id, seq, visit_id, at, by_member_id, device, path, op, value, was, received_at, skew_ms)
			select ${programId}, id, seq, "visitId", at, by, device, path, op, value, was, ${new Date(now_ms).toISOString()}, ${skew_ms}
			from jsonb_to_recordset(${JSON.stringify(lines)}::jsonb)
				as r(id uuid, seq bigint, "visitId" uuid, at text, by uuid, device text, path text, op op, value jsonb, was uuid)`);
	const clashing = isThere.size
		? await clashes(
				tx,
				programId,
				once.filter((e) => isThere.has(e.id))
			)
		: [];
	const isClashing = new Set(clashing.map((c) => c.id));
	return { accepted: once.map((e) => e.id).filter((id) => !isClashing.has(id)), fresh, clashing };
}

async function clashes(tx: Db, programId: string, again: readonly Entry[]): Promise<Refusal[]> {
	const { rows } = await tx.execute<{ id: string; path: string }>(sql`
		select e.id, r.path from jsonb_to_recordset(${JSON.stringify(again)}::jsonb) as r(id uuid, "visitId" uuid, at text, by uuid, path text, op op, value jsonb, was uuid)
		join entry e on e.program_id = ${programId} and e.id = r.id
		where (e.visit_id, e.at, e.by_member_id, e.path, e.op, coalesce(e.value, 'null'), e.was)
			is distinct from (r."visitId", r.at, r.by, r.path, r.op, coalesce(r.value, 'null'), r.was)`);
	return rows.map(({ id, path }) => ({ id, path, why: 'another entry with this id is in the logbook already' }));
}
