import { sql } from 'drizzle-orm';
import { z } from 'zod';
import { kindsWritten, type KnownTray } from '../../core/animal-counts';
import type { Sheet } from '../../core/logbook';
import { stepsOf } from '../../core/subjects/steps';
import { isoDay } from '../../core/wording';
import type { Membership } from '../db/queries/members';
import type { Db } from '../db/connect';
import { cardBodies } from '../db/queries/card-bodies';
import { rowsOf, written } from '../db/rows';

type TraySheet = Pick<Sheet, 'trays' | 'tallies' | 'nets'>;

const Row = z.object({
	visitId: z.string(),
	started_ms: z.coerce.number(),
	site: z.string(),
	cardVersionId: z.string(),
	sheet: written<TraySheet>()
});

/** The trays of all visits, by the cards they were made with: those that wait for a count and those that have one. */
export async function traysOf(db: Db, { programId, program }: Membership): Promise<KnownTray[]> {
	const cards = await cardBodies(db, programId);
	const withTray = [...cards].filter(([, card]) => stepsOf(card, 'tray').length > 0).map(([id]) => id);
	const rows = await rowsOf(
		db,
		Row,
		sql`
		select v.id as "visitId", extract(epoch from v.started_at) * 1000 as started_ms, s.code as site,
			v.card_version_id as "cardVersionId", jsonb_strip_nulls(jsonb_build_object(
				'trays', v.sheet -> 'trays', 'tallies', v.sheet -> 'tallies', 'nets', v.sheet -> 'nets')) as sheet
		from visit v join site s on s.program_id = v.program_id and s.id = v.site_id
		where v.program_id = ${programId} and v.card_version_id = any(${sql.param(withTray)}::uuid[])
		order by v.started_at`
	);
	return rows.flatMap(({ visitId, started_ms, site, cardVersionId, sheet }) =>
		stepsOf(cards.get(cardVersionId)!, 'tray').map((step): KnownTray => ({
			visitId,
			step: step.id,
			school: step.school,
			label: Object.values(sheet.nets ?? {}).find((net) => net.label !== undefined)?.label ?? null,
			site,
			day: isoDay(started_ms, program.timeZone),
			kinds: kindsWritten(sheet, step.id),
			isEnded: sheet.trays?.[step.id]?.endedAt !== undefined,
			from: sheet.trays?.[step.id]?.countedElsewhere ?? null
		}))
	);
}
