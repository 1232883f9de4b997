import { and, eq } from 'drizzle-orm';
import type { PackedBottle } from '../../core/custody';
import { whyNotThere } from '../../core/interpret';
import { sayDay, sayTime } from '../../core/wording';
import type { Db } from '../db/connect';
import type { Membership } from '../db/queries/members';
import { shipment } from '../db/schema';
import type { Entry } from '../../core/logbook';
import { officeEntries, officeStrikes, type OfficeLine } from '../sync/office-lines';
import { receiveOwn } from '../sync/receive';
import { bottlesIn } from './bottles';
import { journeyAhead } from './journey';
import { couriered, shipmentOf, type Shipment } from './shipments';

/*
 * A box changes hands: what is said of it is written into the logbook of each visit that has a bottle in it, all of it
 * or nothing. What was a slip is struck there.
 */

type Done = { why: string } | null;
/** A line that a logbook refuses takes all others back with it. */
class NotWritten extends Error {}

/** What is done to a box that is locked meanwhile: what is written, and what stands of it here afterwards. */
interface Passing {
	entries: Entry[];
	set: Partial<typeof shipment.$inferInsert>;
}

async function pass(
	db: Db,
	who: Membership,
	id: string,
	now_ms: number,
	doing: (tx: Db, box: Shipment, bottles: PackedBottle[]) => Promise<Passing | { why: string }>
): Promise<Done> {
	const ours = and(eq(shipment.programId, who.programId), eq(shipment.id, id));
	try {
		return await db.transaction(async (tx) => {
			await tx.select({ id: shipment.id }).from(shipment).where(ours).for('update');
			const box = await shipmentOf(tx, who.programId, id);
			if (!box) return { why: 'This box is gone.' };
			const done = await doing(tx, box, await bottlesIn(tx, who.programId, id));
			if ('why' in done) return done;
			const { refused } = await receiveOwn(tx, who, done.entries, now_ms);
			if (refused[0]) throw new NotWritten(`${refused[0].path}: ${refused[0].why}. Nothing was written.`);
			await tx.update(shipment).set(done.set).where(ours);
			return null;
		});
	} catch (trouble) {
		if (trouble instanceof NotWritten) return { why: trouble.message };
		throw trouble;
	}
}

/** A clock at a desk may be a little ahead of the server's. */
const AHEAD_ms = 5 * 60_000;
const leftPath = (box: Shipment) => `custody/${box.code}`;
const cameTo = (box: Shipment) => `custody/${box.code}-lab`;
const visitsOf = (bottles: readonly PackedBottle[]) => [...new Set(bottles.map((b) => b.visitId))];
const atEach = (bottles: readonly PackedBottle[], said: Record<string, unknown>): OfficeLine[] =>
	visitsOf(bottles).flatMap((visitId) =>
		Object.entries(said).flatMap(([path, value]) => (value === '' ? [] : [{ visitId, path, value }]))
	);

/** The box is given to a courier. */
export const handOver = (
	db: Db,
	who: Membership,
	id: string,
	{ courier, seal, at_ms }: { courier: string; seal: string; at_ms: number },
	now_ms: number
): Promise<Done> =>
	pass(db, who, id, now_ms, async (tx, box, bottles) => {
		const { timeZone } = who.program;
		if (box.handedOverAt) return { why: 'This box has left already.' };
		if (bottles.length === 0) return { why: 'This box is empty.' };
		const unnamed = bottles.filter((b) => b.label === null);
		if (unnamed.length) return { why: 'A bottle without a label cannot be told from the others at the lab.' };
		if (at_ms > now_ms + AHEAD_ms) return { why: 'It is handed over now or has been; this time is still to come.' };
		const filled_ms = Math.max(...bottles.map((b) => Date.parse(b.filledAt ?? '')).filter(Number.isFinite));
		if (at_ms < filled_ms)
			return {
				why: `A bottle in it was filled after that, on ${sayDay(filled_ms, timeZone)}, ${sayTime(filled_ms, timeZone)}.`
			};
		const path = leftPath(box);
		const lab = (await couriered(tx, who.programId)).find((l) => l.id === box.labId);
		const lines = atEach(bottles, {
			[`${path}/from`]: who.name,
			[`${path}/to`]: courier,
			[`${path}/seal`]: seal,
			[`${path}/note`]: `Box ${box.code} to ${box.lab}`,
			[`${path}/at`]: new Date(at_ms).toISOString()
		});
		const ahead = lab ? journeyAhead(lab, at_ms, timeZone) : null;
		return {
			entries: await officeEntries(tx, who, lines, now_ms),
			set: {
				handedOverAt: new Date(at_ms),
				handedOverBy: who.id,
				courier,
				seal,
				expectedAt: ahead && new Date(ahead.by_ms)
			}
		};
	});

/** The lab says when it came, and how warm it was. */
export const arrive = (
	db: Db,
	who: Membership,
	id: string,
	{ at_ms, temperature_C }: { at_ms: number; temperature_C: number | null },
	now_ms: number
): Promise<Done> =>
	pass(db, who, id, now_ms, async (tx, box, bottles) => {
		if (!box.handedOverAt) return { why: 'This box has not left yet.' };
		if (box.arrivedAt) return { why: 'It has arrived already, as somebody said.' };
		const why = whyNotThere(at_ms, +box.handedOverAt, now_ms + AHEAD_ms, who.program.timeZone);
		if (why !== null) return { why };
		const at = new Date(at_ms).toISOString();
		const path = cameTo(box);
		const read = temperature_C === null ? [] : [temperature_C];
		const lines: OfficeLine[] = [
			...atEach(bottles, { [`${path}/from`]: box.courier, [`${path}/to`]: box.lab, [`${path}/at`]: at }),
			...visitsOf(bottles).flatMap((visitId) =>
				read.map((value) => ({ visitId, path: `${path}/temperature_C`, value }))
			),
			...bottles.flatMap(({ visitId, id: bottle }) => [
				{ visitId, path: `bottles/${bottle}/atLabAt`, value: at },
				...read.map((value) => ({ visitId, path: `bottles/${bottle}/received/temperature_C`, value }))
			])
		];
		return {
			entries: await officeEntries(tx, who, lines, now_ms),
			set: { arrivedAt: new Date(at_ms), arrived_C: temperature_C }
		};
	});

/** It was a slip: the last thing that was said of the box is struck. */
export const takeBack = (db: Db, who: Membership, id: string, now_ms: number): Promise<Done> =>
	pass(db, who, id, now_ms, async (tx, box, bottles) => {
		if (!box.handedOverAt) return { why: 'Nothing has been said of this box yet.' };
		const [path, said] = box.arrivedAt ? [cameTo(box), arrivedSaid] : [leftPath(box), leftSaid];
		const places = [
			...visitsOf(bottles).flatMap((visitId) => said.map((name) => ({ visitId, path: `${path}/${name}` }))),
			...(box.arrivedAt
				? bottles.flatMap(({ visitId, id: bottle }) =>
						['atLabAt', 'received/temperature_C'].map((name) => ({ visitId, path: `bottles/${bottle}/${name}` }))
					)
				: [])
		];
		return {
			entries: await officeStrikes(tx, who, places, 'It was a slip', now_ms),
			set: box.arrivedAt
				? { arrivedAt: null, arrived_C: null }
				: { handedOverAt: null, handedOverBy: null, expectedAt: null }
		};
	});

const leftSaid = ['from', 'to', 'seal', 'note', 'at'];
const arrivedSaid = ['from', 'to', 'at', 'temperature_C'];
