import { sql, type SQL } from 'drizzle-orm';
import type { BottleToSend } from '../../core/custody';
import { keepsFor_h, preservedIn } from '../../core/subjects/bottle/held';
import type { Db } from '../db/connect';
import { bottlesWhere, type BottleOfVisit } from '../lab/bottles';

/** A bottle of a visit as it is packed. */
export interface PackedBottle extends BottleToSend {
	visitId: string;
	/** Its id in the visit's sheet. */
	id: string;
	site: string;
	/** The lab has found something in it. */
	isReported: boolean;
}

/** What was filled longer ago than this nobody sends any more. */
const WITHIN = '40 days';

/** Bottles that were filled, and that no lab, no bench and no box has yet; the oldest first. */
export async function bottlesToSend(db: Db, programId: string, now_ms: number): Promise<PackedBottle[]> {
	const bottles = await bottlesWhere(
		db,
		programId,
		sql`v.started_at > ${new Date(now_ms).toISOString()}::timestamptz - ${WITHIN}::interval
			and b.value ? 'filledAt' and b.value ? 'kind' and not b.value ?| array['atLabAt', 'platedAt', 'results', 'reports']
			and not exists (select 1 from shipment_bottle x
				where x.program_id = v.program_id and x.visit_id = v.id and x.bottle_id = b.key)`
	);
	return packed(bottles.filter((b) => !b.isPlated));
}

/** What is in a box. */
export const bottlesIn = async (db: Db, programId: string, shipmentId: string): Promise<PackedBottle[]> =>
	packed(await bottlesWhere(db, programId, inBox(shipmentId)));

const inBox = (shipmentId: string): SQL =>
	sql`exists (select 1 from shipment_bottle x where x.program_id = v.program_id
		and x.shipment_id = ${shipmentId}::uuid and x.visit_id = v.id and x.bottle_id = b.key)`;

const packed = (bottles: readonly BottleOfVisit[]): PackedBottle[] =>
	bottles.map(asPacked).sort((a, b) => (a.filledAt ?? '').localeCompare(b.filledAt ?? ''));

function asPacked({ visitId, id, site, bottle, card, step }: BottleOfVisit): PackedBottle {
	const kind = bottle.kind ?? step?.bottle.kind ?? 'nutrients';
	return {
		visitId,
		id,
		site,
		label: bottle.label ?? null,
		kind,
		filledAt: bottle.filledAt ?? null,
		asked: step?.bottle.preserved ?? null,
		preserved: preservedIn(bottle, step),
		isFilterAsked: step?.bottle.isFiltered === true,
		filteredAt: bottle.filteredAt ?? null,
		onIceAt: bottle.onIceAt ?? null,
		keeps_h: keepsFor_h({ ...bottle, kind }, step, card, null),
		isReported: [bottle.reports, bottle.results].some((found) => Object.keys(found ?? {}).length > 0)
	};
}
