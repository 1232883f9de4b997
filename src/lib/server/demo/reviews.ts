import { sql } from 'drizzle-orm';
import { z } from 'zod';
import { judgedText, verdictPath } from '../../core/visit';
import type { Verdict } from '../../core/subjects/review/branch';
import { withQualifier, type ParameterCode, type Qualifier, type Unit } from '../../core/quantity';
import type { FlagCode } from '../../core/subjects/flags';
import type { Chance } from '../../core/statistics';
import type { Member } from '../access';
import type { Db } from '../db/connect';
import { rowsOf, written } from '../db/rows';
import { receiveEntries } from '../sync/receive';
import { logbookWriter, type Writer } from './logbook-writer';

const DAY_ms = 86_400_000;
const REVIEWED_AFTER_days = 18;
const AT_ONCE = 1500;

const ToJudge = z.object({
	visit_id: z.string(),
	started_at: z.string(),
	parameter: written<ParameterCode>(),
	comes_from: z.string(),
	value: z.number(),
	qualifier: written<Qualifier>(),
	unit: written<Unit>(),
	flags: written<FlagCode[]>()
});
type ToJudge = z.output<typeof ToJudge>;

/** The demo's reviewer has judged everything but the last weeks, with a reason where there was a doubt. */
export async function reviewVisits(
	tx: Db,
	programId: string,
	reviewer: Writer & { member: Member },
	now_ms: number,
	chance: Chance
): Promise<void> {
	const rows = await rowsOf(
		tx,
		ToJudge,
		sql`
		select r.visit_id, v.started_at, r.parameter, r.comes_from, r.value, r.qualifier, r.unit,
			array(
				select f.code from flag f
				where f.program_id = r.program_id and f.visit_id = r.visit_id and f.parameter = r.parameter
			) as flags
		from result r join visit v on v.program_id = r.program_id and v.id = r.visit_id
		where r.program_id = ${programId} and r.is_reported
			and v.started_at < ${new Date(now_ms - REVIEWED_AFTER_days * DAY_ms).toISOString()}
			and not exists (
				select 1 from flag f
				where f.program_id = r.program_id and f.visit_id = r.visit_id and f.code = 'two-values'
			)
		order by v.started_at, r.parameter`
	);
	const entries = rows.map((row) => {
		const reviewedAt_ms = Math.min(now_ms - DAY_ms, Date.parse(row.started_at) + 9 * DAY_ms);
		const { entries: written, write } = logbookWriter({ id: row.visit_id, startedAt_ms: reviewedAt_ms }, chance);
		const judged = judgedText({ parameter: row.parameter, figure: withQualifier(row.value, row.qualifier, row.unit) });
		write(reviewer, 0, verdictPath({ parameter: row.parameter, from: row.comes_from }), { ...opinion(row), judged });
		return written[0]!;
	});
	for (let i = 0; i < entries.length; i += AT_ONCE) {
		const { refused } = await receiveEntries(tx, reviewer.member, entries.slice(i, i + AT_ONCE), {
			now_ms,
			skew_ms: null
		});
		if (refused.length)
			throw new RangeError(`the demo's reviewer wrote a line that the logbook refuses: ${JSON.stringify(refused[0])}`);
	}
}

function opinion({ parameter, flags }: ToJudge): Pick<Verdict, 'verdict' | 'reason'> {
	if (flags.includes('held-too-long'))
		return { verdict: 'reject', reason: 'Held longer than the card allows before plating.' };
	if (flags.includes('calibration-old'))
		return { verdict: 'qualify', reason: 'Probe not calibrated on the day; reads low beside its neighbours.' };
	if (parameter === 'discharge' && flags.includes('few-verticals'))
		return { verdict: 'qualify', reason: 'Few verticals.' };
	return { verdict: 'accept', reason: '' };
}
