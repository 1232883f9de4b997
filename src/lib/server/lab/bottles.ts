import { sql } from 'drizzle-orm';
import { z } from 'zod';
import type { KnownBottle } from '../../core/lab-report';
import type { Sheet } from '../../core/logbook';
import type { MethodCard } from '../../core/method';
import { preservedIn } from '../../core/subjects/bottle/held';
import { stepOfBottle } from '../../core/subjects/bottle/step';
import { stepsOf } from '../../core/subjects/steps';
import type { Db } from '../db/connect';
import { rowsOf, written } from '../db/rows';

type BottleSheet = NonNullable<Sheet['bottles']>[string];

const Row = z.object({
	visitId: z.string(),
	site: z.string(),
	cardVersionId: z.string(),
	id: z.string(),
	bottle: written<BottleSheet>()
});

/** No lab keeps a bottle longer than this before it reports. */
const WITHIN = '18 months';

/** All labelled bottles of the last year and a half: what a report of today can speak of. */
export async function labelledBottles(db: Db, programId: string, now_ms: number): Promise<KnownBottle[]> {
	const rows = await rowsOf(
		db,
		Row,
		sql`
		select v.id as "visitId", s.name as site, v.card_version_id as "cardVersionId", b.key as id, b.value as bottle
		from visit v join site s on s.program_id = v.program_id and s.id = v.site_id
		cross join jsonb_each(v.sheet -> 'bottles') b
		where v.program_id = ${programId} and v.sheet ? 'bottles' and b.value ? 'label'
			and v.started_at > ${new Date(now_ms).toISOString()}::timestamptz - ${WITHIN}::interval`
	);
	const steps = await bottleSteps(db, programId);
	return rows.map(({ visitId, site, cardVersionId, id, bottle }) => ({
		visitId,
		id,
		site,
		label: bottle.label!,
		role: bottle.role ?? 'routine',
		filledAt: bottle.filledAt ?? null,
		preserved: preservedIn(bottle, stepOfBottle(id, steps.get(cardVersionId) ?? [])),
		reports: bottle.reports ?? {}
	}));
}

async function bottleSteps(db: Db, programId: string) {
	const rows = await rowsOf(
		db,
		z.object({ id: z.string(), body: written<MethodCard>() }),
		sql`select id, body from method_card_version where program_id = ${programId}`
	);
	return new Map(rows.map(({ id, body }) => [id, stepsOf(body, 'bottle')]));
}
