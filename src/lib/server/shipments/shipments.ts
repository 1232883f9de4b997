import { and, desc, eq, gt, isNull, or, sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import { z } from 'zod';
import type { PackedBottle, Packing } from '../../core/custody';
import type { Member } from '../access';
import type { Db } from '../db/connect';
import type { Membership } from '../db/queries/members';
import { rowsOf, writtenNumber } from '../db/rows';
import { place, shipment, shipmentBottle } from '../db/schema';
import { dateOfDay, dayNumber } from '../plan/local-day';
import { bottlesToSend } from './bottles';

const columns = {
	id: shipment.id,
	code: shipment.code,
	labId: shipment.labId,
	lab: place.name,
	madeAt: shipment.madeAt,
	packed: shipment.packed,
	seal: shipment.seal,
	courier: shipment.courier,
	handedOverAt: shipment.handedOverAt,
	handedOverBy: shipment.handedOverBy,
	expectedAt: shipment.expectedAt,
	arrivedAt: shipment.arrivedAt,
	arrived_C: shipment.arrived_C
};
const ofLab = and(eq(place.programId, shipment.programId), eq(place.id, shipment.labId));

/** Labs that bottles are sent to, with what is known of the way there. */
export const couriered = (db: Db, programId: string) =>
	db
		.select()
		.from(place)
		.where(and(eq(place.programId, programId), eq(place.kind, 'lab'), eq(place.arrives, 'couriered')))
		.orderBy(place.name);
export type CourieredLab = Awaited<ReturnType<typeof couriered>>[number];

/** What was said of a box's arrival by mistake is struck where it was said, so that it stays in sight for a while. */
const IN_SIGHT_ms = 2 * 86_400_000;

/** Boxes that have not come to their lab, and those that came there lately. */
export const shipmentsInSight = (db: Db, programId: string, now_ms: number) =>
	db
		.select(columns)
		.from(shipment)
		.innerJoin(place, ofLab)
		.where(
			and(
				eq(shipment.programId, programId),
				or(isNull(shipment.arrivedAt), gt(shipment.arrivedAt, new Date(now_ms - IN_SIGHT_ms)))
			)
		)
		.orderBy(shipment.madeAt);

/** The program's boxes: what is being packed, then what is on its way, then the newest that arrived. */
export const shipmentsOf = (db: Db, programId: string, most: number) =>
	db
		.select(columns)
		.from(shipment)
		.innerJoin(place, ofLab)
		.where(eq(shipment.programId, programId))
		.orderBy(sql`${shipment.arrivedAt} desc nulls first`, desc(shipment.madeAt))
		.limit(most);

export async function shipmentOf(db: Db, programId: string, id: string) {
	const [found] = await db
		.select(columns)
		.from(shipment)
		.innerJoin(place, ofLab)
		.where(and(eq(shipment.programId, programId), eq(shipment.id, id)));
	return found ?? null;
}
export type Shipment = NonNullable<Awaited<ReturnType<typeof shipmentOf>>>;

/** How many bottles each box holds, and of how many the lab has reported something. */
export async function contents(db: Db, programId: string): Promise<Map<string, { bottles: number; reported: number }>> {
	const rows = await rowsOf(
		db,
		z.object({ id: z.string(), bottles: writtenNumber, reported: writtenNumber }),
		sql`select x.shipment_id as id, count(*) as bottles,
				count(*) filter (where v.sheet -> 'bottles' -> x.bottle_id ?| array['reports', 'results']) as reported
			from shipment_bottle x join visit v on v.program_id = x.program_id and v.id = x.visit_id
			where x.program_id = ${programId} group by x.shipment_id`
	);
	return new Map(rows.map(({ id, ...counts }) => [id, counts]));
}

export type Place = Pick<PackedBottle, 'visitId' | 'id'>;
type Said = { id: string } | { why: string };

/** Begins a box for a lab with bottles that wait. */
export function startShipment(
	db: Db,
	who: Membership,
	{ id = v7(), labId, chosen }: { id?: string; labId: string; chosen: readonly Place[] },
	now_ms: number
): Promise<Said> {
	return db.transaction(async (tx) => {
		await alone(tx, who.programId);
		const labs = await couriered(tx, who.programId);
		if (!labs.some((l) => l.id === labId)) return { why: 'Say which lab the bottles go to.' };
		const why = await whyNotIn(tx, who.programId, chosen, now_ms);
		if (why !== null) return { why };
		const day = dateOfDay(dayNumber(now_ms, who.program.timeZone));
		const code = await nextCode(tx, who.programId, day);
		await tx
			.insert(shipment)
			.values({ programId: who.programId, id, code, labId, madeAt: new Date(now_ms), madeBy: who.id });
		await put(tx, who.programId, id, chosen);
		return { id };
	});
}

/** Codes and contents are given out by one at a time: a bottle is never in two boxes. */
export const alone = (tx: Db, programId: string) =>
	tx.execute(sql`select pg_advisory_xact_lock(hashtext(${`shipments ${programId}`}))`);

/** The code of a day's next box: S260514-1. */
async function nextCode(tx: Db, programId: string, day: string): Promise<string> {
	const start = `S${day.slice(2).replaceAll('-', '')}-`;
	const rows = await rowsOf(
		tx,
		z.object({ code: z.string() }),
		sql`select code from shipment where program_id = ${programId} and starts_with(code, ${start})`
	);
	return `${start}${Math.max(0, ...rows.map((r) => Number(r.code.slice(start.length)))) + 1}`;
}

async function whyNotIn(tx: Db, programId: string, chosen: readonly Place[], now_ms: number): Promise<string | null> {
	if (chosen.length === 0) return 'Choose the bottles that go into it.';
	const waiting = await bottlesToSend(tx, programId, now_ms);
	const isWaiting = (c: Place) => waiting.some((b) => b.visitId === c.visitId && b.id === c.id);
	return chosen.every(isWaiting)
		? null
		: 'One of these bottles is in another box by now, or at a lab. Look again at what waits.';
}

const put = (tx: Db, programId: string, shipmentId: string, chosen: readonly Place[]) =>
	tx.insert(shipmentBottle).values(chosen.map(({ visitId, id }) => ({ programId, shipmentId, visitId, bottleId: id })));

const open = (who: Pick<Member, 'programId'>, id: string) =>
	and(eq(shipment.programId, who.programId), eq(shipment.id, id), isNull(shipment.handedOverAt));
export const GONE = 'This box has left already, or is gone. Look again at the boxes.';

/** Locks a box that is still being packed for the rest of a transaction. */
async function isOpen(tx: Db, who: Member, id: string): Promise<boolean> {
	const rows = await tx.select({ id: shipment.id }).from(shipment).where(open(who, id)).for('update');
	return rows.length > 0;
}

export type Change = { put: Place[] } | { takeOut: Place } | { step: Packing; isDone: boolean };

/** Changes a box that is still being packed. */
export function changeShipment(
	db: Db,
	who: Member,
	id: string,
	change: Change,
	now_ms: number
): Promise<{ why: string } | null> {
	return db.transaction(async (tx) => {
		await alone(tx, who.programId);
		if (!(await isOpen(tx, who, id))) return { why: GONE };
		if ('put' in change) {
			const why = await whyNotIn(tx, who.programId, change.put, now_ms);
			if (why !== null) return { why };
			await put(tx, who.programId, id, change.put);
		} else if ('takeOut' in change)
			await tx
				.delete(shipmentBottle)
				.where(
					and(
						eq(shipmentBottle.programId, who.programId),
						eq(shipmentBottle.shipmentId, id),
						eq(shipmentBottle.visitId, change.takeOut.visitId),
						eq(shipmentBottle.bottleId, change.takeOut.id)
					)
				);
		else {
			const { step, isDone } = change;
			const without = sql`array_remove(${shipment.packed}, ${step})`;
			const packed = isDone ? sql`array_append(${without}, ${step})` : without;
			await tx.update(shipment).set({ packed }).where(open(who, id));
		}
		return null;
	});
}

/** Unpacks a box that never left: its bottles wait again. */
export async function unpack(db: Db, who: Pick<Member, 'programId'>, id: string): Promise<boolean> {
	const gone = await db.delete(shipment).where(open(who, id)).returning({ id: shipment.id });
	return gone.length > 0;
}
