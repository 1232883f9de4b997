import { sql, type SQL } from 'drizzle-orm';
import { z } from 'zod';
import { byAge, type PackedBottle } from '../../core/custody';
import type { BottleKind } from '../../core/subjects/bottle/branch';
import { asPacked, type BottleOfVisit } from '../../core/subjects/bottle/to-send';
import type { Db } from '../db/connect';
import { rowsOf, writtenNumber } from '../db/rows';
import { bottlesWhere } from '../lab/bottles';

/** What was filled longer ago than this nobody sends any more. */
const WITHIN = '40 days';
/** Plates or tubes were made from a bottle: the bench has it. */
const PLATED = ['plates', 'growthTubes'].map((branch) => `$.${branch}.*?(@.bottle == $id)`);

/** Of bottles `b` in visits `v`: filled, and no lab, no bench and no box has them yet. */
const waits = (now_ms: number): SQL => sql`
	v.started_at > ${new Date(now_ms).toISOString()}::timestamptz - ${WITHIN}::interval
	and b.value ? 'filledAt' and b.value ? 'kind' and not b.value ?| array['atLabAt', 'platedAt', 'results', 'reports']
	and not ${sql.join(
		PLATED.map((path) => sql`jsonb_path_exists(v.sheet, ${path}::jsonpath, jsonb_build_object('id', b.key))`),
		sql` and not `
	)}
	and not exists (select 1 from shipment_bottle x
		where x.program_id = v.program_id and x.visit_id = v.id and x.bottle_id = b.key)`;

/** Bottles that were filled and wait for a box; the oldest first. */
export const bottlesToSend = async (db: Db, programId: string, now_ms: number): Promise<PackedBottle[]> =>
	packed(await bottlesWhere(db, programId, waits(now_ms)));

/** How many bottles of these kinds wait for a box. */
export async function waitingFor(db: Db, programId: string, kinds: BottleKind[], now_ms: number): Promise<number> {
	const [row] = await rowsOf(
		db,
		z.object({ n: writtenNumber }),
		sql`select count(*) as n from visit v cross join jsonb_each(v.sheet -> 'bottles') b
			where v.program_id = ${programId} and v.sheet ? 'bottles'
				and b.value ->> 'kind' = any(${sql.param(kinds)}::text[]) and ${waits(now_ms)}`
	);
	return row!.n;
}

/** What is in a box. */
export const bottlesIn = async (db: Db, programId: string, shipmentId: string): Promise<PackedBottle[]> =>
	packed(await bottlesWhere(db, programId, inBox(shipmentId)));

const inBox = (shipmentId: string): SQL =>
	sql`exists (select 1 from shipment_bottle x where x.program_id = v.program_id
		and x.shipment_id = ${shipmentId}::uuid and x.visit_id = v.id and x.bottle_id = b.key)`;

const packed = (bottles: readonly BottleOfVisit[]): PackedBottle[] => byAge(bottles.map(asPacked));
