import { v7 } from 'uuid';
import { expect } from 'vitest';
import { database } from '../../src/lib/server/db/connect';
import { membershipsOf } from '../../src/lib/server/db/queries/members';
import { place } from '../../src/lib/server/db/schema';
import { aDevice, anOpening, aProgram, now_ms, send } from './a-program';

const db = database();
export const filled_ms = now_ms - 20 * 3_600_000;
export const iso = (at_ms: number) => new Date(at_ms).toISOString();
const everyDay = [0, 1, 2, 3, 4, 5, 6].map((weekday) => ({ weekday, opens_min: 0, closes_min: 1439 }));

/** A program with bottles of these labels, one visit each, and a lab that a courier brings them to. */
export async function withBottles(...labels: (string | null)[]) {
	const { members, ...program } = await aProgram();
	const visits: string[] = [];
	for (const label of labels) {
		const visitId = v7();
		visits.push(visitId);
		const write = aDevice(members.monitor, visitId, filled_ms);
		const { refused } = await send(members.monitor, [
			write('opening', anOpening({ members, ...program }, filled_ms)),
			write('bottles/nutrients/kind', 'nutrients'),
			...(label === null ? [] : [write('bottles/nutrients/label', label)]),
			write('bottles/nutrients/filledAt', iso(filled_ms)),
			write('bottles/nutrients/preservedWith', 'sulphuric acid'),
			write('bottles/nutrients/onIceAt', iso(filled_ms))
		]);
		expect(refused).toEqual([]);
	}
	const labId = v7();
	await db.insert(place).values({
		programId: program.programId,
		id: labId,
		kind: 'lab',
		name: 'Millrace',
		latitude: 1,
		longitude: 1,
		arrives: 'couriered',
		hours: everyDay,
		pickUps: everyDay
	});
	const membership = async (role: 'bench' | 'coordinator') =>
		(await membershipsOf(db, members[role].userId)).find((m) => m.programId === program.programId)!;
	return { ...program, members, labId, visits, who: await membership('bench') };
}

export const all = (visits: readonly string[]) => visits.map((visitId) => ({ visitId, id: 'nutrients' }));
