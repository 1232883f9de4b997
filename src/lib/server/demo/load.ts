import { animalVisits } from './animals';
import { handIn } from './hand-in';
import { eq, sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { Entry } from '../../core/logbook';
import { fullVisit } from '../../core/method';
import { addUser } from '../auth/library';
import type { Db } from '../db/connect';
import { member, methodCard, methodCardVersion, program, round as roundTable, user } from '../db/schema';
import { kitOf } from './instruments';
import { platesOnTheShelf } from './plates';
import { reportFromOutside } from './outside-lab';
import { DEMO_PASSWORD, emailOf, people } from './people';
import { refusedDate } from './plan';
import { referenceData, roundStart, SEED, type Cast } from './reference-data';
import { reviewVisits } from './reviews';
import {
	FORGOTTEN_PROBE_days,
	incidents,
	roundDays,
	SECOND_VERSION_days,
	stormDaysAgo,
	teams,
	type Team
} from './season';
import { takePhoto } from '../photos/photos';
import { boxOnItsWay } from './shipments';
import { splitSample } from './split-samples';
import { visitsUnderWay } from './under-way';
import { benchEntries, visitEntries } from './visit-entries';
import { seededId, type VisitPlan, type Writer } from './logbook-writer';
import { truthAt, weather } from './water-model';

const MINUTE_ms = 60_000;
const HOUR_ms = 60 * MINUTE_ms;
const DAY_ms = 24 * HOUR_ms;

/**
 * Loads the demo: an invented catchment, its people and three years of visits, every line of which goes through the
 * same door as a real one. All or nothing, and nothing when it is there already. `onProgress` hears the share that is
 * done.
 */
export async function loadDemo(
	db: Db,
	now_ms: number,
	onProgress: (share: number) => void
): Promise<'loaded' | 'there already'> {
	if ((await db.select({ id: program.id }).from(program).where(eq(program.isDemo, true))).length)
		return 'there already';
	const userIds = await demoUsers(db);
	await db.transaction(async (tx) => {
		const cast = await referenceData(tx, userIds, now_ms);
		const plans = planRounds(cast);
		for (let i = 0; i < plans.length; i += ROUNDS_AT_ONCE) {
			await writeRounds(tx, cast, plans.slice(i, i + ROUNDS_AT_ONCE));
			onProgress(Math.min(1, (i + ROUNDS_AT_ONCE) / plans.length));
		}
		await comingRounds(tx, cast);
		await fullVisitsNow(tx, cast);
		await animalVisits(tx, cast);
		const shelf = platesOnTheShelf(cast);
		await handIn(tx, cast, shelf.entries, now_ms);
		for (const { visitId, sha256, jpeg } of shelf.photos) {
			const of = { visit: visitId, mediaType: 'image/jpeg' } as const;
			const taken = await takePhoto(tx, cast.writers.get('SO')!.member, sha256, of, jpeg, now_ms);
			if (!taken.ok) throw new RangeError(`the demo has a photo that is refused: ${taken.why}`);
		}
		await boxOnItsWay(tx, cast);
		await reportFromOutside(tx, cast.programId, now_ms);
		await reviewVisits(tx, cast.programId, cast.writers.get('RH')!, now_ms, cast.chance);
		for (const { member: m, leftDaysAgo } of cast.writers.values())
			if (leftDaysAgo !== undefined)
				await tx
					.update(member)
					.set({ removedAt: new Date(now_ms - leftDaysAgo * DAY_ms) })
					.where(eq(member.id, m.id));
	});
	return 'loaded';
}

async function demoUsers(db: Db): Promise<Map<string, string>> {
	const ids = new Map<string, string>();
	for (const person of people) {
		const email = emailOf(person);
		const [there] = await db.select({ id: user.id }).from(user).where(eq(user.email, email));
		ids.set(person.initials, there?.id ?? (await addUser(db, { email, name: person.name, password: DEMO_PASSWORD })));
	}
	return ids;
}

interface RoundPlan {
	id: string;
	team: Team;
	startsAt_ms: number;
	visits: VisitPlan[];
}

const cardAt = ({ cards, now_ms }: Cast, at_ms: number) =>
	at_ms < now_ms - SECOND_VERSION_days * DAY_ms ? cards[0]! : cards[1]!;

/** Rounds that are handed in together; fewer would only take longer. */
const ROUNDS_AT_ONCE = 12;
const BETWEEN_SITES_ms = 104 * MINUTE_ms;
const NOW_ON_SITE_min = 26;

function planRounds(cast: Cast): RoundPlan[] {
	const { chance, now_ms } = cast;
	const w = weather(SEED + 1, 1200, stormDaysAgo);
	const rounds = teams.flatMap((name) =>
		roundDays(name, now_ms).map((daysAgo, i, all) => ({ name, daysAgo, back: all.length - 1 - i }))
	);
	rounds.sort((a, b) => b.daysAgo - a.daysAgo);
	return rounds.map(({ name, daysAgo, back }) => {
		const startsAt_ms = roundStart(now_ms, daysAgo);
		const id = seededId(startsAt_ms - DAY_ms, chance);
		const onDay = cast.sites.filter(
			(s) => s.team === name && !(daysAgo === 0 && s.code === 'TE3') && incidents[s.code]?.[back] !== 'missed'
		);
		const visits = onDay.map((place, i): VisitPlan => {
			const startedAt_ms = startsAt_ms + i * BETWEEN_SITES_ms;
			const incident = incidents[place.code]?.[back];
			return {
				id: seededId(startedAt_ms, chance),
				site: place,
				cardVersion: cardAt(cast, startedAt_ms),
				roundId: id,
				startedAt_ms,
				crew: crewFor(cast, name, back, daysAgo),
				kit: kitOf[name],
				backAfter_min: 60 * 8,
				truth: truthAt(place, startedAt_ms, daysAgo, Math.min(1, daysAgo / 1080), w, chance),
				oxygenDrift:
					name === 'Middle' && daysAgo < FORGOTTEN_PROBE_days ? 0.085 * (1 - daysAgo / FORGOTTEN_PROBE_days) : 0,
				...(daysAgo === 0 && place.code === 'EB1' ? { stopAfter_min: NOW_ON_SITE_min - 8 } : {}),
				...(back === 0 && place.code === 'TE2' ? { leavesGearWet: true } : {}),
				...(incident && incident !== 'missed' ? { incident } : {})
			};
		});
		return { id, team: name, startsAt_ms, visits };
	});
}

function crewFor({ writers }: Cast, name: Team, back: number, daysAgo: number): [Writer, Writer] {
	const there = [...writers.values()].filter(
		(p) => p.team === name && (p.leftDaysAgo === undefined || p.leftDaysAgo < daysAgo)
	);
	return [there[back % there.length]!, there[(back + 1) % there.length]!];
}

/**
 * The lines of some rounds, each handed in by who wrote it: first those of the visits they opened, then those of
 * others' visits.
 */
async function writeRounds(tx: Db, cast: Cast, rounds: readonly RoundPlan[]): Promise<void> {
	await tx.insert(roundTable).values(
		rounds.map((r) => ({
			programId: cast.programId,
			id: r.id,
			name: `${r.team} round`,
			startsAt: new Date(r.startsAt_ms),
			teamId: cast.teamIds[r.team],
			cardVersionId: cardAt(cast, r.startsAt_ms).id,
			siteIds: cast.sites.filter((s) => s.team === r.team).map((s) => s.id),
			circuitId: cast.circuitIds[r.team],
			crewIds: r.visits[0]?.crew.map((w) => w.id) ?? []
		}))
	);
	const lines = rounds.flatMap((r) => linesOf(cast, r));
	const received_ms = Math.min(cast.now_ms, Math.max(...rounds.map((r) => r.startsAt_ms)) + 5 * DAY_ms);
	await handIn(tx, cast, lines, received_ms);
	await tx.execute(sql`analyze entry, result, visit, flag`); // the planner does not see by itself how fast these grow
}

function linesOf({ chance, now_ms, writers }: Cast, round: RoundPlan): Entry[] {
	const lastLeft_ms = Math.max(round.startsAt_ms, ...round.visits.map((v) => v.startedAt_ms + HOUR_ms));
	const atLab_ms = (v: VisitPlan) => {
		if (round.startsAt_ms > now_ms - DAY_ms) return Infinity;
		if (v.incident === 'late-to-lab') return v.startedAt_ms + 9.3 * HOUR_ms;
		return Math.min(lastLeft_ms + 35 * MINUTE_ms, v.startedAt_ms + 5.7 * HOUR_ms);
	};
	return round.visits.flatMap((v) => [
		...visitEntries(v, chance),
		...benchEntries(v, writers.get('BO')!, atLab_ms(v), now_ms, chance),
		...splitSample(v, writers.get('BO')!, atLab_ms(v), now_ms)
	]);
}

/** The card for a full visit, and the visits that are going on with it. */
async function fullVisitsNow(tx: Db, cast: Cast): Promise<void> {
	const { programId, sites: all, writers, now_ms } = cast;
	const [cardId, versionId] = [v7(), v7()];
	await tx.insert(methodCard).values({ programId, id: cardId, code: fullVisit.code });
	await tx.insert(methodCardVersion).values({
		programId,
		id: versionId,
		cardId,
		version: fullVisit.version,
		body: fullVisit,
		inUseSince: new Date(now_ms - 100 * DAY_ms)
	});
	const lines = visitsUnderWay({ sites: all, writers, cardVersionId: versionId, now_ms });
	await handIn(tx, cast, lines, now_ms);
}

/** What is planned next, so that Today has something to say. */
async function comingRounds(
	tx: Db,
	{ programId, sites: all, cards, teamIds, circuitIds, writers, chance, now_ms }: Cast
): Promise<void> {
	const of = (name: Team) => {
		const on = all.filter((s) => s.team === name);
		return {
			programId,
			id: seededId(now_ms, chance),
			name: `${name} round`,
			teamId: teamIds[name],
			cardVersionId: cards[1]!.id,
			siteIds: on.map((s) => s.id),
			circuitId: circuitIds[name],
			crewIds: [...writers.values()]
				.filter((w) => w.team === name && w.leftDaysAgo === undefined)
				.slice(0, 2)
				.map((w) => w.id),
			quality:
				name === 'Lower'
					? [
							{ siteId: on.at(-1)!.id, kind: 'duplicate' as const },
							{ siteId: on[0]!.id, kind: 'blank' as const }
						]
					: []
		};
	};
	const coming: [Team, number][] = [
		['Lower', 1],
		['Upper', 18]
	];
	for (const [name, inDays] of coming)
		await tx
			.insert(roundTable)
			.values({ ...of(name), startsAt: new Date(roundStart(now_ms, -weekdayFrom(now_ms, inDays))) });
	await refusedDate(tx, of('Lower'), now_ms);
}

/** Days ahead, put off over a weekend, when no lab takes bottles. */
const weekdayFrom = (now_ms: number, inDays: number): number =>
	inDays + [1, 0, 0, 0, 0, 0, 2][new Date(now_ms + inDays * DAY_ms).getUTCDay()]!;
