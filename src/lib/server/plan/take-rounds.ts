import { eq, sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import {
	Board,
	factsFromWire,
	followOrder,
	openSites,
	placeQualitySamples,
	withoutFirstWait
} from '../../core/schedule';
import type { Membership } from '../db/queries/members';
import type { Db } from '../db/connect';
import { circuit, methodCardVersion, program, round } from '../db/schema';
import type { Changed, PlanChange } from './asked-change';
import { instantAt } from './local-day';
import { note, roundKey, type RoundRow } from './kept-round';
import { loadRoundDay } from './round-day';
import { loadSeason } from './season';

const START_min = 8 * 60 + 30;

/** Takes proposed rounds into the plan; the rules are looked up again here, for the plan may have changed meanwhile. */
export async function takeRounds(
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
	const broken = fresh.find((r) => board.forbids(r).length > 0);
	const despite = proposed.length === 1 ? (proposed[0]!.despite ?? '') : '';
	if (broken && despite === '')
		return {
			ok: false,
			why:
				`The plan has changed meanwhile: ${board.circuit(broken.circuitId).name} would break a rule now. Propose ` +
				'again, or plan it by hand with a reason.'
		};
	const circuits = await tx.select().from(circuit).where(eq(circuit.programId, programId));
	const versions = await tx
		.select({ id: methodCardVersion.id, cardId: methodCardVersion.cardId, version: methodCardVersion.version })
		.from(methodCardVersion)
		.where(eq(methodCardVersion.programId, programId));
	const inUse = (cardId: string) =>
		versions.filter((v) => v.cardId === cardId).sort((a, b) => b.version - a.version)[0]!.id;
	const [own] = await tx.select({ settings: program.settings }).from(program).where(eq(program.id, programId));
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
			),
		own?.settings.qualityRates
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
			despite: broken ? despite : '',
			quality: quality.filter((q) => q.roundId === r.id).map(({ siteId, kind }) => ({ siteId, kind }))
		};
	});
	const taken = await tx.insert(round).values(rows).returning();
	const audited: string[] = [];
	for (const row of taken) audited.push(await note(tx, who, null, await leavingLater(tx, who, row, now_ms), now_ms));
	return {
		ok: true,
		audited,
		said: rows.length === 1 ? `${rows[0]!.name} is in the plan.` : `${rows.length} rounds are in the plan.`,
		ids: rows.map((r) => r.id)
	};
}

/** A round that leaves when its first site can be begun, not before: for a tide, a gate, the light. */
async function leavingLater(tx: Db, who: Membership, row: RoundRow, now_ms: number): Promise<RoundRow> {
	const day = await loadRoundDay(tx, who, row.id, now_ms);
	const asTaken = day && followOrder(day.question, day.order, day.start_min);
	const start_min = asTaken ? withoutFirstWait(day.question, asTaken).start_min : null;
	if (start_min === null || start_min === day!.start_min) return row;
	const startsAt = new Date(instantAt(day!.day, start_min, who.program.timeZone));
	await tx.update(round).set({ startsAt }).where(roundKey(row.programId, row.id));
	return { ...row, startsAt };
}

/** What a round's purpose adds to the name of its circuit. */
const purposeWords = { grab: '', storm: ', after the storm', sampler: ', to the samplers' } as const;
