import { sql } from 'drizzle-orm';
import { z } from 'zod';
import { readScope, type Member } from '../access';
import type { Db } from '../db/connect';
import { instant, rowsOf } from '../db/rows';

/** What a phone says of a round's list: each line's latest word, and which rounds it wants to hear of. */
export const PackWords = z.object({
	rounds: z.array(z.uuid().toLowerCase()).max(50, 'at most 50 rounds at a time'),
	ticks: z
		.array(
			z.object({
				roundId: z.uuid().toLowerCase(),
				line: z.string().regex(/^[A-Za-z0-9][A-Za-z0-9 _.-]{0,79}$/, 'a line is named as the list names it'),
				isPacked: z.boolean(),
				at: z.iso.datetime({ error: 'at is an instant' })
			})
		)
		.max(2000, 'at most 2000 ticks at a time')
});
export type PackWords = z.infer<typeof PackWords>;

export interface PackTickRow {
	roundId: string;
	line: string;
	isPacked: boolean;
	at: string;
	by: string;
}

/**
 * Takes what one phone ticked and answers with the latest word on every line. Two people tick at once: the later word
 * on a line stands, whoever said it and whenever it arrives. A word from the future counts as said now, or just after
 * the word that it takes back.
 */
export async function tellTicks(db: Db, member: Member, words: PackWords, now_ms: number): Promise<PackTickRow[]> {
	return db.transaction(async (tx) => {
		const ids = [...new Set([...words.rounds, ...words.ticks.map((t) => t.roundId)])];
		const known = await rowsOf(
			tx,
			z.object({ id: z.string() }),
			sql`select id from round where program_id = ${member.programId} and id = any(${sql.param(ids)}::uuid[])
				and (team_id = ${member.teamId} or ${member.id} = any(crew_ids) or ${readScope(member)} = 'all')`
		);
		const there = new Set(known.map((r) => r.id));
		for (const tick of words.ticks) {
			// the round was taken off the plan, or is another team's: there is nothing to pack for it
			if (!there.has(tick.roundId)) continue;
			const now = new Date(now_ms).toISOString();
			await tx.execute(sql`
				insert into pack_tick (program_id, round_id, line, is_packed, at, by_member_id)
				values (${member.programId}, ${tick.roundId}, ${tick.line}, ${tick.isPacked},
					least(${tick.at}::timestamptz, ${now}::timestamptz), ${member.id})
				on conflict (program_id, round_id, line) do update
				set is_packed = excluded.is_packed, by_member_id = excluded.by_member_id,
					at = least(${tick.at}::timestamptz, greatest(${now}::timestamptz, pack_tick.at + interval '1 millisecond'))
				where ${tick.at}::timestamptz > pack_tick.at`);
		}
		const rows = await rowsOf(
			tx,
			z.object({
				round_id: z.string(),
				line: z.string(),
				is_packed: z.boolean(),
				at: instant,
				by_member_id: z.string()
			}),
			sql`
			select round_id, line, is_packed, at, by_member_id from pack_tick where program_id = ${member.programId}
				and round_id = any(${sql.param([...there])}::uuid[])`
		);
		return rows.map((r) => ({
			roundId: r.round_id,
			line: r.line,
			isPacked: r.is_packed,
			at: r.at.toISOString(),
			by: r.by_member_id
		}));
	});
}
