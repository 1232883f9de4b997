import { sql } from 'drizzle-orm';
import { z } from 'zod';
import type { Trip } from '../../core/custody';
import type { Hours } from '../../core/library';
import { weekday } from '../../core/schedule';
import type { Db } from '../db/connect';
import { instant, rowsOf, written } from '../db/rows';
import { dateOfDay, dayNumber, instantAt } from './local-day';

/** A bottle that is filled late in the day may still go to the lab on one of the days after. */
const DAYS = 4;

const Row = z.object({
	id: z.string(),
	starts_at: instant,
	time_zone: z.string(),
	name: z.string(),
	hours: written<Hours[]>(),
	closed_on: z.array(z.string()),
	bench_min: z.number(),
	holding_h: z.number().nullable(),
	first_label: z.string().nullable(),
	first_at: z.string().nullable()
});
type Row = z.output<typeof Row>;

/**
 * Where the bottles of these rounds go, when that lab is open from the round's day on, and the bottle that was filled
 * first.
 */
export async function tripsOf(db: Db, programId: string, roundIds: readonly string[]): Promise<Map<string, Trip>> {
	if (roundIds.length === 0) return new Map();
	const rows = await rowsOf(
		db,
		Row,
		sql`
		select r.id, r.starts_at, p.time_zone, l.name, l.hours, l.closed_on, l.bench_min, l.holding_h,
		f.label as first_label, f.filled as first_at
		from round r join program p on p.id = r.program_id
		join circuit c on c.program_id = r.program_id and c.id = r.circuit_id
		join place l on l.program_id = c.program_id and l.id = c.lab_id
		left join lateral (
			select coalesce(b.value->>'label', 'a bottle') as label, b.value->>'filledAt' as filled
			from visit v cross join lateral jsonb_each(v.sheet->'bottles') b
			where v.program_id = r.program_id and v.round_id = r.id and b.value->>'kind' = 'bacteria' and b.value ? 'filledAt'
			order by (b.value->>'filledAt')::timestamptz limit 1
		) f on true
		where r.program_id = ${programId} and r.id = any(${sql.param([...roundIds])}::uuid[])`
	);
	return new Map(
		rows.map((r) => [
			r.id,
			{
				lab: r.name,
				bench_min: r.bench_min,
				holding_h: r.holding_h,
				openings: openingsFrom(dayNumber(+r.starts_at, r.time_zone), r),
				first: r.first_at === null ? null : { label: r.first_label ?? 'a bottle', filledAt_ms: Date.parse(r.first_at) }
			}
		])
	);
}

const openingsFrom = (day: number, { hours, closed_on, time_zone }: Row): Trip['openings'] =>
	Array.from({ length: DAYS }, (_, i) => day + i).flatMap((d) =>
		closed_on.includes(dateOfDay(d))
			? []
			: hours
					.filter((h) => h.weekday === weekday(d))
					.map((h) => ({
						opens_ms: instantAt(d, h.opens_min, time_zone),
						closes_ms: instantAt(d, h.closes_min, time_zone)
					}))
					.sort((a, b) => a.opens_ms - b.opens_ms)
	);
