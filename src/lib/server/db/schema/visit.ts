import { sql } from 'drizzle-orm';
import {
	bigint,
	boolean,
	check,
	customType,
	doublePrecision,
	foreignKey,
	index,
	integer,
	jsonb,
	pgEnum,
	pgTable,
	primaryKey,
	text,
	timestamp,
	unique,
	uniqueIndex,
	uuid
} from 'drizzle-orm/pg-core';
import type { LabDeadline } from '../../../core/custody';
import type { Entry, Sheet } from '../../../core/logbook';
import type { Evidence, FlagCode } from '../../../core/subjects/flags';
import type { Way } from '../../../core/quantity';
import { site } from './catchment';
import { methodCardVersion, round } from './method';
import { member, program, team } from './program';

/** Text in byte order: the order of a hybrid clock's readings must not depend on a language. */
const byteText = customType<{ data: string }>({ dataType: () => 'text collate "C"' });
const bytea = customType<{ data: Buffer }>({ dataType: () => 'bytea' });
const at = (name: string) => timestamp(name, { withTimezone: true });

export const visit = pgTable(
	'visit',
	{
		programId: uuid('program_id').notNull(),
		id: uuid().notNull(),
		siteId: uuid('site_id').notNull(),
		cardVersionId: uuid('card_version_id').notNull(),
		roundId: uuid('round_id'),
		teamId: uuid('team_id'),
		openedBy: uuid('opened_by').notNull(),
		startedAt: at('started_at').notNull(),
		/* What follows is a projection of the visit's entries and can be rebuilt from them at any time. */
		sheet: jsonb().$type<Sheet>().notNull().default({}),
		isFinished: boolean('is_finished').notNull().default(false),
		awaitsReview: integer('awaits_review').notNull().default(0),
		conflicts: integer().notNull().default(0),
		stepsDone: integer('steps_done').notNull().default(0),
		stepsAsked: integer('steps_asked').notNull().default(0)
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.id] }),
		foreignKey({ columns: [t.programId, t.siteId], foreignColumns: [site.programId, site.id] }),
		foreignKey({
			columns: [t.programId, t.cardVersionId],
			foreignColumns: [methodCardVersion.programId, methodCardVersion.id]
		}),
		foreignKey({ columns: [t.programId, t.roundId], foreignColumns: [round.programId, round.id] }),
		foreignKey({ columns: [t.programId, t.teamId], foreignColumns: [team.programId, team.id] }),
		foreignKey({ columns: [t.programId, t.openedBy], foreignColumns: [member.programId, member.id] }),
		index().on(t.programId, t.siteId, t.startedAt),
		index().on(t.programId, t.startedAt),
		index().on(t.programId, t.roundId),
		index().on(t.programId, t.teamId, t.startedAt),
		index('visit_awaiting_review')
			.on(t.programId, t.startedAt)
			.where(sql`awaits_review > 0`),
		// earlier duplicates tell how far they usually lie apart
		index('visit_with_duplicate')
			.on(t.programId, t.startedAt)
			.where(sql`jsonb_path_exists(sheet, '$.bottles.*?(@.role == "duplicate")')`),
		index('visit_open')
			.on(t.programId, t.startedAt)
			.where(sql`not is_finished`)
	]
);

export const op = pgEnum('op', ['set', 'add', 'strike']);

/**
 * The logbook: append-only, the truth from which all else about visits is worked out. A trigger refuses UPDATE and
 * DELETE.
 */
export const entry = pgTable(
	'entry',
	{
		programId: uuid('program_id').notNull(),
		id: uuid().notNull(),
		seq: bigint({ mode: 'number' }).notNull(),
		visitId: uuid('visit_id').notNull(),
		at: byteText('at').notNull(),
		byMemberId: uuid('by_member_id').notNull(),
		device: text().notNull(),
		path: text().notNull(),
		op: op().notNull(),
		value: jsonb(),
		was: uuid(),
		receivedAt: at('received_at').notNull(),
		/** How far the device's clock was ahead of the server's when it sent this; null when it did not say. */
		skew_ms: bigint({ mode: 'number' })
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.id] }),
		unique().on(t.programId, t.seq),
		foreignKey({ columns: [t.programId, t.visitId], foreignColumns: [visit.programId, visit.id] }),
		foreignKey({ columns: [t.programId, t.byMemberId], foreignColumns: [member.programId, member.id] }),
		index().on(t.programId, t.visitId),
		check('strike_names_entry', sql`${t.op} <> 'strike' or ${t.was} is not null`),
		check('not_itself', sql`${t.was} <> ${t.id}`)
	]
);

export const source = pgEnum('result_source', ['field', 'derived', 'lab']);
export const qualifier = pgEnum('qualifier', ['below', 'above']);
export const status = pgEnum('review_status', ['waiting', 'accepted', 'qualified', 'rejected']);

/** The determinations of each visit, in the parameter's own unit; charts and exports show the reported ones. */
export const result = pgTable(
	'result',
	{
		programId: uuid('program_id').notNull(),
		siteId: uuid('site_id').notNull(),
		parameter: text().notNull(),
		at: at('at').notNull(),
		visitId: uuid('visit_id').notNull(),
		/** Where in the sheet it comes from: with the parameter the determination's own name. */
		from: text('comes_from').notNull().default(''),
		way: text().$type<Way>().notNull().default('meter'),
		/** Whether it is the one of its parameter that charts and exports show. */
		isReported: boolean('is_reported').notNull().default(true),
		value: doublePrecision().notNull(),
		qualifier: qualifier(),
		unit: text().notNull(),
		uncertainty: doublePrecision(),
		/** Where it lies within limits that are not the same on both sides. */
		lower: doublePrecision(),
		upper: doublePrecision(),
		readings: integer().notNull(),
		source: source().notNull(),
		basis: text().notNull(),
		status: status().notNull(),
		/** A stand-in gave one of its figures: never to be taken for a measured one. */
		isSimulated: boolean('is_simulated').notNull().default(false)
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.siteId, t.parameter, t.at, t.visitId, t.from] }),
		foreignKey({ columns: [t.programId, t.visitId], foreignColumns: [visit.programId, visit.id] }),
		index().on(t.programId, t.visitId),
		uniqueIndex('result_reported')
			.on(t.programId, t.visitId, t.parameter)
			.where(sql`is_reported`)
	]
);

export const flag = pgTable(
	'flag',
	{
		programId: uuid('program_id').notNull(),
		visitId: uuid('visit_id').notNull(),
		number: integer().notNull(),
		code: text().$type<FlagCode>().notNull(),
		path: text().notNull(),
		parameter: text(),
		evidence: jsonb().$type<Evidence[FlagCode]>().notNull()
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.visitId, t.number] }),
		foreignKey({ columns: [t.programId, t.visitId], foreignColumns: [visit.programId, visit.id] })
	]
);

/**
 * What all results of a site that stand have been, by parameter: a digest of `result`, so that a phone's satchel need
 * not read ten years of them. `seen` counts visits.
 */
export const siteUsual = pgTable(
	'site_usual',
	{
		programId: uuid('program_id').notNull(),
		siteId: uuid('site_id').notNull(),
		parameter: text().notNull(),
		low: doublePrecision().notNull(),
		high: doublePrecision().notNull(),
		visits: integer().notNull()
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.siteId, t.parameter] }),
		foreignKey({ columns: [t.programId, t.siteId], foreignColumns: [site.programId, site.id] })
	]
);

/**
 * Lines that the coordinator has set aside: they stay in the logbook, and are neither worked with nor sent to phones.
 */
export const entrySetAside = pgTable(
	'entry_set_aside',
	{
		programId: uuid('program_id').notNull(),
		entryId: uuid('entry_id').notNull(),
		at: at('at').notNull(),
		byMemberId: uuid('by_member_id').notNull(),
		reason: text().notNull()
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.entryId] }),
		foreignKey({ columns: [t.programId, t.entryId], foreignColumns: [entry.programId, entry.id] }),
		foreignKey({ columns: [t.programId, t.byMemberId], foreignColumns: [member.programId, member.id] }),
		check('set_aside_for_a_reason', sql`length(trim(${t.reason})) > 0`)
	]
);

/**
 * Lines that came from somebody after they had left: the coordinator takes them into the logbook, or leaves them
 * here.
 */
export const lateLine = pgTable(
	'late_line',
	{
		programId: uuid('program_id').notNull(),
		entryId: uuid('entry_id').notNull(),
		byMemberId: uuid('by_member_id').notNull(),
		receivedAt: at('received_at').notNull(),
		line: jsonb().$type<Entry>().notNull(),
		/** Null until the coordinator has decided. */
		isTaken: boolean('is_taken'),
		decidedBy: uuid('decided_by')
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.entryId] }),
		foreignKey({ columns: [t.programId, t.byMemberId], foreignColumns: [member.programId, member.id] }),
		foreignKey({ columns: [t.programId, t.decidedBy], foreignColumns: [member.programId, member.id] })
	]
);

export const verdict = pgEnum('verdict', ['accept', 'qualify', 'reject']);

export const review = pgTable(
	'review',
	{
		programId: uuid('program_id').notNull(),
		visitId: uuid('visit_id').notNull(),
		parameter: text().notNull(),
		/** The determination that was judged; empty in older logbooks, where the word was on the reported one. */
		from: text('comes_from').notNull().default(''),
		entryId: uuid('entry_id').notNull(),
		verdict: verdict().notNull(),
		reason: text().notNull(),
		byMemberId: uuid('by_member_id').notNull(),
		at: at('at').notNull()
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.visitId, t.parameter, t.from] }),
		foreignKey({ columns: [t.programId, t.visitId], foreignColumns: [visit.programId, visit.id] }),
		foreignKey({ columns: [t.programId, t.byMemberId], foreignColumns: [member.programId, member.id] }),
		check('doubt_has_reason', sql`${t.verdict} = 'accept' or length(trim(${t.reason})) > 0`)
	]
);

/** Bottles and the like that are running out somewhere: the clocks rail of every screen. */
export const runningClock = pgTable(
	'running_clock',
	{
		programId: uuid('program_id').notNull(),
		visitId: uuid('visit_id').notNull(),
		id: text().notNull(),
		kind: text().notNull(),
		label: text().notNull(),
		startAt: at('start_at').notNull(),
		dueAt: at('due_at').notNull(),
		lastAt: at('last_at').notNull(),
		/** What sets the last moment, where that is a lab's door. */
		deadline: jsonb().$type<Pick<LabDeadline, 'because' | 'lab' | 'first' | 'isShut'>>()
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.visitId, t.id] }),
		foreignKey({ columns: [t.programId, t.visitId], foreignColumns: [visit.programId, visit.id] }),
		index().on(t.programId, t.lastAt),
		check('clock_runs_forward', sql`${t.startAt} <= ${t.dueAt} and ${t.dueAt} <= ${t.lastAt}`)
	]
);

/** A photo, stored by the hash of its bytes; the entries that speak of it come first. */
export const photo = pgTable(
	'photo',
	{
		programId: uuid('program_id').notNull(),
		sha256: text().notNull(),
		visitId: uuid('visit_id').notNull(),
		mediaType: text('media_type').notNull(),
		bytes: integer().notNull(),
		content: bytea().notNull(),
		receivedAt: at('received_at').notNull()
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.sha256] }),
		foreignKey({ columns: [t.programId, t.visitId], foreignColumns: [visit.programId, visit.id] }),
		check('sha256_hex', sql`${t.sha256} ~ '^[0-9a-f]{64}$'`)
	]
);

/** A line for each change of reference data: who, when, what it was and what it became. */
export const audit = pgTable(
	'audit',
	{
		programId: uuid('program_id')
			.notNull()
			.references(() => program.id),
		id: uuid().notNull(),
		at: at('at').notNull(),
		byMemberId: uuid('by_member_id').notNull(),
		what: text().notNull(),
		rowId: uuid('row_id').notNull(),
		before: jsonb(),
		after: jsonb()
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.id] }),
		foreignKey({ columns: [t.programId, t.byMemberId], foreignColumns: [member.programId, member.id] }),
		index().on(t.programId, t.what, t.rowId)
	]
);
