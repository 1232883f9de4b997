import { eq, sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import { CountMapping, writesOf, type PlannedSample } from '../../core/animal-counts';
import { stepsOf } from '../../core/subjects/steps';
import type { Opening } from '../../core/subjects/whole-visit/branch';
import type { Db } from '../db/connect';
import { ownAnimalsOf } from '../db/queries/own-animals';
import { cardBodies } from '../db/queries/card-bodies';
import type { Membership } from '../db/queries/members';
import { changeSettings, settingsOf } from '../db/queries/program-settings';
import { site } from '../db/schema';
import { todayOf } from '../library/keep';
import { dayOfDate, instantAt } from '../plan/local-day';
import { officeEntries, type OfficeLine } from '../sync/office-lines';
import { receiveOwn } from '../sync/receive';
import { rememberedBeside } from '../threads/remembered';
import type { CountsRead } from './read';
import { traysOf } from './trays';

/** A file as the page sends it, and what was said of it. */
export interface Brought {
	text: string;
	/** Whose counts they are, and which. */
	from: string;
	mapping: CountMapping;
	/** The card of visits that are opened for samples of days that have none. */
	opensBy: string | null;
}

/** What was looked at is written a moment later: as long as no tray has changed, it is what was read then. */
const readBeside = rememberedBeside('animal-counts', 4);
const NOON_min = 12 * 60;

/** What a file of counts would write, by what was said of its words. Nothing is written. */
export async function lookAtCounts(
	db: Db,
	who: Membership,
	{ text, mapping, opensBy }: Omit<Brought, 'from'>,
	now_ms: number
): Promise<CountsRead | { why: string }> {
	// one after the other: within a transaction there is one connection
	const trays = await traysOf(db, who);
	const sites = await db.select({ code: site.code }).from(site).where(eq(site.programId, who.programId));
	const card = opensBy === null ? undefined : (await cardBodies(db, who.programId, [opensBy])).get(opensBy);
	const [step] = card ? stepsOf(card, 'tray') : [];
	if (opensBy !== null && !step) return { why: 'This card sorts no tray of animals. Choose another.' };
	return readBeside(text, {
		mapping,
		animals: await ownAnimalsOf(db, who.programId),
		trays,
		sites: sites.map((s) => s.code.toUpperCase()),
		today: todayOf(who, now_ms),
		opensAs: step?.school ?? null
	});
}

export type Taken = { written: number; animals: number } | { why: string };
/** A line that the logbook refuses takes all others of its file back with it. */
class NotTaken extends Error {}

/**
 * Writes the counts of a file into the logbooks of their visits, all of them or none, if they are those that were
 * looked at; and remembers what its words mean.
 */
export async function takeCounts(
	db: Db,
	who: Membership,
	brought: Brought & { confirmed: string },
	now_ms: number
): Promise<Taken> {
	try {
		return await db.transaction((tx) => takeIn(tx, who, brought, now_ms));
	} catch (trouble) {
		if (trouble instanceof NotTaken) return { why: trouble.message };
		throw trouble;
	}
}

async function takeIn(
	tx: Db,
	who: Membership,
	brought: Brought & { confirmed: string },
	now_ms: number
): Promise<Taken> {
	await alone(tx, who.programId);
	const looked = await lookAtCounts(tx, who, brought, now_ms);
	if ('why' in looked) return looked;
	if (looked.fingerprint !== brought.confirmed)
		return { why: 'Something has changed since you looked. Nothing was written; look again.' };
	const samples = looked.samples.filter((s) => s.verdict === 'new' || s.verdict === 'opens');
	if (samples.length === 0) return { why: 'Nothing of this file can be written as it stands.' };
	const lines = await linesOf(tx, who, samples, brought, now_ms);
	const entries = await officeEntries(tx, who, lines, now_ms);
	const { refused } = await receiveOwn(tx, who, entries, now_ms);
	if (refused[0]) throw new NotTaken(`${refused[0].path}: ${refused[0].why}. Nothing was written.`);
	// what nobody gave a meaning is not asked about again
	const unsaid = Object.fromEntries(looked.unknown.map(({ heading }) => [heading, '' as const]));
	const headings = { ...unsaid, ...brought.mapping.headings };
	await changeSettings(tx, who.programId, () => ({ countMapping: { ...brought.mapping, headings } }));
	return { written: samples.length, animals: samples.reduce((sum, s) => sum + s.animals, 0) };
}

/** One file after the other: two that are brought in at once must not both find a tray empty. */
export const alone = (tx: Db, programId: string) =>
	tx.execute(sql`select pg_advisory_xact_lock(hashtext(${`animal counts ${programId}`}))`);

async function linesOf(
	tx: Db,
	{ programId, program: { timeZone } }: Membership,
	samples: readonly PlannedSample[],
	{ from, opensBy }: Brought,
	now_ms: number
): Promise<OfficeLine[]> {
	const sites = await tx.select({ id: site.id, code: site.code }).from(site).where(eq(site.programId, programId));
	const idOf = new Map(sites.map((s) => [s.code.toUpperCase(), s.id]));
	const card = opensBy === null ? undefined : (await cardBodies(tx, programId, [opensBy])).get(opensBy);
	const at = new Date(now_ms).toISOString();
	return samples.flatMap((sample) => {
		const place = sample.at!;
		if ('visitId' in place)
			return writesOf(sample, place.step, { from, at }).map((w) => ({ visitId: place.visitId, ...w }));
		const visitId = v7();
		const opened: Opening = {
			siteId: idOf.get(place.site)!,
			cardVersionId: opensBy!,
			// nobody knows the hour; of today's samples none was taken later than now
			startedAt: new Date(Math.min(now_ms, instantAt(dayOfDate(place.day), NOON_min, timeZone))).toISOString()
		};
		const step = stepsOf(card!, 'tray')[0]!.id;
		return [
			{ visitId, path: 'opening', value: opened },
			...writesOf(sample, step, { from, at }).map((w) => ({ visitId, ...w }))
		];
	});
}

/** What the words of such files were said to mean before. */
export async function countMappingOf(db: Db, programId: string): Promise<CountMapping> {
	return CountMapping.parse((await settingsOf(db, programId)).countMapping ?? {});
}
