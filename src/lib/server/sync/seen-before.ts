import { sql } from 'drizzle-orm';
import { z } from 'zod';
import type { Answers } from '../../core/observations';
import type { Member } from '../access';
import { readable } from '../db/queries/visits';
import type { Db } from '../db/connect';
import { instant, rowsOf, written } from '../db/rows';

const YEARS_BACK = 3;

/**
 * What earlier visits say of each site: how its conditions usually are, what was remarked at the last one, the last
 * picture from its photo point, and of which kinds an animal of its stream was kept.
 */
export async function seenBefore(db: Db, member: Member, now_ms: number) {
	const { programId } = member;
	// remarks and pictures are of one's own team: what another wrote there is for those who answer for all
	const own = sql`and ${readable(member)}`;
	const since = new Date(now_ms - YEARS_BACK * 365 * 86_400_000).toISOString();
	const counted = await rowsOf(
		db,
		z.object({ site_id: z.string(), question: z.string(), choices: z.array(z.string()) }),
		sql`
		with visits as (
			select site_id, sheet -> 'conditions' as conditions from visit
			where program_id = ${programId} and started_at > ${since} and sheet ? 'conditions'
		), said as (
			select v.site_id, q.key as question, c.choice from visits v cross join jsonb_each(v.conditions) q
			cross join lateral (
				select q.value #>> '{}' as choice where jsonb_typeof(q.value) = 'string'
				union all
				select k from jsonb_object_keys(case jsonb_typeof(q.value) when 'object' then q.value else '{}' end) k
				where q.value -> k = 'true'
			) c
		), times as (select site_id, question, choice, count(*) as n from said group by 1, 2, 3)
		select site_id, question, array_agg(choice order by n desc, choice) as choices from times group by 1, 2`
	);
	const answers = new Map<string, Record<string, string[]>>();
	for (const { site_id, question, choices } of counted)
		answers.set(site_id, { ...answers.get(site_id), [question]: choices });

	const left = await rowsOf(
		db,
		z.object({
			site_id: z.string(),
			started_at: instant,
			reason: z.string().nullable(),
			remarks: written<Record<string, string>>().nullable(),
			conditions: written<Answers>().nullable()
		}),
		sql`
		select s.id as site_id, v.started_at, v.sheet -> 'arrival' ->> 'reason' as reason, v.sheet -> 'remarks' as remarks,
			v.sheet -> 'conditions' as conditions
		from site s cross join lateral (
			select started_at, sheet from visit v
			where v.program_id = s.program_id and v.site_id = s.id and v.is_finished ${own}
			order by started_at desc limit 1
		) v
		where s.program_id = ${programId}`
	);
	const last = new Map(
		left.map((v) => [
			v.site_id,
			{
				at: v.started_at.toISOString(),
				remarks: [v.reason ?? '', ...Object.values(v.remarks ?? {})].filter(Boolean),
				conditions: v.conditions ?? {}
			}
		])
	);
	const pictures = await rowsOf(
		db,
		z.object({
			site_id: z.string(),
			sha256: z.string()
		}),
		sql`
		select distinct on (v.site_id) v.site_id, p.value ->> 'sha256' as sha256
		from visit v cross join jsonb_each(v.sheet -> 'photos') p
		join photo held on held.program_id = v.program_id and held.sha256 = p.value ->> 'sha256'
		where v.program_id = ${programId} and v.started_at > ${since} and v.sheet ? 'photos'
			and p.value ->> 'of' = 'photo point' ${own}
		order by v.site_id, v.started_at desc`
	);
	const kept = await rowsOf(
		db,
		z.object({ site_id: z.string(), kinds: z.array(z.string()) }),
		sql`
		select s.id as site_id, array_agg(distinct p.value ->> 'taxon') as kinds from site s
		join site o on o.program_id = s.program_id and o.stream_id = s.stream_id
		join visit v on v.program_id = o.program_id and v.site_id = o.id and v.sheet ? 'vouchers'
		cross join jsonb_each(v.sheet -> 'vouchers') p
		where s.program_id = ${programId} and p.value ? 'taxon' and p.value ->> 'keptIn' is distinct from 'photo'
		group by s.id`
	);
	return {
		answers,
		last,
		kept: new Map(kept.map((k) => [k.site_id, k.kinds])),
		pictures: new Map(pictures.map((p) => [p.site_id, p.sha256]))
	};
}
