import { stepsOf } from '../../core/subjects/steps';
import { and, eq, sql } from 'drizzle-orm';
import suncalc from 'suncalc';
import { z } from 'zod';
import { roundLabels, type BottleLabel } from '../../core/custody';
import { sayMinute } from '../../core/wording';
import type { MethodCard } from '../../core/method';
import {
	driveBetween,
	longestWithin,
	tideWindows,
	usualDriveGuess,
	weekday,
	type Alternatives,
	type DriveGuess,
	type RoundQuestion,
	type SoFar
} from '../../core/schedule';
import type { Hours } from '../../core/library';
import type { Sheet } from '../../core/logbook';
import type { Membership } from '../db/queries/members';
import type { Db } from '../db/connect';
import { instant, rowsOf, written, writtenNumber } from '../db/rows';
import { circuit, drive, methodCardVersion, place, program, round, site } from '../db/schema';
import { dateOfDay, dayNumber, dayOfDate, instantAt, minuteOfDay } from './local-day';

const VISIT_min = 60; // where no past visit tells better
const BOTTLE_min = 6;
const STEP_min = 5;
const VISITS_LEARNED_FROM = 12;
/** Holding limits by school, hours from the first bottle to plating. */
const SCHOOLS_h = [5, 6, 8, 24];

/** Everything the planner of one round's day works from. */
export interface RoundDay {
	id: string;
	name: string;
	teamId: string;
	day: number;
	start_min: number;
	/** The plan's order, as places in `question.stops`. */
	order: number[];
	crewIds: string[];
	quality: { siteId: string; kind: 'duplicate' | 'blank' }[];
	refusedBecause: string | null;
	/** Why it goes although a rule speaks against it. */
	despite: string;
	/** Labs that it could hand in at, and the one chosen instead of its circuit's. */
	labs: { id: string; name: string }[];
	ownLabId: string | null;
	sites: {
		id: string;
		code: string;
		name: string;
		about: string;
		hazards: string;
		directions: string;
		access: string;
		latitude: number;
		longitude: number;
		visitLearnedFrom: number;
	}[];
	/** Every site that it could go to, those of its circuit first. */
	couldGoTo: { id: string; code: string; name: string; isOwn: boolean }[];
	lab: string | null;
	/** The lab takes nothing that day: whatever is left of other limits, the bottles are lost. */
	isLabShut: boolean;
	depot: string;
	question: RoundQuestion;
	alternatives: Alternatives;
	/** Drives that nobody has timed. */
	guesses: number;
	card: MethodCard;
	soFar: SoFar | null;
}

/** The question of a round's day, or null when there is no such round or it has no circuit to start from. */
export async function loadRoundDay(
	db: Db,
	{ programId, program: { timeZone } }: Membership,
	roundId: string,
	now_ms: number
): Promise<RoundDay | null> {
	const row = await roundRow(db, programId, roundId);
	if (!row) return null;
	const known = await knownOfPlaces(db, programId, row.round.siteIds);
	const { all, places, entered, guess, learned } = known;
	const sites = row.round.siteIds.map((id) => all.find((s) => s.id === id)!);
	const depot = places.find((p) => p.id === row.circuit.depotId)!;
	const lab = places.find((p) => p.id === (row.round.labId ?? row.circuit.labId)) ?? null;
	const startsAt_ms = +row.round.startsAt;
	const day = dayNumber(startsAt_ms, timeZone);
	const asked = { sites, depot, lab, entered, guess, learned, card: row.card, start: row.circuit, day, timeZone };
	const { question, open, guesses } = dayQuestion(asked);
	const { id, name, teamId, crewIds, quality, refusedBecause, labId, despite } = row.round;
	return {
		...{ id, name, teamId, crewIds, quality, refusedBecause, despite, day, question, guesses },
		labs: places.filter((p) => p.kind === 'lab').map((p) => ({ id: p.id, name: p.name })),
		ownLabId: labId,
		start_min: minuteOfDay(startsAt_ms, timeZone),
		order: sites.map((_, i) => i),
		sites: sites.map((s) => ({ ...siteOf(s), visitLearnedFrom: learned.get(s.id)?.visits ?? 0 })),
		couldGoTo: sitesToChoose(all, row.circuit.siteIds),
		lab: lab?.name ?? null,
		isLabShut: lab !== null && open === null,
		depot: depot.name,
		alternatives: {
			labs: places.filter((p) => p.kind === 'lab').flatMap((p) => hoursAt(p, asked, open)),
			schools: SCHOOLS_h.map((h) => ({ name: `${h} h school`, holding_min: h * 60 }))
		},
		card: row.card,
		soFar: await soFarOf(db, programId, roundId, day, timeZone, now_ms)
	};
}

/** A round with its circuit and the version of its card. */
async function roundRow(db: Db, programId: string, roundId: string) {
	const [row] = await db
		.select({ round, circuit, card: methodCardVersion.body })
		.from(round)
		.innerJoin(circuit, and(eq(circuit.programId, round.programId), eq(circuit.id, round.circuitId)))
		.innerJoin(
			methodCardVersion,
			and(eq(methodCardVersion.programId, round.programId), eq(methodCardVersion.id, round.cardVersionId))
		)
		.where(and(eq(round.programId, programId), eq(round.id, roundId)));
	return row ?? null;
}

/** Sites and places, drives as they were timed or are guessed, and how long visits have taken. */
async function knownOfPlaces(db: Db, programId: string, siteIds: readonly string[]) {
	const drives = await db.select().from(drive).where(eq(drive.programId, programId));
	const [own] = await db.select({ settings: program.settings }).from(program).where(eq(program.id, programId));
	return {
		all: await db.select().from(site).where(eq(site.programId, programId)),
		places: await db.select().from(place).where(eq(place.programId, programId)),
		entered: new Map(drives.map((d) => [`${d.fromId} ${d.toId}`, d.minutes])),
		guess: own?.settings.driveGuess ?? usualDriveGuess,
		learned: await learnedLengths(db, programId, [...siteIds])
	};
}

type SiteRow = typeof site.$inferSelect;

const siteOf = ({ id, code, name, about, hazards, directions, access, latitude, longitude }: SiteRow) => ({
	id,
	code,
	name,
	about,
	hazards,
	directions,
	access,
	latitude,
	longitude
});

/** Sites that a round may go to instead, those of its own circuit first. */
const sitesToChoose = (all: readonly SiteRow[], own: readonly string[]) =>
	all
		.filter((s) => s.retiredOn === null)
		.map(({ id, code, name }) => ({ id, code, name, isOwn: own.includes(id) }))
		.sort((a, b) => Number(b.isOwn) - Number(a.isOwn) || (a.code < b.code ? -1 : 1));

/** The hours of a lab on that day, but those that are planned for. */
function hoursAt(lab: Place, { sites, lab: planned, entered, guess, card, day }: DayOf, open: Hours | null) {
	const all = lab.closedOn.includes(dateOfDay(day)) ? [] : lab.hours.filter((h) => h.weekday === weekday(day));
	const named = (h: Hours) => (all.length > 1 ? `${lab.name} before ${sayMinute(h.closes_min)}` : lab.name);
	return all
		.filter((h) => lab.id !== planned?.id || h !== open)
		.map((h) => ({
			name: named(h),
			lab: h,
			toLab: sites.map((s) => driveBetween(s, lab, entered, guess).minutes),
			holding_min: holdingAt(card, lab)
		}));
}

type Place = typeof place.$inferSelect;

interface DayOf {
	sites: readonly (typeof site.$inferSelect)[];
	depot: Place;
	lab: Place | null;
	entered: ReadonlyMap<string, number>;
	guess: DriveGuess;
	learned: Awaited<ReturnType<typeof learnedLengths>>;
	card: MethodCard;
	start: Pick<typeof circuit.$inferSelect, 'earliestStart_min' | 'latestStart_min'>;
	day: number;
	timeZone: string;
}

const holdingAt = (card: MethodCard, lab: Pick<Place, 'holding_h'> | null): number =>
	Math.min(card.holding.bacteria_h, lab?.holding_h ?? Infinity) * 60;

/** What the day of a trip to these sites is planned from: the round's own page and the season ask the same. */
export function dayQuestion({ sites, depot, lab, entered, guess, learned, card, start, day, timeZone }: DayOf): {
	question: RoundQuestion;
	open: Hours | null;
	guesses: number;
} {
	const between = sites.map((a) => sites.map((b) => driveBetween(a, b, entered, guess)));
	const fromStart = sites.map((s) => driveBetween(depot, s, entered, guess));
	const toLab = sites.map((s) => (lab ? driveBetween(s, lab, entered, guess) : { minutes: 0, isGuess: false }));
	// bottles reach a lab late in the day: of several hours the last are planned for, and the others are offered
	const open =
		(lab && !lab.closedOn.includes(dateOfDay(day)) && lab.hours.filter((h) => h.weekday === weekday(day)).at(-1)) ||
		null;
	const hasBottle = stepsOf(card, 'bottle').some((s) => s.bottle.kind === 'bacteria');
	const noon = new Date(instantAt(day, 720, timeZone));
	const sun = suncalc.getTimes(noon, sites[0]!.latitude, sites[0]!.longitude);
	const light = Number.isNaN(+sun.sunrise)
		? DAYLONG
		: { from_min: minuteOfDay(+sun.sunrise, timeZone), to_min: minuteOfDay(+sun.sunset, timeZone) };
	return {
		open,
		guesses:
			[...fromStart, ...toLab].filter((d) => d.isGuess).length +
			between.flatMap((r, i) => r.slice(i + 1)).filter((d) => d.isGuess).length,
		question: {
			stops: sites.map((s) => ({
				id: s.id,
				visit_min: learned.get(s.id)?.visit_min ?? VISIT_min,
				bottle_min: hasBottle ? (learned.get(s.id)?.bottle_min ?? BOTTLE_min) : null,
				open: windowOf(s, day)
			})),
			drive: {
				fromStart: fromStart.map((d) => d.minutes),
				between: between.map((r) => r.map((d) => d.minutes)),
				toLab: toLab.map((d) => d.minutes)
			},
			holding_min: holdingAt(card, lab),
			bench_min: lab?.bench_min ?? 0,
			lab: open ? { opens_min: open.opens_min, closes_min: open.closes_min } : null,
			start: { earliest_min: start.earliestStart_min, latest_min: start.latestStart_min, step_min: STEP_min },
			// the sun's day may straddle this zone's midnight
			light: light.to_min <= light.from_min ? DAYLONG : light
		}
	};
}

const DAYLONG = { from_min: 0, to_min: 1439 };

/** When a visit to a site may begin on a day: by its gate's hours, by the tide, or by both. */
function windowOf(
	{
		opens_min,
		closes_min,
		lowWaterAt,
		tideReach_min
	}: Pick<typeof site.$inferSelect, 'opens_min' | 'closes_min' | 'lowWaterAt' | 'tideReach_min'>,
	day: number
): RoundQuestion['stops'][number]['open'] {
	const gate =
		opens_min === null && closes_min === null ? null : { from_min: opens_min ?? 0, to_min: closes_min ?? 1439 };
	if (lowWaterAt === null || tideReach_min === null) return gate ?? undefined;
	const [date = '', time = ''] = lowWaterAt.split(' ');
	const [hours = 0, minutes = 0] = time.split(':').map(Number);
	const windows = tideWindows((dayOfDate(date) - day) * 1440 + hours * 60 + minutes, tideReach_min);
	// by day, if it can be: nobody is at the water in the dark
	const inGate = longestWithin(windows, gate ?? { from_min: 5 * 60, to_min: 21 * 60 });
	return inGate ?? longestWithin(windows, { from_min: 0, to_min: 1439 }) ?? undefined;
}

/** The labels of a round's bottles, its duplicates and blanks among them. */
export function labelsOf(round: RoundDay): BottleLabel[] {
	const at = (kind: 'duplicate' | 'blank') =>
		round.quality.filter((q) => q.kind === kind).map((q) => round.sites.find((s) => s.id === q.siteId)?.code ?? '');
	return roundLabels({
		date: dateOfDay(round.day),
		sites: round.sites.map((s) => s.code),
		bottles: stepsOf(round.card, 'bottle').map(({ bottle }) => ({ kind: bottle.kind, preserved: bottle.preserved })),
		duplicates: at('duplicate'),
		blanks: at('blank')
	});
}

/** The sheets of a round's visits as they stand, in the order in which they were begun. */
export async function sheetsOfRound(db: Db, programId: string, roundId: string): Promise<Sheet[]> {
	const rows = await rowsOf(
		db,
		z.object({ sheet: written<Sheet>() }),
		sql`select sheet from visit where program_id = ${programId} and round_id = ${roundId} order by started_at`
	);
	return rows.map((r) => r.sheet);
}

/**
 * Usual minutes on site and until the first bacteria bottle, from the latest finished visits: the middle one, not the
 * mean.
 */
export async function learnedLengths(
	db: Db,
	programId: string,
	siteIds: readonly string[]
): Promise<Map<string, { visit_min: number; bottle_min: number | null; visits: number }>> {
	const rows = await rowsOf(
		db,
		z.object({
			site_id: z.string(),
			visit_min: z.number(),
			bottle_min: z.number().nullable(),
			visits: writtenNumber
		}),
		sql`
		select site_id, percentile_cont(0.5) within group (order by on_site) as visit_min,
			percentile_cont(0.5) within group (order by bottle) as bottle_min, count(*) as visits
		from (
			select v.site_id, extract(epoch from (v.sheet->'leaving'->>'at')::timestamptz - v.started_at) / 60 as on_site,
				extract(epoch from (v.sheet->'bottles'->'bacteria'->>'filledAt')::timestamptz - v.started_at) / 60 as bottle,
				row_number() over (partition by v.site_id order by v.started_at desc) as back
			from visit v
			where v.program_id = ${programId} and v.site_id = any(${sql.param(siteIds)}::uuid[]) and v.is_finished
				and v.sheet->'bottles'->'bacteria' ? 'filledAt'
		) as lately
		where back <= ${VISITS_LEARNED_FROM} and on_site between 5 and 600 group by site_id`
	);
	return new Map(
		rows.map((r) => [
			r.site_id,
			{
				visit_min: Math.round(r.visit_min),
				bottle_min: r.bottle_min === null ? null : Math.round(r.bottle_min),
				visits: r.visits
			}
		])
	);
}

/** What the crew's entries say of a day that is under way; null before the first. */
async function soFarOf(
	db: Db,
	programId: string,
	roundId: string,
	day: number,
	timeZone: string,
	now_ms: number
): Promise<SoFar | null> {
	const rows = await rowsOf(
		db,
		z.object({
			site_id: z.string(),
			started_at: instant,
			sheet: written<Sheet>(),
			is_finished: z.boolean()
		}),
		sql`
		select site_id, started_at, sheet, is_finished from visit where program_id = ${programId} and round_id = ${roundId}
		order by started_at`
	);
	if (rows.length === 0 || dayNumber(now_ms, timeZone) !== day) return null;
	const minute = (iso: string | undefined) => (iso === undefined ? null : minuteOfDay(Date.parse(iso), timeZone));
	const bottle = (sheet: Sheet) =>
		minute(Object.values(sheet.bottles ?? {}).find((b) => b.kind === 'bacteria')?.filledAt);
	const there = rows.find((r) => !r.is_finished);
	return {
		now_min: minuteOfDay(now_ms, timeZone),
		done: rows
			.filter((r) => r.is_finished)
			.map((r) => ({
				id: r.site_id,
				leave_min: minute(r.sheet.leaving?.at) ?? minuteOfDay(+r.started_at, timeZone),
				bottle_min: bottle(r.sheet)
			})),
		at: there
			? {
					id: there.site_id,
					begin_min: minuteOfDay(+there.started_at, timeZone),
					bottle_min: bottle(there.sheet)
				}
			: null
	};
}
