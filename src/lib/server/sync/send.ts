import { createHash } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { z } from 'zod';
import type { Entry } from '../../core/logbook';
import { readScope, type Member } from '../access';
import { readable } from '../db/queries/visits';
import type { Db } from '../db/connect';
import { rowsOf, writtenNumber } from '../db/rows';
import { entryOf, EntryRow } from '../projection/facts';
import type { Taken } from './receive';

/** Entries in one answer; a device that was away longer asks again from the cursor. */
export const PAGE = 2000;
/** Bytes in one answer, about: what a phone on a weak network gets through. */
const PAGE_BYTES = 1_500_000;
const LINE_BYTES = 300; // ids, clock and path of a line

export interface Sent {
	entries: Entry[];
	cursor: string;
	/** More lie beyond this cursor. */
	more: boolean;
}

/**
 * The entries a member may read from a cursor on, and the next cursor. A cursor holds a place in the program's
 * logbook and the scope it was read with: when a person changes team or role, reading starts from the beginning
 * again. Lines that were just taken from the same device are not sent back to it, and what was set aside is sent to
 * nobody.
 */
export async function entriesSince(
	db: Db,
	member: Member,
	since: string | number | null | undefined,
	justTaken: Pick<Taken, 'stretches' | 'again'> = { stretches: [], again: [] }
): Promise<Sent> {
	const from = placeIn(since, member);
	if (readScope(member) === 'none') return { entries: [], cursor: cursorAt(from, member), more: false };
	const upTo = await tip(db, member.programId);
	const rows = await rowsOf(
		db,
		EntryRow.extend({ seq: writtenNumber, bytes: writtenNumber }),
		sql`
		with next as (
			select e.id, e.seq, e.visit_id, e.at, e.by_member_id, e.device, e.path, e.op, e.value, e.was, e.skew_ms
			from entry e join visit v on v.program_id = e.program_id and v.id = e.visit_id
			where e.program_id = ${member.programId} and e.seq > ${from} and e.seq <= ${upTo}
				and ${readable(member)} ${elsewhere(justTaken)}
				and not exists (select 1 from entry_set_aside a where a.program_id = e.program_id and a.entry_id = e.id)
			order by e.seq limit ${PAGE}
		)
		select *, sum(coalesce(octet_length(value::text), 0) + ${LINE_BYTES}) over (order by seq) as bytes from next
		order by seq`
	);
	// a page ends where it would grow too long; a first line is always sent, or reading would never go on
	const within = rows.filter((r, i) => i === 0 || r.bytes <= PAGE_BYTES);
	const more = within.length < rows.length || rows.length === PAGE;
	return { entries: within.map(entryOf), cursor: cursorAt(more ? within.at(-1)!.seq : upTo, member), more };
}

const elsewhere = ({ stretches, again }: Pick<Taken, 'stretches' | 'again'>) =>
	sql.join(
		[
			...stretches.map(({ first, last }) => sql`and e.seq not between ${first} and ${last}`),
			...(again.length ? [sql`and e.id not in (select unnest(${sql.param(again)}::uuid[]))`] : [])
		],
		sql` `
	);

/** The last place of a program's logbook that everything before is visible up to. */
export async function tip(db: Db, programId: string): Promise<number> {
	const rows = await rowsOf(
		db,
		z.object({ last_seq: writtenNumber }),
		sql`select last_seq from logbook_tip where program_id = ${programId}`
	);
	return rows[0]?.last_seq ?? 0;
}

export const cursorAt = (seq: number, member: Member): string => `${seq}.${scopeMark(member)}`;

function placeIn(since: string | number | null | undefined, member: Member): number {
	const [seq, mark] = String(since ?? '').split('.');
	const place = Number(seq);
	return mark === scopeMark(member) && Number.isSafeInteger(place) && place >= 0 ? place : 0;
}

const scopeMark = (m: Member) =>
	createHash('sha256')
		.update([m.programId, m.id, readScope(m), m.teamId].join(' '))
		.digest('hex')
		.slice(0, 10);
