import { sql } from 'drizzle-orm';
import { z } from 'zod';
import { earlierDuplicates } from '../../core/subjects/bottle/earlier-duplicates';
import { type Context, type InstrumentFacts, type Usual } from '../../core/subjects/context';
import { Entry, type Sheet } from '../../core/logbook';
import type { MethodCard } from '../../core/method';
import type { ParameterCode } from '../../core/quantity';
import type { Db } from '../db/connect';
import type { OwnAnimal } from '../../core/macroinvertebrates';
import { ownAnimalsOf } from '../db/queries/own-animals';
import { blankFigures, usualOfBlanks } from '../db/queries/blank-figures';
import { knownParameters } from '../db/queries/own-parameters';
import { cardBodies } from '../db/queries/card-bodies';
import { instant, rowsOf, written, writtenNumber } from '../db/rows';
import { tripsOf } from '../plan/trip';

/** What is needed to work out a visit, read for many visits at once. */
export interface VisitFacts {
	id: string;
	siteId: string;
	startedAt: Date;
	roundId: string | null;
	siteCode: string;
	timeZone: string;
	reportTo: string | undefined;
	elevation_m: number;
	latitude: number;
	wadingDepth_m: number | null;
	card: MethodCard;
	entries: Entry[];
	skew_ms: Record<string, number>;
	instruments: Context['instruments'];
	animals: OwnAnimal[];
	trip: Context['trip'];
	labelsElsewhere: NonNullable<Context['labelsElsewhere']>;
	duplicatesBefore: NonNullable<Context['duplicatesBefore']>;
	blanksBefore: NonNullable<Context['blanksBefore']>;
}

const DUPLICATES_KNOWN = 40;
const LABELS_WITHIN_days = 30;
const DAY_ms = 86_400_000;
const HISTORY = '10 years';

/** A row of the logbook. */
export const EntryRow = z.object({
	id: z.string(),
	visit_id: z.string(),
	at: z.string(),
	by_member_id: z.string(),
	device: z.string(),
	path: z.string(),
	op: Entry.shape.op,
	value: z.unknown(),
	was: z.string().nullable(),
	skew_ms: writtenNumber.nullable()
});
type EntryRow = z.output<typeof EntryRow>;

/** The entry that a row of the logbook keeps. */
export const entryOf = (row: EntryRow): Entry => ({
	id: row.id,
	visitId: row.visit_id,
	at: row.at,
	by: row.by_member_id,
	device: row.device,
	path: row.path,
	op: row.op,
	value: row.value,
	was: row.was
});

/** A line of the logbook, and how far the clock of its device was ahead when it came; null when it did not say. */
interface Line extends Entry {
	skew_ms: number | null;
}

/** Lines that are written while visits are worked out with them, and how far their device's clock is ahead. */
export interface Coming {
	entries: readonly Entry[];
	skew_ms: number | null;
}
const NONE: Coming = { entries: [], skew_ms: null };

/** What is needed to work these visits out, with the lines that are coming as if they stood in the logbook already. */
export async function visitFacts(
	db: Db,
	programId: string,
	visitIds: readonly string[],
	coming = NONE
): Promise<VisitFacts[]> {
	if (visitIds.length === 0) return [];
	const ids = sql`any(${sql.param([...visitIds])}::uuid[])`;
	const visits = await rowsOf(
		db,
		z.object({
			id: z.string(),
			site_id: z.string(),
			round_id: z.string().nullable(),
			started_at: instant,
			code: z.string(),
			time_zone: z.string(),
			report_to: z.string().nullable(),
			elevation_m: z.number(),
			latitude: z.number(),
			wading_depth_m: z.number().nullable(),
			card_version_id: z.string()
		}),
		sql`
		select v.id, v.site_id, v.round_id, v.started_at, s.code, p.time_zone, p.settings->>'reportTo' as report_to,
			s.elevation_m, s.latitude, s.wading_depth_m, v.card_version_id from visit v
		join program p on p.id = v.program_id
		join site s on s.program_id = v.program_id and s.id = v.site_id
		where v.program_id = ${programId} and v.id = ${ids} order by v.started_at, v.id`
	);
	const cards = await cardBodies(db, programId, [...new Set(visits.map((v) => v.card_version_id))]);
	// as one document: the driver takes far longer over thousands of rows than a reader of JSON
	const [there] = await rowsOf(
		db,
		z.object({ lines: written<Line[]>() }),
		sql`
		select coalesce(json_agg(e), '[]') as lines from (
			select id, visit_id as "visitId", at, by_member_id as by, device, path, op, value, was, skew_ms from entry
			where program_id = ${programId} and visit_id = ${ids}
				and id not in (select entry_id from entry_set_aside where program_id = ${programId})
			order by seq
		) e`
	);
	const { lines } = there!;
	const known = new Set(lines.map((line) => line.id));
	const { skew_ms } = coming;
	const added = coming.entries.filter((entry) => !known.has(entry.id)).map((entry): Line => ({ ...entry, skew_ms }));
	const entries = [...lines, ...added];
	const rounds = [...new Set(visits.flatMap((v) => (v.round_id === null ? [] : [v.round_id])))];
	const trips = await tripsOf(db, programId, rounds);
	const elsewhere = await labelsElsewhere(db, programId, visits, entries);
	// only who has a duplicate asks how far they usually lie apart
	const duplicatesBefore = entries.some((e) => e.path.endsWith('/duplicateOf'))
		? await duplicatesOf(db, programId)
		: {};
	const hasBlank = entries.some((e) => e.path.endsWith('/role') && e.value === 'blank');
	const blanks = hasBlank
		? await blankFigures(
				db,
				programId,
				await knownParameters(db, programId),
				Math.max(...visits.map((v) => +v.started_at))
			)
		: [];
	const instruments = await instrumentFacts(db, programId);
	const animals = await ownAnimalsOf(db, programId);
	const byVisit = new Map<string, Line[]>(visits.map((v) => [v.id, []]));
	for (const entry of entries) byVisit.get(entry.visitId)?.push(entry);
	return visits.map((v) => {
		const ofVisit = byVisit.get(v.id) ?? [];
		const startedAt = v.started_at;
		return {
			id: v.id,
			siteId: v.site_id,
			startedAt,
			roundId: v.round_id,
			siteCode: v.code,
			timeZone: v.time_zone,
			reportTo: v.report_to || undefined,
			elevation_m: v.elevation_m,
			latitude: v.latitude,
			wadingDepth_m: v.wading_depth_m,
			card: cards.get(v.card_version_id)!,
			entries: ofVisit,
			skew_ms: Object.fromEntries(ofVisit.flatMap((l) => (l.skew_ms === null ? [] : [[l.device, l.skew_ms]]))),
			instruments: instruments(startedAt),
			animals,
			trip: v.round_id === null ? null : (trips.get(v.round_id) ?? null),
			labelsElsewhere: elsewhere.get(v.id) ?? {},
			duplicatesBefore,
			blanksBefore: usualOfBlanks(blanks, v.id)
		};
	});
}

/** Pairs of duplicates of the last visits that had any. */
export async function duplicatesOf(db: Db, programId: string): Promise<ReturnType<typeof earlierDuplicates>> {
	const rows = await rowsOf(
		db,
		z.object({ bottles: written<Sheet['bottles']>() }),
		sql`
		select sheet->'bottles' as bottles from visit
		where program_id = ${programId} and jsonb_path_exists(sheet, '$.bottles.*?(@.role == "duplicate")')
		order by started_at desc limit ${DUPLICATES_KNOWN}`
	);
	return earlierDuplicates(rows);
}

/** Labels of these visits that bottles of other sites carry too, with the site's name, by visit. */
async function labelsElsewhere(
	db: Db,
	programId: string,
	visits: readonly { id: string; site_id: string; started_at: Date }[],
	entries: readonly Entry[]
): Promise<Map<string, Record<string, string>>> {
	const labels = entries.filter(
		(e) => e.op === 'set' && /^bottles\/[^/]+\/label$/.test(e.path) && typeof e.value === 'string'
	);
	if (labels.length === 0) return new Map();
	const times = visits.map((v) => +v.started_at);
	const rows = await rowsOf(
		db,
		z.object({ label: z.string(), site_id: z.string(), name: z.string() }),
		sql`
		select b.value->>'label' as label, s.id as site_id, s.name from visit v
		cross join lateral jsonb_each(v.sheet->'bottles') b join site s on s.program_id = v.program_id and s.id = v.site_id
		where v.program_id = ${programId}
			and b.value->>'label' = any(${sql.param(labels.map((l) => String(l.value)))}::text[])
			and v.started_at between ${new Date(Math.min(...times) - LABELS_WITHIN_days * DAY_ms).toISOString()}
			and ${new Date(Math.max(...times) + LABELS_WITHIN_days * DAY_ms).toISOString()}`
	);
	const siteOf = new Map(visits.map((v) => [v.id, v.site_id]));
	const byLabel = new Map<string, typeof rows>();
	for (const row of rows) {
		const there = byLabel.get(row.label);
		if (there) there.push(row);
		else byLabel.set(row.label, [row]);
	}
	const found = new Map<string, Record<string, string>>();
	for (const { visitId, value } of labels) {
		const other = byLabel.get(String(value))?.find((r) => r.site_id !== siteOf.get(visitId));
		if (other) found.set(visitId, { ...found.get(visitId), [String(value)]: other.name });
	}
	return found;
}

/** Instruments as they stood at an instant: with the last calibration before it. */
export async function instrumentFacts(db: Db, programId: string): Promise<(at: Date) => Context['instruments']> {
	const rows = await rowsOf(
		db,
		z.object({
			code: z.string(),
			measures: written<InstrumentFacts['measures']>(),
			calibrations: written<{ parameter: keyof InstrumentFacts['calibratedAt']; at: string }[]>()
		}),
		sql`
		select i.code, i.measures, coalesce((
			select json_agg(json_build_object('parameter', c.parameter, 'at', c.at) order by c.at)
			from calibration c where c.program_id = i.program_id and c.instrument_id = i.id and c.passed
		), '[]') as calibrations
		from instrument i where i.program_id = ${programId}`
	);
	const known = rows.map(({ calibrations, ...instrument }) => ({
		...instrument,
		calibrations: calibrations.map((c) => ({ ...c, at_ms: Date.parse(c.at) }))
	}));
	// between two calibrations nothing changes: visits of the same days share what is known
	const moments = known.flatMap(({ calibrations }) => calibrations.map((c) => c.at_ms)).sort((a, b) => a - b);
	const told = new Map<number, Context['instruments']>();
	return (at) => {
		const at_ms = at.getTime();
		const since = moments.findLastIndex((m) => m <= at_ms);
		const before = told.get(since);
		if (before) return before;
		const facts: Context['instruments'] = {};
		for (const { code, measures, calibrations } of known) {
			const calibratedAt: InstrumentFacts['calibratedAt'] = {};
			// in the order of their days: the last one before the instant stays
			for (const c of calibrations) if (c.at_ms <= at_ms) calibratedAt[c.parameter] = c.at;
			facts[code] = { code, measures, calibratedAt };
		}
		told.set(since, facts);
		return facts;
	};
}

/**
 * What earlier visits to the same site have seen of each parameter, for many visits at once; worked out once for each
 * moment at a site, however many visits began there then.
 */
export async function usualBefore(
	db: Db,
	programId: string,
	visits: readonly Pick<VisitFacts, 'id' | 'siteId' | 'startedAt'>[]
): Promise<Map<string, NonNullable<Context['site']['usual']>>> {
	if (visits.length === 0) return new Map();
	const momentOf = (v: Pick<VisitFacts, 'siteId' | 'startedAt'>) => `${v.siteId} ${v.startedAt.toISOString()}`;
	const moments = [...new Map(visits.map((v) => [momentOf(v), v])).values()].map((v) => ({
		moment: momentOf(v),
		site_id: v.siteId,
		at: v.startedAt.toISOString()
	}));
	const rows = await rowsOf(
		db,
		z.object({
			moment: z.string(),
			parameter: written<ParameterCode>(),
			low: z.number(),
			high: z.number(),
			visits: z.number()
		}),
		sql`
		select q.moment, r.parameter, min(r.value) as low, max(r.value) as high, count(*)::int as visits
		from jsonb_to_recordset(${JSON.stringify(moments)}::jsonb) as q(moment text, site_id uuid, at timestamptz)
		join result r on r.program_id = ${programId} and r.site_id = q.site_id and r.is_reported
			and r.status <> 'rejected' and not r.is_simulated and r.at < q.at and r.at > q.at - ${HISTORY}::interval
		group by q.moment, r.parameter`
	);
	const usual = usualBy(rows, (row) => row.moment);
	return new Map(visits.map((v) => [v.id, usual.get(momentOf(v)) ?? {}]));
}

/** What each site has shown so far, from the digest that every projection keeps. */
export async function usualOfSites(
	db: Db,
	programId: string
): Promise<Map<string, NonNullable<Context['site']['usual']>>> {
	const rows = await rowsOf(
		db,
		z.object({
			site_id: z.string(),
			parameter: written<ParameterCode>(),
			low: z.number(),
			high: z.number(),
			visits: z.number()
		}),
		sql`
		select site_id, parameter, low, high, visits from site_usual where program_id = ${programId}`
	);
	return usualBy(rows, (row) => row.site_id);
}

function usualBy<Row extends Usual & { parameter: ParameterCode }>(rows: readonly Row[], keyOf: (row: Row) => string) {
	const usual = new Map<string, Partial<Record<ParameterCode, Usual>>>();
	for (const row of rows) {
		const key = keyOf(row);
		const { parameter, low, high, visits } = row;
		const there = usual.get(key) ?? {};
		there[parameter] = { low, high, visits };
		usual.set(key, there);
	}
	return usual;
}
