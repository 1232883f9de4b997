import { sql } from 'drizzle-orm';
import { z } from 'zod';
import { can, type Member } from '../../access';
import type { Db } from '../connect';
import { rowsOf } from '../rows';
import { readable } from './visits';

export interface Found {
	href: string;
	name: string;
	about: string;
}
export interface FoundGroup {
	heading: string;
	found: Found[];
}

const MOST_EACH = 12;
/** Letters that mean something to `like` are meant as they are. */
const anywhere = (words: string) => `%${words.replace(/[\\%_]/g, '\\$&')}%`;
const DAY = /\b\d{4}-\d{2}-\d{2}\b/;

/**
 * Things of a program by their names: sites, visits by day, site or a bottle's label, rounds, people, cards. Of each
 * kind only what this member may open.
 */
export async function find(db: Db, member: Member, asked: string, timeZone: string): Promise<FoundGroup[]> {
	const day = DAY.exec(asked)?.[0] ?? null;
	const words = asked.replace(DAY, '').trim();
	const groups = [
		await sitesFound(db, member, words),
		await visitsFound(db, member, words, day, timeZone),
		await roundsFound(db, member, words, day, timeZone),
		await peopleFound(db, member, words),
		await cardsFound(db, member, words)
	];
	return groups.filter((g) => g.found.length > 0);
}

async function sitesFound(db: Db, member: Member, words: string): Promise<FoundGroup> {
	if (words === '') return { heading: 'Sites', found: [] };
	const rows = await rowsOf(
		db,
		z.object({ code: z.string(), name: z.string(), about: z.string() }),
		sql`
		select code, name, about from site where program_id = ${member.programId}
			and (name ilike ${anywhere(words)} or code ilike ${anywhere(words)} or about ilike ${anywhere(words)})
		order by name limit ${MOST_EACH}`
	);
	return {
		heading: 'Sites',
		found: rows.map((s) => ({ href: `/sites/${s.code}`, name: `${s.name}, ${s.code}`, about: s.about }))
	};
}

async function visitsFound(
	db: Db,
	member: Member,
	words: string,
	day: string | null,
	timeZone: string
): Promise<FoundGroup> {
	const heading = 'Visits and bottles';
	if (!can(member, 'see-visit')) return { heading, found: [] };
	const rows = await rowsOf(
		db,
		z.object({ id: z.string(), name: z.string(), day: z.string(), label: z.string().nullable() }),
		sql`
		select v.id, s.name, to_char(v.started_at at time zone ${timeZone}, 'YYYY-MM-DD') as day,
			(select b.value->>'label' from jsonb_each(v.sheet->'bottles') b
			where b.value->>'label' ilike ${anywhere(words)} limit 1) as label
		from visit v join site s on s.program_id = v.program_id and s.id = v.site_id
		where v.program_id = ${member.programId}
			and (${day}::text is null or to_char(v.started_at at time zone ${timeZone}, 'YYYY-MM-DD') = ${day})
			and (${words === ''} or s.name ilike ${anywhere(words)} or s.code ilike ${anywhere(words)}
				or exists (select 1 from jsonb_each(v.sheet->'bottles') b where b.value->>'label' ilike ${anywhere(words)}))
			and ${readable(member)}
		order by v.started_at desc limit ${MOST_EACH}`
	);
	return {
		heading,
		found: rows.map((v) => ({
			href: `/visits/${v.id}`,
			name: `${v.name}, ${v.day}`,
			about: words !== '' && v.label ? `bottle ${v.label}` : ''
		}))
	};
}

async function roundsFound(
	db: Db,
	member: Member,
	words: string,
	day: string | null,
	timeZone: string
): Promise<FoundGroup> {
	if (!can(member, 'see-plan')) return { heading: 'Rounds', found: [] };
	const rows = await rowsOf(
		db,
		z.object({ id: z.string(), name: z.string(), day: z.string() }),
		sql`
		select id, name, to_char(starts_at at time zone ${timeZone}, 'YYYY-MM-DD') as day from round
		where program_id = ${member.programId} and name ilike ${anywhere(words)}
			and (${day}::text is null or to_char(starts_at at time zone ${timeZone}, 'YYYY-MM-DD') = ${day})
		order by starts_at desc limit ${MOST_EACH}`
	);
	return {
		heading: 'Rounds',
		found: rows.map((r) => ({ href: `/plan/rounds/${r.id}`, name: `${r.name}, ${r.day}`, about: '' }))
	};
}

async function peopleFound(db: Db, member: Member, words: string): Promise<FoundGroup> {
	if (!can(member, 'see-library') || words === '') return { heading: 'People', found: [] };
	const rows = await rowsOf(
		db,
		z.object({ id: z.string(), name: z.string(), initials: z.string(), role: z.string() }),
		sql`
		select id, name, initials, role from member where program_id = ${member.programId}
			and (name ilike ${anywhere(words)} or initials ilike ${anywhere(words)}) order by name limit ${MOST_EACH}`
	);
	return {
		heading: 'People',
		found: rows.map((p) => ({ href: `/library/people/${p.id}`, name: `${p.name}, ${p.initials}`, about: p.role }))
	};
}

async function cardsFound(db: Db, member: Member, words: string): Promise<FoundGroup> {
	if (!can(member, 'see-library') || words === '') return { heading: 'Method cards', found: [] };
	const rows = await rowsOf(
		db,
		z.object({ code: z.string(), title: z.string() }),
		sql`
		select distinct on (c.code) c.code, v.body->>'title' as title from method_card c
		join method_card_version v on v.program_id = c.program_id and v.card_id = c.id
		where c.program_id = ${member.programId}
			and (c.code ilike ${anywhere(words)} or v.body->>'title' ilike ${anywhere(words)})
		order by c.code, v.version desc limit ${MOST_EACH}`
	);
	return {
		heading: 'Method cards',
		found: rows.map((c) => ({ href: `/library/cards/${c.code}`, name: c.title, about: '' }))
	};
}
