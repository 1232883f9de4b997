import { sql } from 'drizzle-orm';
import { z } from 'zod';
import { samplingSaid, type AnimalList, type Kind, type SamplingSaid } from '../../../core/macroinvertebrates';
import { MethodCard } from '../../../core/method';
import type { Sheet } from '../../../core/logbook';
import { isTool, type StepOf } from '../../../core/subjects/steps';
import { kindsIn, sharesKnown, tallyPath } from '../../../core/subjects/tray/compartments';
import { schoolWords } from '../../../core/subjects/tray/words';
import type { Db } from '../connect';
import { rowsOf } from '../rows';
import { animalsKnown } from './own-animals';

const Row = z.object({
	visitId: z.string(),
	started_ms: z.coerce.number(),
	siteId: z.string(),
	sheet: z.custom<AnimalSheet>((v) => typeof v === 'object' && v !== null),
	card: MethodCard
});
type AnimalSheet = Pick<Sheet, 'trays' | 'tallies' | 'vouchers' | 'opinions' | 'samplers' | 'nets'>;

export interface SiteSampling {
	visitId: string;
	started_ms: number;
	siteId: string;
	step: StepOf<'tray'>;
	card: MethodCard;
	sheet: AnimalSheet;
	/** How the tray was sorted, in words. */
	school: string;
	kinds: Kind[];
	/** Shares of the kinds are known; else only what was there. */
	knowsShares: boolean;
	said: SamplingSaid;
}

/**
 * The latest samplings of a site's animals (null: of all sites) that were sorted to their end, the earliest first.
 * `acceptedOnly`: those that somebody has reviewed.
 */
export async function animalsOf(
	db: Db,
	programId: string,
	siteId: string | null,
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
		select v.id as "visitId", extract(epoch from v.started_at) * 1000 as started_ms,
			v.site_id as "siteId", c.body as card,
			jsonb_build_object('trays', v.sheet -> 'trays', 'tallies', v.sheet -> 'tallies', 'nets', v.sheet -> 'nets',
				'vouchers', v.sheet -> 'vouchers', 'samplers', v.sheet -> 'samplers',
				'opinions', v.sheet -> 'opinions') as sheet
		from visit v join method_card_version c on c.program_id = v.program_id and c.id = v.card_version_id
		where v.program_id = ${programId} and (${siteId}::uuid is null or v.site_id = ${siteId}::uuid)
			and v.sheet ? 'trays' ${accepted}
		order by v.started_at desc limit ${most}`
	);
	const animals = await animalsKnown(db, programId);
	return rows.reverse().flatMap((row) => samplingsIn(row, animals));
}

/** Who put animals into the compartments of a tray. */
export async function countersOf(
	db: Db,
	programId: string,
	{ visitId, step }: Pick<SiteSampling, 'visitId' | 'step'>
): Promise<string[]> {
	const rows = await rowsOf(
		db,
		z.object({ by: z.string() }),
		sql`
		select distinct by_member_id as by from entry
		where program_id = ${programId} and visit_id = ${visitId} and op = 'add'
			and starts_with(path, ${tallyPath(step.id, '')})`
	);
	return rows.map((r) => r.by);
}

const samplingsIn = (
	{ visitId, started_ms, siteId, sheet, card }: z.output<typeof Row>,
	animals: AnimalList
): SiteSampling[] =>
	card.steps.flatMap((step) => {
		if (!isTool(step, 'tray') || sheet.trays?.[step.id]?.endedAt === undefined) return [];
		const kinds = kindsIn(sheet, step.id, animals);
		if (kinds.length === 0) return [];
		const knowsShares = sharesKnown(step, card.steps, sheet);
		const said = samplingSaid({ kinds, knowsShares, commonCount: step.commonCount });
		const school = schoolWords[step.school];
		return [{ visitId, started_ms, siteId, step, card, sheet, school, kinds, knowsShares, said }];
	});
