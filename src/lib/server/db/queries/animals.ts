import { sql } from 'drizzle-orm';
import { z } from 'zod';
import { samplingSaid, type Kind, type SamplingSaid } from '../../../core/macroinvertebrates';
import { MethodCard } from '../../../core/method';
import type { Sheet } from '../../../core/logbook';
import { isTool } from '../../../core/subjects/steps';
import { kindsIn, sharesKnown } from '../../../core/subjects/tray/compartments';
import { schoolWords } from '../../../core/subjects/tray/words';
import type { Db } from '../connect';
import { rowsOf } from '../rows';

const Row = z.object({
	visitId: z.string(),
	started_ms: z.coerce.number(),
	sheet: z.custom<Pick<Sheet, 'trays' | 'tallies' | 'vouchers' | 'opinions' | 'samplers'>>(
		(v) => typeof v === 'object' && v !== null
	),
	card: MethodCard
});

export interface SiteSampling {
	visitId: string;
	started_ms: number;
	/** How the tray was sorted, in words. */
	school: string;
	kinds: Kind[];
	said: SamplingSaid;
}

/**
 * The latest samplings of a site's animals that were sorted to their end, the earliest first. `acceptedOnly`: those
 * that somebody has reviewed.
 */
export async function animalsOf(
	db: Db,
	programId: string,
	siteId: string,
	acceptedOnly: boolean,
	most: number
): Promise<SiteSampling[]> {
	const accepted = acceptedOnly
		? sql`and exists (select 1 from result r where r.program_id = v.program_id and r.visit_id = v.id
			and r.parameter = 'taxa-richness' and r.status in ('accepted', 'qualified'))`
		: sql``;
	const rows = await rowsOf(
		db,
		Row,
		sql`
		select v.id as "visitId", extract(epoch from v.started_at) * 1000 as started_ms, c.body as card,
			jsonb_build_object('trays', v.sheet -> 'trays', 'tallies', v.sheet -> 'tallies',
				'vouchers', v.sheet -> 'vouchers', 'samplers', v.sheet -> 'samplers', 'opinions', v.sheet -> 'opinions') as sheet
		from visit v join method_card_version c on c.program_id = v.program_id and c.id = v.card_version_id
		where v.program_id = ${programId} and v.site_id = ${siteId} and v.sheet ? 'trays' ${accepted}
		order by v.started_at desc limit ${most}`
	);
	return rows.reverse().flatMap(({ visitId, started_ms, sheet, card }) =>
		card.steps.flatMap((step) => {
			if (!isTool(step, 'tray') || sheet.trays?.[step.id]?.endedAt === undefined) return [];
			const kinds = kindsIn(sheet, step.id);
			if (kinds.length === 0) return [];
			const said = samplingSaid({
				kinds,
				knowsShares: sharesKnown(step, card.steps, sheet),
				commonCount: step.commonCount
			});
			return [{ visitId, started_ms, school: schoolWords[step.school], kinds, said }];
		})
	);
}
