import { sql, type SQL } from 'drizzle-orm';
import { z } from 'zod';
import type { KnownBottle } from '../../core/lab-report';
import type { Sheet } from '../../core/logbook';
import { preservedIn } from '../../core/subjects/bottle/held';
import { stepOfBottle } from '../../core/subjects/bottle/step';
import type { BottleOfVisit } from '../../core/subjects/bottle/to-send';
import { stepsOf } from '../../core/subjects/steps';
import type { Db } from '../db/connect';
import { cardBodies } from '../db/queries/card-bodies';
import { rowsOf, written } from '../db/rows';

type BottleSheet = NonNullable<Sheet['bottles']>[string];

const Row = z.object({
	visitId: z.string(),
	site: z.string(),
	cardVersionId: z.string(),
	id: z.string(),
	bottle: written<BottleSheet>()
});

/** The bottles that a condition on `v`, their visit, and `b`, their id and sheet, leaves; always in the same order. */
export async function bottlesWhere(db: Db, programId: string, which: SQL): Promise<BottleOfVisit[]> {
	const [rows, cards] = await Promise.all([
		rowsOf(
			db,
			Row,
			sql`
			select v.id as "visitId", s.name as site, v.card_version_id as "cardVersionId", b.key as id, b.value as bottle
			from visit v join site s on s.program_id = v.program_id and s.id = v.site_id
			cross join jsonb_each(v.sheet -> 'bottles') b
			where v.program_id = ${programId} and v.sheet ? 'bottles' and ${which} order by v.id, b.key`
		),
		cardBodies(db, programId)
	]);
	return rows.map(({ cardVersionId, ...row }) => {
		const card = cards.get(cardVersionId)!;
		return { ...row, card, step: stepOfBottle(row.id, stepsOf(card, 'bottle')) };
	});
}

/** No lab keeps a bottle longer than this before it reports. */
const WITHIN = '18 months';

/** All labelled bottles of the last year and a half: what a report of today can speak of. */
export async function labelledBottles(db: Db, programId: string, now_ms: number): Promise<KnownBottle[]> {
	const bottles = await bottlesWhere(
		db,
		programId,
		sql`b.value ? 'label' and v.started_at > ${new Date(now_ms).toISOString()}::timestamptz - ${WITHIN}::interval`
	);
	return bottles.map(({ visitId, id, site, bottle, step }) => ({
		visitId,
		id,
		site,
		label: bottle.label!,
		role: bottle.role ?? 'routine',
		filledAt: bottle.filledAt ?? null,
		preserved: preservedIn(bottle, step),
		reports: bottle.reports ?? {}
	}));
}
