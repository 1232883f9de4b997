import { weekday } from '../../core/schedule';
import type { Db } from '../db/connect';
import { membershipsOf } from '../db/queries/members';
import { dayNumber, instantAt } from '../plan/local-day';
import { bottlesToSend } from '../shipments/bottles';
import { handOver } from '../shipments/hand-over';
import { changeShipment, couriered, startShipment } from '../shipments/shipments';
import { packing } from '../../core/custody';
import { OUTSIDE_LAB } from './plan';
import type { Cast } from './reference-data';

const AT_TWO = 14 * 60;

/**
 * Bottles for the lab that is far, given to its courier on the last working day before now; what was filled since
 * waits.
 */
export async function boxOnItsWay(tx: Db, { programId, writers, now_ms }: Cast): Promise<void> {
	const bench = writers.get('BO')!.member;
	const who = (await membershipsOf(tx, bench.userId)).find((m) => m.programId === programId)!;
	const { timeZone } = who.program;
	let day = dayNumber(now_ms, timeZone) - 1;
	while ([0, 6].includes(weekday(day))) day--;
	const left_ms = instantAt(day, AT_TWO, timeZone);
	const lab = (await couriered(tx, programId)).find((l) => l.name === OUTSIDE_LAB)!;
	const bottles = (await bottlesToSend(tx, programId, now_ms)).filter(
		(b) => b.kind === 'nutrients' && Date.parse(b.filledAt!) < left_ms
	);
	const said = await startShipment(tx, who, { labId: lab.id, chosen: bottles }, left_ms);
	if ('why' in said) throw new RangeError(`the demo packs a box that is refused: ${said.why}`);
	for (const step of packing) await changeShipment(tx, who, said.id, { step, isDone: true }, left_ms);
	const refused = await handOver(
		tx,
		who,
		said.id,
		{ courier: 'Fell and Moor carriers', seal: '40118', at_ms: left_ms },
		now_ms
	);
	if (refused) throw new RangeError(`the demo sends a box that is refused: ${refused.why}`);
}
