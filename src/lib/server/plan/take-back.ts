import { and, eq, inArray } from 'drizzle-orm';
import type { Db } from '../db/connect';
import type { Membership } from '../db/queries/members';
import { audit, round } from '../db/schema';
import type { Changed } from './asked-change';
import { hasBegun, note, roundKey, takeOff, type RoundRow } from './kept-round';

/**
 * Takes changes of rounds back, by the lines that they left: each round is again what it was before. Only where
 * nobody has changed it since, and no visit has begun; else nothing is taken back. What it leaves can be taken back in
 * turn: that is how a change is done again.
 */
export async function takeBack(tx: Db, who: Membership, ids: readonly string[], now_ms: number): Promise<Changed> {
	const lines = await tx
		.select()
		.from(audit)
		.where(and(eq(audit.programId, who.programId), eq(audit.what, 'round'), inArray(audit.id, [...ids])));
	if (lines.length !== new Set(ids).size) return { ok: false, why: 'What was changed is not known here any more.' };
	const audited: string[] = [];
	for (const line of lines.sort((a, b) => (a.id < b.id ? 1 : -1))) {
		const key = roundKey(who.programId, line.rowId);
		const [there = null] = await tx.select().from(round).where(key).for('update');
		if (!isSame(there, line.after as RoundRow | null))
			return { ok: false, why: `${nameOf(line)} was changed again since. Nothing was taken back.` };
		if (await hasBegun(tx, who.programId, line.rowId))
			return { ok: false, why: `${nameOf(line)} has begun: its visits stand in the logbook.` };
		const was = revived(line.before);
		if (was === null) await takeOff(tx, who.programId, line.rowId);
		else if (there === null) await tx.insert(round).values(was);
		else await tx.update(round).set(was).where(key);
		audited.push(await note(tx, who, there, was, now_ms));
	}
	const [first] = lines;
	return {
		ok: true,
		said: lines.length === 1 ? `${nameOf(first!)} is as it was.` : `${lines.length} rounds are as they were.`,
		audited
	};
}

const nameOf = ({ before, after }: { before: unknown; after: unknown }): string =>
	((after ?? before) as RoundRow | null)?.name ?? 'The round';

/** The same by what is kept: dates are words in the audit. Fields that a row has got since then do not count. */
function isSame(there: RoundRow | null, then: RoundRow | null): boolean {
	if (there === null || then === null) return there === then;
	const now = JSON.parse(JSON.stringify(there)) as Record<string, unknown>;
	return Object.entries(then).every(([name, value]) => JSON.stringify(now[name]) === JSON.stringify(value));
}

const revived = (before: unknown): RoundRow | null =>
	before === null ? null : { ...(before as RoundRow), startsAt: new Date((before as { startsAt: string }).startsAt) };
