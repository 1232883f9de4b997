import { isDeepStrictEqual } from 'node:util';
import { and, asc, eq, sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import { z } from 'zod';
import {
	compose,
	shippedCards,
	withSettings,
	type Change,
	type Contradiction,
	type MethodCard
} from '../../core/method';
import type { Db } from '../db/connect';
import { instant, rowsOf } from '../db/rows';
import type { Membership } from '../db/queries/members';
import { audit, methodCard, methodCardVersion } from '../db/schema';
import { definedParameters } from '../db/queries/own-parameters';

export interface CardVersion {
	id: string;
	cardId: string;
	version: number;
	since: string;
	card: MethodCard;
}

/** All versions of all of a program's cards, the latest of each first. */
export async function cardVersions(db: Db, programId: string): Promise<Map<string, CardVersion[]>> {
	const rows = await db
		.select({ code: methodCard.code, v: methodCardVersion })
		.from(methodCardVersion)
		.innerJoin(
			methodCard,
			and(eq(methodCard.programId, methodCardVersion.programId), eq(methodCard.id, methodCardVersion.cardId))
		)
		.where(eq(methodCardVersion.programId, programId))
		.orderBy(asc(methodCard.code), sql`${methodCardVersion.version} desc`);
	const cards = new Map<string, CardVersion[]>();
	for (const { code, v } of rows)
		cards.set(code, [
			...(cards.get(code) ?? []),
			{ id: v.id, cardId: v.cardId, version: v.version, since: v.inUseSince.toISOString(), card: v.body }
		]);
	return cards;
}

/** Takes a shipped card into the program. False where it is there already, or is not shipped. */
export function takeCard(db: Db, who: Membership, code: string, now_ms: number): Promise<boolean> {
	const shipped = shippedCards.find((c) => c.code === code);
	if (!shipped) return Promise.resolve(false);
	return db.transaction(async (tx) => {
		const cardId = v7();
		const made = await tx
			.insert(methodCard)
			.values({ programId: who.programId, id: cardId, code })
			.onConflictDoNothing()
			.returning({ id: methodCard.id });
		if (made.length === 0) return false;
		await addVersion(tx, who, cardId, null, shipped, now_ms);
		return true;
	});
}

export type Versioned = { ok: true; version: number; roundsMoved: number } | { ok: false; why: Contradiction[] };

/**
 * Keeps a card with other settings as its next version. Visits keep the version they were made with; rounds that have
 * not begun go over to the new one. `changes` come first: steps added, repeated, removed, moved. `on` is the version
 * that was looked at: if there is a newer one by now, nothing is kept.
 */
export function keepVersion(
	db: Db,
	who: Membership,
	code: string,
	on: number,
	texts: Record<string, string>,
	now_ms: number,
	changes: readonly Change[] = []
): Promise<Versioned> {
	return db.transaction(async (tx) => {
		const [card] = await tx
			.select()
			.from(methodCard)
			.where(and(eq(methodCard.programId, who.programId), eq(methodCard.code, code)))
			.for('update');
		const latest = (await cardVersions(tx, who.programId)).get(code)?.[0];
		if (!card || !latest) return { ok: false, why: [{ path: '', why: 'There is no such card any more.' }] };
		if (latest.version !== on)
			return {
				ok: false,
				why: [
					{
						path: '',
						why:
							`Somebody kept version ${latest.version} meanwhile. Load the page again; what you typed stays until ` +
							'you leave it.'
					}
				]
			};
		const composed = compose(latest.card, changes);
		if (composed.why.length) return { ok: false, why: composed.why.map((why) => ({ path: '', why })) };
		const made = withSettings(composed.card, texts, await definedParameters(tx, who.programId));
		if ('why' in made) return { ok: false, why: made.why };
		if (isDeepStrictEqual(made.card, latest.card))
			return {
				ok: false,
				why: [{ path: '', why: 'Nothing is changed: it stays version ' + String(latest.version) + '.' }]
			};
		const version = latest.version + 1;
		const id = await addVersion(tx, who, card.id, latest.card, { ...made.card, version }, now_ms);
		const { rowCount } = await tx.execute(
			sql`update round r set card_version_id = ${id} where ${notBegun(who.programId, card.id, now_ms)}`
		);
		return { ok: true, version, roundsMoved: rowCount ?? 0 };
	});
}

/** Rounds of a card that have not begun: they go over to its next version. */
const notBegun = (programId: string, cardId: string, now_ms: number) => sql`
	r.program_id = ${programId} and r.refused_because is null and r.starts_at > ${new Date(now_ms).toISOString()}
	and r.card_version_id in (
		select v.id from method_card_version v where v.program_id = r.program_id and v.card_id = ${cardId}
	)
	and not exists (select 1 from visit x where x.program_id = r.program_id and x.round_id = r.id)`;

/** Their names and days, to be seen before a version is kept. */
export async function roundsThatWouldMove(
	db: Db,
	programId: string,
	cardId: string,
	now_ms: number
): Promise<{ name: string; startsAt: string }[]> {
	const rows = await rowsOf(
		db,
		z.object({ name: z.string(), starts_at: instant }),
		sql`select r.name, r.starts_at from round r where ${notBegun(programId, cardId, now_ms)}
			order by r.starts_at limit 100`
	);
	return rows.map((r) => ({ name: r.name, startsAt: r.starts_at.toISOString() }));
}

async function addVersion(
	tx: Db,
	who: Membership,
	cardId: string,
	before: MethodCard | null,
	card: MethodCard,
	now_ms: number
): Promise<string> {
	const id = v7();
	const at = new Date(now_ms);
	await tx
		.insert(methodCardVersion)
		.values({ programId: who.programId, id, cardId, version: card.version, body: card, inUseSince: at });
	await tx.insert(audit).values({
		programId: who.programId,
		id: v7(),
		at,
		byMemberId: who.id,
		what: 'cards',
		rowId: cardId,
		before,
		after: card
	});
	return id;
}

/** Who kept which version, by version. */
export async function keptBy(db: Db, programId: string, cardId: string): Promise<Record<number, string>> {
	const rows = await rowsOf(
		db,
		z.object({ version: z.number(), by: z.string() }),
		sql`
		select (a.after->>'version')::int as version, m.initials as by from audit a
		join member m on m.program_id = a.program_id and m.id = a.by_member_id
		where a.program_id = ${programId} and a.what = 'cards' and a.row_id = ${cardId}`
	);
	return Object.fromEntries(rows.map((r) => [r.version, r.by]));
}
