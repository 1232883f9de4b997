import { and, eq, isNull, lt } from 'drizzle-orm';
import { isForLab } from '../../core/custody';
import { bottleKinds } from '../../core/subjects/bottle/branch';
import type { Db } from '../db/connect';
import { place, shipment } from '../db/schema';
import { waitingFor } from './bottles';
import { couriered } from './shipments';

/** What boxes ask for today. */
export interface BoxesAsk {
	/** Bottles that wait, and that a lab which is reached by courier has a use for. */
	toSend: number;
	/** Boxes that should have arrived and have not, as far as anybody said. */
	late: { id: string; code: string; lab: string }[];
}

export async function boxesAsk(db: Db, programId: string, now_ms: number): Promise<BoxesAsk> {
	const labs = await couriered(db, programId);
	if (labs.length === 0) return { toSend: 0, late: [] };
	const kinds = bottleKinds.filter((kind) => labs.some((l) => isForLab(kind, l.analyses)));
	const [toSend, late] = await Promise.all([
		waitingFor(db, programId, kinds, now_ms),
		db
			.select({ id: shipment.id, code: shipment.code, lab: place.name })
			.from(shipment)
			.innerJoin(place, and(eq(place.programId, shipment.programId), eq(place.id, shipment.labId)))
			.where(
				and(eq(shipment.programId, programId), isNull(shipment.arrivedAt), lt(shipment.expectedAt, new Date(now_ms)))
			)
			.orderBy(shipment.expectedAt)
	]);
	return { toSend, late };
}
