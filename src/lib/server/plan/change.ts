import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import { z } from 'zod';
import { Board, factsFromWire, openSites, placeQualitySamples } from '../../core/schedule';
import type { Membership } from '../db/queries/members';
import type { Db } from '../db/connect';
import { audit, circuit, methodCardVersion, round, site } from '../db/schema';
import { dayNumber, instantAt, minuteOfDay } from './local-day';
import { loadSeason } from './season';

const Day = z.number().int().min(0).max(100_000);

/** What a coordinator can do to a season. */
export const PlanChange = z.discriminatedUnion('change', [
	z.object({ change: z.literal('move'), roundId: z.uuid(), day: Day }),
	z.object({
		change: z.literal('refuse'),
		roundId: z.uuid(),
		reason: z.string().trim().min(1, 'Say why the date is refused.').max(300)
	}),
	z.object({ change: z.literal('remove'), roundId: z.uuid() }),
	z.object({
		change: z.literal('start'),
		roundId: z.uuid(),
		minute: z.number().int().min(0).max(1439),
		siteIds: z.array(z.uuid()).min(1).max(60)
	}),
	z.object({
		change: z.literal('sites'),
		roundId: z.uuid(),
		siteIds: z.array(z.uuid()).min(1, 'A round goes to one site at least.').max(60)
	}),
	z.object({
		change: z.literal('take'),
		rounds: z
			.array(
				z.object({
					circuitId: z.uuid(),
					day: Day,
					crew: z.array(z.uuid()).max(20),
					purpose: z.enum(['grab', 'storm', 'sampler']).optional(),
					siteIds: z.array(z.uuid()).min(1).max(60).optional()
				})
			)
			.min(1)
			.max(2000)
	})
]);
export type PlanChange = z.infer<typeof PlanChange>;

export type Changed = { ok: true; said: string; ids?: string[] } | { ok: false; why: string };

const START_min = 8 * 60 + 30;

/** Changes the plan, with an audit line for each round, all or nothing. */
export function changePlan(db: Db, who: Membership, change: PlanChange, now_ms: number): Promise<Changed> {
	return db.transaction(async (tx) =>
		change.change === 'take' ? takeRounds(tx, who, change.rounds, now_ms) : changeRound(tx, who, change, now_ms)
	);
}

async function changeRound(
	tx: Db,
	who: Membership,
	change: Exclude<PlanChange, { change: 'take' }>,
	now_ms: number
): Promise<Changed> {
	const { programId } = who;
	const { timeZone } = who.program;
	const key = and(eq(round.programId, programId), eq(round.id, change.roundId));
	const [there] = await tx.select().from(round).where(key).for('update');
	if (!there) return { ok: false, why: 'There is no such round any more.' };
	const { rows: visits } = await tx.execute(
		sql`select 1 from visit where program_id = ${programId} and round_id = ${there.id} limit 1`
	);
	if (visits.length) return { ok: false, why: 'This round has begun: its visits stand in the logbook.' };
	if (there.refusedBecause !== null)
		return { ok: false, why: 'This date was refused and keeps its place. Plan another.' };
	if (change.change === 'remove') {
		await tx.execute(sql`delete from pack_tick where program_id = ${programId} and round_id = ${there.id}`);
		await tx.delete(round).where(key);
		await note(tx, who, there.id, there, null, now_ms);
		return { ok: true, said: `${there.name} is taken off.` };
	}
	if (change.change === 'start' && [...change.siteIds].sort().join() !== [...there.siteIds].sort().join())
		return { ok: false, why: 'The round has other sites by now. Load the page again.' };
	if (change.change === 'sites') return pickSites(tx, who, there, change.siteIds, now_ms);
	const { day, minute } = { day: dayNumber(+there.startsAt, timeZone), minute: minuteOfDay(+there.startsAt, timeZone) };
	const changed = () => {
		if (change.change === 'move') return { startsAt: new Date(instantAt(change.day, minute, timeZone)) };
		if (change.change === 'refuse') return { refusedBecause: change.reason };
		return { startsAt: new Date(instantAt(day, change.minute, timeZone)), siteIds: change.siteIds };
	};
	const after = changed();
	if (change.change === 'move' && change.day < dayNumber(now_ms, timeZone))
		return { ok: false, why: 'That day has gone by.' };
	await tx.update(round).set(after).where(key);
	await note(tx, who, there.id, there, { ...there, ...after }, now_ms);
	return {
		ok: true,
		said: change.change === 'refuse' ? `${there.name}: the date is refused.` : `${there.name} is planned anew.`
	};
}

/**
 * A round goes to other sites than its circuit does: this once. What was to be duplicated at a site left out is not.
 */
async function pickSites(
	tx: Db,
	who: Membership,
	there: typeof round.$inferSelect,
	siteIds: readonly string[],
	now_ms: number
): Promise<Changed> {
	const known = await tx
		.select({ id: site.id })
		.from(site)
		.where(and(eq(site.programId, who.programId), inArray(site.id, [...siteIds]), isNull(site.retiredOn)));
	if (known.length !== new Set(siteIds).size || known.length !== siteIds.length)
		return { ok: false, why: 'One of these sites is not visited any more, or is named twice.' };
	const after = { siteIds: [...siteIds], quality: there.quality.filter((q) => siteIds.includes(q.siteId)) };
	await tx
		.update(round)
		.set(after)
		.where(and(eq(round.programId, who.programId), eq(round.id, there.id)));
	await note(tx, who, there.id, there, { ...there, ...after }, now_ms);
	return { ok: true, said: `${there.name} goes to ${siteIds.length} ${siteIds.length === 1 ? 'site' : 'sites'}.` };
}

/** Takes proposed rounds into the plan; the rules are looked up again here, for the plan may have changed meanwhile. */
async function takeRounds(
	tx: Db,
	who: Membership,
	proposed: Extract<PlanChange, { change: 'take' }>['rounds'],
	now_ms: number
): Promise<Changed> {
	const { programId } = who;
	const { timeZone } = who.program;
	await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${`plan ${programId}`}))`);
	const season = await loadSeason(tx, who, now_ms);
	const known = new Set(season.wire.circuits.map((c) => c.id));
	if (proposed.some((p) => !known.has(p.circuitId)))
		return { ok: false, why: 'A circuit of this proposal is gone. Propose again.' };
	if (proposed.some((p) => p.day < season.today))
		return { ok: false, why: 'A day of this proposal has gone by. Propose again.' };
	const strange = proposed.find((p) =>
		p.siteIds?.some((id) => !season.wire.circuits.find((c) => c.id === p.circuitId)!.siteIds.includes(id))
	);
	if (strange) return { ok: false, why: 'A site of this trip is not on its circuit any more. Load the page again.' };
	const facts = factsFromWire(season.wire);
	const fresh = proposed.map((p) => ({ ...p, id: v7(), state: 'planned' as const }));
	const board = new Board(facts, [...season.rounds, ...fresh]);
	// a trip to a sampler keeps no weekday: bags do not wait for one
	const broken = fresh.find((r) =>
		board.breaches(r).some((b) => b.rule !== 'too-far' && !(r.purpose === 'sampler' && b.rule === 'weekday'))
	);
	if (broken)
		return {
			ok: false,
			why: `The plan has changed meanwhile: ${board.circuit(broken.circuitId).name} would break a rule now. Propose again.`
		};
	const circuits = await tx.select().from(circuit).where(eq(circuit.programId, programId));
	const versions = await tx
		.select({ id: methodCardVersion.id, cardId: methodCardVersion.cardId, version: methodCardVersion.version })
		.from(methodCardVersion)
		.where(eq(methodCardVersion.programId, programId));
	const inUse = (cardId: string) =>
		versions.filter((v) => v.cardId === cardId).sort((a, b) => b.version - a.version)[0]!.id;
	const ordered = [...fresh].sort((a, b) => a.day - b.day);
	const quality = placeQualitySamples(
		ordered
			.filter((r) => r.purpose !== 'sampler')
			.flatMap((r) =>
				(r.siteIds ?? openSites(board.circuit(r.circuitId), r.day)).map((siteId) => ({
					roundId: r.id,
					siteId,
					crew: r.crew
				}))
			)
	);
	const rows = ordered.map((r) => {
		const of = circuits.find((c) => c.id === r.circuitId)!;
		return {
			programId,
			id: r.id,
			name: `${of.name}${purposeWords[r.purpose ?? 'grab']}`,
			purpose: r.purpose ?? ('grab' as const),
			startsAt: new Date(
				instantAt(r.day, Math.min(of.latestStart_min, Math.max(of.earliestStart_min, START_min)), timeZone)
			),
			teamId: of.teamId,
			cardVersionId: inUse(of.cardId),
			siteIds: r.siteIds ?? openSites(board.circuit(of.id), r.day),
			circuitId: of.id,
			crewIds: r.crew,
			quality: quality.filter((q) => q.roundId === r.id).map(({ siteId, kind }) => ({ siteId, kind }))
		};
	});
	await tx.insert(round).values(rows);
	for (const row of rows) await note(tx, who, row.id, null, row, now_ms);
	return {
		ok: true,
		said: rows.length === 1 ? `${rows[0]!.name} is in the plan.` : `${rows.length} rounds are in the plan.`,
		ids: rows.map((r) => r.id)
	};
}

const note = (tx: Db, who: Membership, rowId: string, before: object | null, after: object | null, now_ms: number) =>
	tx.insert(audit).values({
		programId: who.programId,
		id: v7(),
		at: new Date(now_ms),
		byMemberId: who.id,
		what: 'round',
		rowId,
		before,
		after
	});

/** What a round's purpose adds to the name of its circuit. */
const purposeWords = { grab: '', storm: ', after the storm', sampler: ', to the samplers' } as const;
