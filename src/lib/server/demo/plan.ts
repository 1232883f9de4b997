import { v7 } from 'uuid';
import type { Db } from '../db/connect';
import { animal, circuit, consumable, drive, gear, ownParameter, place, round, sampler } from '../db/schema';
import { teams, type Team } from './season';

/*
 * The demo's plan: a depot, two benches and a lab that is far, drives that were timed, a circuit for each team, the
 * next round and a refused date.
 */

const DAY_ms = 86_400_000;
const hours = (opens_min: number, closes_min: number, weekdays: number[]) =>
	weekdays.map((weekday) => ({ weekday, opens_min, closes_min }));

/** A laboratory that does not exist, for what a bench cannot do. */
export const OUTSIDE_LAB = 'Ostrel laboratory';

const places = [
	{ kind: 'depot', name: 'Boathouse', latitude: 48.352, longitude: -27.288, hours: [], bottlesADay: 0, bench_min: 0 },
	{
		kind: 'lab',
		name: 'Quillon bench',
		latitude: 48.262,
		longitude: -27.18,
		hours: hours(12 * 60, 15 * 60 + 30, [1, 2, 3, 4, 5]),
		bottlesADay: 12,
		bench_min: 85,
		analyses: ['bacteria', 'nutrients']
	},
	{
		kind: 'lab',
		name: 'Sarn bench',
		latitude: 48.318,
		longitude: -27.25,
		hours: hours(13 * 60, 16 * 60, [2, 4]),
		bottlesADay: 6,
		bench_min: 25,
		analyses: ['bacteria']
	},
	{
		kind: 'lab',
		name: OUTSIDE_LAB,
		latitude: 48.71,
		longitude: -26.64,
		hours: hours(8 * 60, 17 * 60, [1, 2, 3, 4, 5]),
		bottlesADay: 60,
		bench_min: 0,
		analyses: ['nutrients'],
		arrives: 'couriered',
		pickUps: hours(9 * 60, 15 * 60 + 30, [1, 2, 3, 4, 5]),
		transit_days: 2,
		address: 'Receiving, 4 Kiln Yard, Ostrel'
	}
] as const;

/** Minutes that somebody has timed, by code or name; all else is guessed from position. */
const timed: readonly [string, string, number][] = [
	['Boathouse', 'QU1', 22],
	['Boathouse', 'TE4', 18],
	['Boathouse', 'TE5', 31],
	['QU1', 'TE4', 9],
	['TE4', 'TE5', 17],
	['TE5', 'Quillon bench', 46],
	['TE4', 'Quillon bench', 52],
	['QU1', 'Quillon bench', 58]
];

const circuits: Record<Team, { water: string; needs: string[]; most_days: number }> = {
	Upper: { water: 'upper Tessel', needs: ['trained crew'], most_days: 37 },
	Middle: { water: 'Ebbin Run', needs: ['trained crew'], most_days: 37 },
	Lower: { water: 'lower Tessel', needs: ['trained crew'], most_days: 37 }
};

export interface DemoPlan {
	programId: string;
	newId: () => string;
	sites: readonly { id: string; code: string; team: Team }[];
	streamIds: ReadonlyMap<string, string>;
	teamIds: Record<Team, string>;
	cardId: string;
	now_ms: number;
}

export async function placesAndCircuits(
	tx: Db,
	{ programId, newId, sites, streamIds, teamIds, cardId, now_ms }: DemoPlan
): Promise<Record<Team, string>> {
	const placed = places.map((p) => ({
		...p,
		hours: [...p.hours],
		analyses: 'analyses' in p ? [...p.analyses] : [],
		pickUps: 'pickUps' in p ? [...p.pickUps] : [],
		programId,
		// drawn from no chance: what the demo draws after it stays as it was before there was such a lab
		id: p.name === OUTSIDE_LAB ? v7() : newId()
	}));
	await tx.insert(place).values(placed);
	const idOf = (word: string) => (sites.find((s) => s.code === word) ?? placed.find((p) => p.name === word))!.id;
	await tx
		.insert(drive)
		.values(timed.map(([from, to, minutes]) => ({ programId, fromId: idOf(from), toId: idOf(to), minutes })));
	await tx.insert(consumable).values([
		{ programId, id: newId(), what: 'Phosphate colour kit, second reagent', expiresOn: dateIn(now_ms, -20) },
		{ programId, id: newId(), what: 'pH buffer 7', expiresOn: dateIn(now_ms, 210) },
		{ programId, id: newId(), what: 'Conductivity standard 1413 µS/cm', expiresOn: dateIn(now_ms, 95) }
	]);
	// defined, and in no card yet: to be chosen in a step
	await tx.insert(ownParameter).values({
		programId,
		id: v7(),
		code: 'chlorophyll-a',
		name: 'Chlorophyll a',
		unit: 'ug_L',
		decimals: 1,
		possibleLow: 0,
		possibleHigh: 1000,
		plausibleLow: 0.2,
		plausibleHigh: 60,
		ways: ['meter']
	});
	// a snail that is told apart beyond its family, and a family that is not told from another any more
	await tx.insert(animal).values([
		{
			programId,
			id: v7(),
			code: 'Potamopyrgus',
			name: 'mud snail',
			rank: 'genus',
			partOf: 'Hydrobiidae',
			otherNames: ['Tateidae'],
			because: 'It comes with boots and nets: each find is worth knowing.'
		},
		{
			programId,
			id: v7(),
			code: 'Acroloxidae',
			name: 'lake limpet',
			rank: 'family',
			partOf: 'Gastropoda',
			countsAs: 'Ancylidae',
			because: 'Not told from the river limpet at a tray; one kind since spring 2025.'
		}
	]);
	await tx.insert(gear).values([
		{
			programId,
			id: v7(),
			what: 'Kick net, 500 µm',
			teamId: teamIds.Lower,
			wetIn: streamIds.get('Tessel')!,
			wetOn: dateIn(now_ms, -3)
		},
		{
			programId,
			id: v7(),
			what: 'Chest waders, spare pair',
			wetIn: streamIds.get('Ebbin Run')!,
			wetOn: dateIn(now_ms, -4),
			disinfectedOn: dateIn(now_ms, -4)
		},
		{ programId, id: v7(), what: 'Churn splitter' }
	]);
	await tx.insert(sampler).values([
		{
			programId,
			id: v7(),
			code: 'LB-4',
			siteId: idOf('EB1'),
			kind: 'leaf bag',
			outOn: dateIn(now_ms, -12),
			note: 'Tied to the second willow stake.'
		},
		{ programId, id: v7(), code: 'PS-2', siteId: idOf('TE4'), kind: 'plate stack', outOn: dateIn(now_ms, -40) },
		{
			programId,
			id: v7(),
			code: 'PS-1',
			siteId: idOf('TE5'),
			kind: 'plate stack',
			outOn: dateIn(now_ms, -70),
			liftedOn: dateIn(now_ms, -6),
			note: 'Lost: the cord was cut in high water.'
		}
	]);
	const ids = Object.fromEntries(teams.map((t) => [t, newId()])) as Record<Team, string>;
	await tx.insert(circuit).values(
		teams.map((t) => ({
			programId,
			id: ids[t],
			name: `${t} round`,
			teamId: teamIds[t],
			cardId,
			siteIds: sites.filter((s) => s.team === t).map((s) => s.id),
			depotId: idOf('Boathouse'),
			labId: idOf('Quillon bench'),
			weekdays: [1, 2, 3, 4, 5],
			least_days: 15,
			aim_days: 30,
			crew: 2,
			earliestStart_min: 7 * 60 + 30,
			latestStart_min: 11 * 60,
			...circuits[t]
		}))
	);
	return ids;
}

/** A season that is half done, whatever the day. */
export const seasonOf = (now_ms: number): { from: string; to: string } => ({
	from: dateIn(now_ms, -130),
	to: dateIn(now_ms, 205)
});

export const dateIn = (now_ms: number, days: number): string =>
	new Date(now_ms + days * DAY_ms).toISOString().slice(0, 10);

/** A date of the Lower team that was refused at the water's edge. */
export async function refusedDate(
	tx: Db,
	of: Omit<typeof round.$inferInsert, 'startsAt' | 'refusedBecause'>,
	now_ms: number
): Promise<void> {
	const startsAt = new Date(Math.floor((now_ms - 6 * DAY_ms) / DAY_ms) * DAY_ms + (8 * 60 + 40) * 60_000);
	await tx.insert(round).values({
		...of,
		startsAt,
		refusedBecause:
			'High water after two days of rain: over the wading limit at Tessel 4, and the bank at Quarl 1 was under water.'
	});
}
