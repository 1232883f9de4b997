import { sql } from 'drizzle-orm';
import {
	boolean,
	check,
	doublePrecision,
	foreignKey,
	index,
	integer,
	jsonb,
	pgTable,
	primaryKey,
	text,
	timestamp,
	unique,
	uuid
} from 'drizzle-orm/pg-core';
import type { InstrumentFacts } from '../../../core/subjects/context';
import type { MethodCard } from '../../../core/method';
import type { OwnAnimal } from '../../../core/macroinvertebrates';
import type { Threshold } from '../../../core/interpret';
import type { OwnParameter, ParameterCode, Unit } from '../../../core/quantity';
import type { Purpose } from '../../../core/schedule';
import { member, program, team } from './program';

export const methodCard = pgTable(
	'method_card',
	{
		programId: uuid('program_id')
			.notNull()
			.references(() => program.id),
		id: uuid().notNull(),
		code: text().notNull()
	},
	(t) => [primaryKey({ columns: [t.programId, t.id] }), unique().on(t.programId, t.code)]
);

export const methodCardVersion = pgTable(
	'method_card_version',
	{
		programId: uuid('program_id').notNull(),
		id: uuid().notNull(),
		cardId: uuid('card_id').notNull(),
		version: integer().notNull(),
		body: jsonb().$type<MethodCard>().notNull(),
		inUseSince: timestamp('in_use_since', { withTimezone: true }).notNull()
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.id] }),
		unique().on(t.programId, t.cardId, t.version),
		foreignKey({ columns: [t.programId, t.cardId], foreignColumns: [methodCard.programId, methodCard.id] }),
		check('version_positive', sql`${t.version} > 0`)
	]
);

export const instrument = pgTable(
	'instrument',
	{
		programId: uuid('program_id')
			.notNull()
			.references(() => program.id),
		id: uuid().notNull(),
		code: text().notNull(),
		kind: text().notNull(),
		serialNumber: text('serial_number').notNull(),
		measures: jsonb().$type<InstrumentFacts['measures']>().notNull(),
		/** A calibration from before then no longer counts. */
		batteryChangedAt: timestamp('battery_changed_at', { withTimezone: true }),
		retiredOn: text('retired_on')
	},
	(t) => [primaryKey({ columns: [t.programId, t.id] }), unique().on(t.programId, t.code)]
);

export const calibration = pgTable(
	'calibration',
	{
		programId: uuid('program_id').notNull(),
		id: uuid().notNull(),
		instrumentId: uuid('instrument_id').notNull(),
		parameter: text().notNull(),
		at: timestamp({ withTimezone: true }).notNull(),
		byMemberId: uuid('by_member_id').notNull(),
		passed: boolean().notNull(),
		note: text().notNull().default('')
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.id] }),
		foreignKey({ columns: [t.programId, t.instrumentId], foreignColumns: [instrument.programId, instrument.id] }),
		foreignKey({ columns: [t.programId, t.byMemberId], foreignColumns: [member.programId, member.id] }),
		index().on(t.programId, t.instrumentId, t.parameter, t.at)
	]
);

/** A day's trip to several sites. */
export const round = pgTable(
	'round',
	{
		programId: uuid('program_id').notNull(),
		id: uuid().notNull(),
		name: text().notNull(),
		startsAt: timestamp('starts_at', { withTimezone: true }).notNull(),
		teamId: uuid('team_id').notNull(),
		cardVersionId: uuid('card_version_id').notNull(),
		siteIds: uuid('site_ids').array().notNull(),
		circuitId: uuid('circuit_id'),
		crewIds: uuid('crew_ids').array().notNull().default([]),
		/** Why this date was refused; a refused round keeps its place on the board and nothing more. */
		refusedBecause: text('refused_because'),
		/** Where it hands in, where that is not where its circuit does. */
		labId: uuid('lab_id'),
		/** Why it goes although a rule speaks against it. */
		despite: text().notNull().default(''),
		/** Storm rounds and trips to a sampler stand outside the spacing of grabs. */
		purpose: text().$type<Purpose>().notNull().default('grab'),
		/** Duplicates and blanks that are taken on it. */
		quality: jsonb().$type<{ siteId: string; kind: 'duplicate' | 'blank' }[]>().notNull().default([])
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.id] }),
		foreignKey({ columns: [t.programId, t.teamId], foreignColumns: [team.programId, team.id] }),
		foreignKey({
			columns: [t.programId, t.cardVersionId],
			foreignColumns: [methodCardVersion.programId, methodCardVersion.id]
		}),
		index().on(t.programId, t.startsAt),
		check('purpose_known', sql`${t.purpose} in ('grab', 'storm', 'sampler')`),
		check('some_site', sql`cardinality(${t.siteIds}) > 0`),
		check('refusal_has_reason', sql`${t.refusedBecause} is null or length(trim(${t.refusedBecause})) > 0`)
	]
);

/** A parameter of the program's own: what it is, and which figures of it are possible and usual. */
export const ownParameter = pgTable(
	'own_parameter',
	{
		programId: uuid('program_id')
			.notNull()
			.references(() => program.id),
		id: uuid().notNull(),
		code: text().notNull(),
		name: text().notNull(),
		unit: text().$type<Unit>().notNull(),
		decimals: integer().notNull(),
		possibleLow: doublePrecision('possible_low').notNull(),
		possibleHigh: doublePrecision('possible_high').notNull(),
		plausibleLow: doublePrecision('plausible_low').notNull(),
		plausibleHigh: doublePrecision('plausible_high').notNull(),
		isNeverNought: boolean('is_never_nought').notNull().default(false),
		ways: jsonb().$type<OwnParameter['ways']>().notNull()
	},
	(t) => [primaryKey({ columns: [t.programId, t.id] }), unique().on(t.programId, t.code)]
);

/** A kind of animal that a program adds to those shipped, or one of these called, rated or joined otherwise. */
export const animal = pgTable(
	'animal',
	{
		programId: uuid('program_id')
			.notNull()
			.references(() => program.id),
		id: uuid().notNull(),
		code: text().notNull(),
		name: text().notNull(),
		rank: text().$type<OwnAnimal['rank']>().notNull(),
		partOf: text('part_of'),
		otherNames: jsonb('other_names').$type<string[]>().notNull().default([]),
		tolerance: doublePrecision(),
		score: doublePrecision(),
		group: text().$type<OwnAnimal['group']>(),
		countsAs: text('counts_as'),
		tell: text().notNull().default(''),
		drawing: text(),
		shows: jsonb().$type<OwnAnimal['shows']>().notNull().default([]),
		because: text().notNull().default('')
	},
	(t) => [primaryKey({ columns: [t.programId, t.id] }), unique().on(t.programId, t.code)]
);

/** What a use of the streams wants of a parameter: limits in the parameter's unit, the words on their far side. */
export const threshold = pgTable(
	'threshold',
	{
		programId: uuid('program_id')
			.notNull()
			.references(() => program.id),
		id: uuid().notNull(),
		use: text().notNull(),
		parameter: text().$type<ParameterCode>().notNull(),
		statistic: text().$type<Threshold['statistic']>().notNull(),
		leastSamples: integer('least_samples').notNull(),
		monthFrom: integer('month_from'),
		monthTo: integer('month_to'),
		good: text().notNull(),
		watchBelow: doublePrecision('watch_below'),
		watchLow: text('watch_low').notNull().default(''),
		actBelow: doublePrecision('act_below'),
		actLow: text('act_low').notNull().default(''),
		watchFrom: doublePrecision('watch_from'),
		watchHigh: text('watch_high').notNull().default(''),
		actFrom: doublePrecision('act_from'),
		actHigh: text('act_high').notNull().default(''),
		nextStep: text('next_step').notNull().default(''),
		source: text().notNull(),
		isExample: boolean('is_example').notNull().default(false)
	},
	(t) => [primaryKey({ columns: [t.programId, t.id] })]
);
