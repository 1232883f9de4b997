import { randomBytes } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import { z } from 'zod';
import { fold, tick, type Entry } from '../../core/logbook';
import type { Member } from '../access';
import type { Db } from '../db/connect';
import { rowsOf } from '../db/rows';
import { visitFacts } from '../projection/facts';

/** The device of lines that no phone wrote. */
export const OFFICE = 'office';

const ID_BYTES = 16;

/** A line that the office writes into a visit. */
export interface OfficeLine {
	visitId: string;
	path: string;
	value: unknown;
	/** Counts are added; all else is set. */
	op?: 'set' | 'add';
	/** It takes the place of what stands there. */
	isCorrection?: boolean;
}

/** Entries for lines that the office writes, each after the last of its visit; a correction names what it replaces. */
export async function officeEntries(
	tx: Db,
	member: Member,
	lines: readonly OfficeLine[],
	now_ms: number
): Promise<Entry[]> {
	const next = await clockOf(tx, member, lines, now_ms);
	const stands = await standing(
		tx,
		member,
		lines.filter((l) => l.isCorrection)
	);
	// thousands of lines at once: to draw their chance singly takes longer than all the rest
	const chance = randomBytes(ID_BYTES * lines.length);
	return lines.map(({ visitId, path, value, op = 'set', isCorrection }, nth) => {
		const was = isCorrection ? stands(visitId, path) : null;
		const id = v7({ random: chance.subarray(ID_BYTES * nth, ID_BYTES * (nth + 1)) });
		return { id, visitId, at: next(visitId), by: member.id, device: OFFICE, path, op, value, was };
	});
}

/** Strikes for what stands at these places now; nothing for a place where nothing does. */
export async function officeStrikes(
	tx: Db,
	member: Member,
	places: readonly Pick<OfficeLine, 'visitId' | 'path'>[],
	why: string,
	now_ms: number
): Promise<Entry[]> {
	const stands = await standing(tx, member, places);
	const live = places.flatMap(({ visitId, path }) => {
		const id = stands(visitId, path);
		return id === null ? [] : [{ visitId, path, id }];
	});
	return strikesOf(tx, member, live, why, now_ms);
}

/** Strikes for these lines, whatever else stands at their places. */
export async function strikesOf(
	tx: Db,
	member: Member,
	lines: readonly Pick<Entry, 'visitId' | 'path' | 'id'>[],
	why: string,
	now_ms: number
): Promise<Entry[]> {
	const next = await clockOf(tx, member, lines, now_ms);
	return lines.map(({ visitId, path, id: was }) => {
		const at = next(visitId);
		return { id: v7(), visitId, at, by: member.id, device: OFFICE, path, op: 'strike', value: why, was };
	});
}

type OfVisits = readonly { visitId: string }[];

/** The next reading of each visit's clock: after all that has been written there. */
async function clockOf(tx: Db, { programId }: Member, of: OfVisits, now_ms: number) {
	const last = await rowsOf(
		tx,
		z.object({ visit_id: z.string(), last: z.string() }),
		sql`select visit_id, max(at) as last from entry
			where program_id = ${programId} and visit_id = any(${sql.param(visitsIn(of))}::uuid[]) group by visit_id`
	);
	const lastAt = new Map(last.map((l) => [l.visit_id, l.last]));
	return (visitId: string): string => {
		const at = tick(lastAt.get(visitId) ?? null, now_ms);
		lastAt.set(visitId, at);
		return at;
	};
}

async function standing(tx: Db, { programId }: Member, of: OfVisits) {
	const facts = await visitFacts(tx, programId, visitsIn(of));
	const lines = new Map(facts.map((v) => [v.id, fold(v.entries).lines]));
	return (visitId: string, path: string): string | null => lines.get(visitId)?.get(path)?.live?.id ?? null;
}

const visitsIn = (of: OfVisits): string[] => [...new Set(of.map((l) => l.visitId))];
