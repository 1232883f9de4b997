import { and, asc, desc, eq } from 'drizzle-orm';
import type { MethodCard } from '../../core/method';
import { usualDriveGuess } from '../../core/schedule';
import { stepsOf } from '../../core/subjects/steps';
import type { Db } from '../db/connect';
import { circuit, drive, methodCardVersion, place, program, site, team } from '../db/schema';
import { dayWorks } from './day-works';
import { dayQuestion, learnedLengths } from './round-day';

export type Circuit = typeof circuit.$inferSelect;
export type Site = typeof site.$inferSelect;

/** What a program has set up of that which its rounds are planned from. */
export interface Grounds {
	timeZone: string;
	settings: (typeof program.$inferSelect)['settings'];
	circuits: { circuit: Circuit; team: string }[];
	/** The latest version of each card. */
	cards: { card_id: string; body: MethodCard }[];
	places: (typeof place.$inferSelect)[];
	sites: Site[];
	siteOf: Map<string, Site>;
	/** Minutes of drives that somebody entered, by both ends. */
	entered: Map<string, number>;
	/** How long visits have taken. */
	learned: Awaited<ReturnType<typeof learnedLengths>>;
}

export async function readGrounds(db: Db, programId: string, timeZone: string): Promise<Grounds> {
	const [own] = await db.select({ settings: program.settings }).from(program).where(eq(program.id, programId));
	const circuits = await db
		.select({ circuit, team: team.name })
		.from(circuit)
		.innerJoin(team, and(eq(team.programId, circuit.programId), eq(team.id, circuit.teamId)))
		.where(eq(circuit.programId, programId))
		.orderBy(asc(circuit.name));
	const cards = await db
		.selectDistinctOn([methodCardVersion.cardId], { card_id: methodCardVersion.cardId, body: methodCardVersion.body })
		.from(methodCardVersion)
		.where(eq(methodCardVersion.programId, programId))
		.orderBy(methodCardVersion.cardId, desc(methodCardVersion.version));
	const sites = await db.select().from(site).where(eq(site.programId, programId));
	const drives = await db.select().from(drive).where(eq(drive.programId, programId));
	return {
		timeZone,
		settings: own!.settings,
		circuits,
		cards,
		places: await db.select().from(place).where(eq(place.programId, programId)),
		sites,
		siteOf: new Map(sites.map((s) => [s.id, s])),
		entered: new Map(drives.map((d) => [`${d.fromId} ${d.toId}`, d.minutes])),
		learned: await learnedLengths(db, programId, [...new Set(circuits.flatMap(({ circuit: c }) => c.siteIds))])
	};
}

export const cardOf = ({ cards }: Grounds, c: Circuit | undefined): MethodCard | undefined =>
	cards.find((card) => card.card_id === c?.cardId)?.body;

/** Bottles that a card has filled at each site; none where the circuit has no lab. */
export function bottlesASite(grounds: Grounds, c: Circuit): number {
	const card = cardOf(grounds, c);
	return c.labId === null || !card ? 0 : stepsOf(card, 'bottle').length;
}

/** Whether some order of these sites keeps what binds the day. That the lab is shut is a rule of its own. */
export function worksOn(grounds: Grounds, c: Circuit, siteIds: readonly string[], day: number): boolean {
	const { places, settings, siteOf, entered, learned, timeZone } = grounds;
	const card = cardOf(grounds, c);
	const depot = places.find((p) => p.id === c.depotId);
	const lab = places.find((p) => p.id === c.labId) ?? null;
	const sites = siteIds.flatMap((id) => siteOf.get(id) ?? []);
	if (!card || !depot || sites.length === 0) return true;
	const guess = settings.driveGuess ?? usualDriveGuess;
	const { question } = dayQuestion({ sites, depot, lab, entered, guess, learned, card, start: c, day, timeZone });
	return question.lab === null || dayWorks(question);
}
