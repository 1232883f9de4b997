import { and, eq } from 'drizzle-orm';
import { z } from 'zod';
import { BoxWord, type Box, type KnownBoxes } from '../../core/custody';
import type { Db } from '../db/connect';
import type { Membership } from '../db/queries/members';
import { shipmentWord } from '../db/schema';
import { bottlesIn, bottlesToSend } from './bottles';
import { arrive, handOver, takeBack } from './hand-over';
import { journeysAhead } from './journey';
import {
	alone,
	changeShipment,
	couriered,
	GONE,
	shipmentsInSight,
	startShipment,
	unpack,
	type Place
} from './shipments';

/* Boxes are packed in cellars: what was done there is told once there is a network, and done here in its order. */

/** Each word is read by itself: one that cannot be read must not stand before those after it for ever. */
export const BoxWords = z.object({
	words: z.array(z.looseObject({ id: z.uuid().toLowerCase() })).max(200, 'at most 200 words at a time')
});
type AsSent = z.infer<typeof BoxWords>['words'][number];

type Refused = { id: string; why: string };

/** Does what was said, each word once; answers with what could not be done, and how the boxes stand now. */
export async function hearOfBoxes(
	db: Db,
	who: Membership,
	words: readonly AsSent[],
	now_ms: number
): Promise<{ refused: Refused[]; known: KnownBoxes }> {
	const refused: Refused[] = [];
	for (const word of words) {
		const read = BoxWord.safeParse(word);
		const why = read.success ? await hear(db, who, read.data, now_ms) : `${UNREAD} (${saidOf(read.error)})`;
		if (why !== null) refused.push({ id: word.id, why });
	}
	return { refused, known: await knownBoxes(db, who, now_ms) };
}

const UNREAD = 'The server does not understand what was done to a box here. Load this page again, and do it once more.';
const saidOf = ({ issues }: z.ZodError): string => `${issues[0]!.path.join('.')}: ${issues[0]!.message}`;

const hear = (db: Db, who: Membership, word: BoxWord, now_ms: number): Promise<string | null> =>
	db.transaction(async (tx) => {
		await alone(tx, who.programId);
		const { refusedBecause } = shipmentWord;
		const [before] = await tx
			.select({ refusedBecause })
			.from(shipmentWord)
			.where(and(eq(shipmentWord.programId, who.programId), eq(shipmentWord.id, word.id)));
		if (before) return before.refusedBecause;
		const why = await done(tx, who, word, now_ms);
		await tx.insert(shipmentWord).values({
			programId: who.programId,
			id: word.id,
			heardAt: new Date(now_ms),
			byMemberId: who.id,
			refusedBecause: why
		});
		return why;
	});

/** Does it; why it could not be done, or not wholly. */
async function done(tx: Db, who: Membership, word: BoxWord, now_ms: number): Promise<string | null> {
	const { box } = word;
	const at_ms = Date.parse(word.at);
	switch (word.does) {
		case 'start':
			return ofThoseThatWait(tx, who, word.bottles, now_ms, (chosen) =>
				startShipment(tx, who, { id: box, labId: word.labId, chosen }, packedAt_ms(at_ms, now_ms))
			);
		case 'put-in':
			return ofThoseThatWait(tx, who, word.bottles, now_ms, (put) => changeShipment(tx, who, box, { put }, now_ms));
		case 'take-out':
			return whyNot(await changeShipment(tx, who, box, { takeOut: word.bottle }, now_ms));
		case 'pack':
			return whyNot(await changeShipment(tx, who, box, word, now_ms));
		case 'unpack':
			return (await unpack(tx, who, box)) ? null : GONE;
		case 'hand-over':
			return whyNot(await handOver(tx, who, box, { ...word, at_ms }, now_ms));
		case 'arrive':
			return whyNot(await arrive(tx, who, box, { ...word, at_ms }, now_ms));
		case 'take-back':
			return whyNot(await takeBack(tx, who, box, now_ms));
	}
}

/** A box is named by the day on which it was packed; a clock that is weeks off, or ahead, does not name it. */
const packedAt_ms = (at_ms: number, now_ms: number): number =>
	at_ms <= now_ms && at_ms > now_ms - TOLD_WITHIN_ms ? at_ms : now_ms;
const TOLD_WITHIN_ms = 21 * 86_400_000;

const whyNot = (said: object | null): string | null => (said && 'why' in said ? String(said.why) : null);

/** Bottles were divided between two cellars: those that still wait go in, of the others it is said where they are. */
async function ofThoseThatWait(
	tx: Db,
	who: Membership,
	chosen: readonly Place[],
	now_ms: number,
	deed: (waiting: Place[]) => Promise<object | null>
): Promise<string | null> {
	const waiting = await bottlesToSend(tx, who.programId, now_ms);
	const isWaiting = (c: Place) => waiting.some((b) => b.visitId === c.visitId && b.id === c.id);
	const lost = chosen.filter((c) => !isWaiting(c));
	if (lost.length === chosen.length)
		return 'These bottles are in another box by now, or at a lab. Look again at what waits.';
	const why = whyNot(await deed(chosen.filter(isWaiting)));
	if (why !== null || lost.length === 0) return why;
	const n = lost.length === 1 ? 'One of these bottles is' : `${lost.length} of these bottles are`;
	return `${n} in another box by now, or at a lab: take out what does not stand in the list of this box.`;
}

/** Boxes that have not arrived, or have just, the bottles that wait, and where they can go. */
async function knownBoxes(db: Db, { programId, program }: Membership, now_ms: number): Promise<KnownBoxes> {
	const [shipments, waiting, labs] = await Promise.all([
		shipmentsInSight(db, programId, now_ms),
		bottlesToSend(db, programId, now_ms),
		couriered(db, programId)
	]);
	const boxes = await Promise.all(
		shipments.map(async ({ id, code, labId, lab, packed, courier, seal, ...when }): Promise<Box> => ({
			id,
			code,
			labId,
			lab,
			packed,
			courier,
			seal,
			handedOver_ms: when.handedOverAt && +when.handedOverAt,
			expected_ms: when.expectedAt && +when.expectedAt,
			arrived_ms: when.arrivedAt && +when.arrivedAt,
			arrived_C: when.arrived_C,
			bottles: await bottlesIn(db, programId, id)
		}))
	);
	return {
		boxes,
		waiting,
		labs: labs.map((lab) => ({
			id: lab.id,
			name: lab.name,
			analyses: [...lab.analyses],
			journeys: journeysAhead(lab, now_ms, program.timeZone)
		}))
	};
}
