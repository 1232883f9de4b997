import { eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import { database } from '../../src/lib/server/db/connect';
import type { Membership } from '../../src/lib/server/db/queries/members';
import { circuit, drive, methodCardVersion, place, round } from '../../src/lib/server/db/schema';
import { aProgram, now_ms } from './a-program';

const db = database();
const DAY_ms = 86_400_000;
const HOUR_ms = 3_600_000;
const today = Math.floor(now_ms / DAY_ms);

/** A program with a lab, a circuit over its one site, and a round planned in twelve days. */
export async function aPlan() {
	const program = await aProgram();
	const { programId, siteId, members, teams } = program;
	const who: Membership = {
		...members.coordinator,
		program: { id: programId, name: 'Test streams', timeZone: 'Etc/UTC', isDemo: false }
	};
	const [depotId, labId, circuitId, roundId] = [v7(), v7(), v7(), v7()];
	const at = { programId, latitude: 0.1, longitude: 0 };
	await db.insert(place).values([
		{ ...at, id: depotId, kind: 'depot', name: 'depot' },
		{
			...at,
			id: labId,
			kind: 'lab',
			name: 'lab',
			hours: [1, 2, 3, 4].map((weekday) => ({ weekday, opens_min: 720, closes_min: 960 })),
			bottlesADay: 5,
			bench_min: 20
		}
	]);
	await db.insert(drive).values({ programId, fromId: depotId, toId: siteId, minutes: 25 });
	const [card] = await db
		.select({ cardId: methodCardVersion.cardId })
		.from(methodCardVersion)
		.where(eq(methodCardVersion.programId, programId));
	await db.insert(circuit).values({
		programId,
		id: circuitId,
		name: 'Upper',
		teamId: teams[0],
		cardId: card!.cardId,
		siteIds: [siteId],
		water: 'Stream',
		depotId,
		labId,
		weekdays: [1, 2, 3, 4],
		least_days: 15,
		aim_days: 30,
		most_days: 37,
		crew: 2,
		earliestStart_min: 450,
		latestStart_min: 660
	});
	await db.insert(round).values({
		programId,
		id: roundId,
		name: 'Upper',
		startsAt: new Date((today + 12) * DAY_ms + 9 * HOUR_ms),
		teamId: teams[0],
		cardVersionId: program.cardVersionId,
		siteIds: [siteId],
		circuitId,
		crewIds: [members.monitor.id, members.coordinator.id]
	});
	return { program, who, roundId, circuitId, siteId };
}
