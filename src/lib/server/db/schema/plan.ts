import { sql } from 'drizzle-orm';
import {
	boolean,
	check,
	doublePrecision,
	foreignKey,
	integer,
	jsonb,
	pgEnum,
	pgTable,
	primaryKey,
	text,
	timestamp,
	unique,
	uuid
} from 'drizzle-orm/pg-core';
import type { Hours } from '../../../core/library';
import { site, stream } from './catchment';
import { methodCard, round } from './method';
import { member, program, team } from './program';

export const placeKind = pgEnum('place_kind', ['depot', 'lab']);

/** Where rounds start, and where bottles go. */
export const place = pgTable(
	'place',
	{
		programId: uuid('program_id')
			.notNull()
			.references(() => program.id),
		id: uuid().notNull(),
		kind: placeKind().notNull(),
		name: text().notNull(),
		latitude: doublePrecision().notNull(),
		longitude: doublePrecision().notNull(),
		hours: jsonb().$type<Hours[]>().notNull().default([]),
		/** Days on which a lab is shut, as ISO dates. */
		closedOn: text('closed_on').array().notNull().default([]),
		/** When a courier collects for it, and for how many working days bottles are on the road. */
		pickUps: jsonb('pick_ups').$type<Hours[]>().notNull().default([]),
		transit_days: integer('transit_days'),
		address: text().notNull().default(''),
		bottlesADay: integer('bottles_a_day').notNull().default(100),
		/** From handing in to the last plate, minutes. */
		bench_min: integer('bench_min').notNull().default(0),
		analyses: text().array().notNull().default([]),
		arrives: text().notNull().default('delivered'),
		/** The lab's own limit, where it is shorter than a card's. */
		holding_h: doublePrecision('holding_h')
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.id] }),
		unique().on(t.programId, t.name),
		check('place_on_earth', sql`${t.latitude} between -90 and 90 and ${t.longitude} between -180 and 180`),
		check('bottles_not_negative', sql`${t.bottlesADay} >= 0 and ${t.bench_min} >= 0`)
	]
);

/** Minutes by road that somebody has timed, between sites and places; one direction stands for both. */
export const drive = pgTable(
	'drive',
	{
		programId: uuid('program_id')
			.notNull()
			.references(() => program.id),
		id: uuid().notNull().defaultRandom(),
		fromId: uuid('from_id').notNull(),
		toId: uuid('to_id').notNull(),
		minutes: integer().notNull()
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.id] }),
		unique().on(t.programId, t.fromId, t.toId),
		check('drive_takes_time', sql`${t.minutes} >= 0 and ${t.fromId} <> ${t.toId}`)
	]
);

/** Sites that one team visits together, again and again through a season. */
export const circuit = pgTable(
	'circuit',
	{
		programId: uuid('program_id').notNull(),
		id: uuid().notNull(),
		name: text().notNull(),
		teamId: uuid('team_id').notNull(),
		cardId: uuid('card_id').notNull(),
		siteIds: uuid('site_ids').array().notNull(),
		/** The river whose water wets the gear. */
		water: text().notNull(),
		depotId: uuid('depot_id').notNull(),
		labId: uuid('lab_id'),
		weekdays: integer().array().notNull(),
		least_days: integer('least_days').notNull(),
		aim_days: integer('aim_days').notNull(),
		most_days: integer('most_days').notNull(),
		/** Its own season, where that is shorter than the program's; ISO dates. */
		seasonFrom: text('season_from'),
		seasonTo: text('season_to'),
		crew: integer().notNull(),
		needs: text().array().notNull().default([]),
		/** No one starts before or after, minutes since the local midnight. */
		earliestStart_min: integer('earliest_start_min').notNull(),
		latestStart_min: integer('latest_start_min').notNull(),
		disinfects: boolean().notNull().default(false),
		/** Gear that it shares with others; '' where it carries its team's. */
		kit: text().notNull().default('')
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.id] }),
		unique().on(t.programId, t.name),
		foreignKey({ columns: [t.programId, t.teamId], foreignColumns: [team.programId, team.id] }),
		foreignKey({ columns: [t.programId, t.cardId], foreignColumns: [methodCard.programId, methodCard.id] }),
		foreignKey({ columns: [t.programId, t.depotId], foreignColumns: [place.programId, place.id] }),
		foreignKey({ columns: [t.programId, t.labId], foreignColumns: [place.programId, place.id] }),
		check(
			'spacing_in_order',
			sql`${t.least_days} > 0 and ${t.least_days} <= ${t.aim_days} and ${t.aim_days} <= ${t.most_days}`
		),
		check('circuit_has_sites', sql`cardinality(${t.siteIds}) > 0 and cardinality(${t.weekdays}) > 0 and ${t.crew} > 0`),
		check(
			'starts_in_order',
			sql`${t.earliestStart_min} between 0 and ${t.latestStart_min} and ${t.latestStart_min} < 1440`
		)
	]
);

/** What has been put into the car: the latest word on each line of a round's list, by whoever said it last. */
export const packTick = pgTable(
	'pack_tick',
	{
		programId: uuid('program_id').notNull(),
		roundId: uuid('round_id').notNull(),
		line: text().notNull(),
		isPacked: boolean('is_packed').notNull(),
		at: timestamp({ withTimezone: true, precision: 3 }).notNull(),
		byMemberId: uuid('by_member_id').notNull()
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.roundId, t.line] }),
		foreignKey({ columns: [t.programId, t.roundId], foreignColumns: [round.programId, round.id] }),
		foreignKey({ columns: [t.programId, t.byMemberId], foreignColumns: [member.programId, member.id] })
	]
);

/** Reagents, strips, buffers, standards: what goes out of date. */
export const consumable = pgTable(
	'consumable',
	{
		programId: uuid('program_id')
			.notNull()
			.references(() => program.id),
		id: uuid().notNull(),
		what: text().notNull(),
		lot: text().notNull().default(''),
		expiresOn: text('expires_on').notNull()
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.id] }),
		check('expires_on_a_date', sql`${t.expiresOn} ~ '^[0-9]{4}-[0-9]{2}-[0-9]{2}$'`)
	]
);

/** Nets, boots, buckets that teams share or own, and the water that wetted each last. */
export const gear = pgTable(
	'gear',
	{
		programId: uuid('program_id')
			.notNull()
			.references(() => program.id),
		id: uuid().notNull(),
		what: text().notNull(),
		teamId: uuid('team_id'),
		wetIn: uuid('wet_in'),
		wetOn: text('wet_on'),
		disinfectedOn: text('disinfected_on')
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.id] }),
		unique().on(t.programId, t.what),
		foreignKey({ columns: [t.programId, t.teamId], foreignColumns: [team.programId, team.id] }),
		foreignKey({ columns: [t.programId, t.wetIn], foreignColumns: [stream.programId, stream.id] }),
		check('wet_somewhere_once', sql`(${t.wetIn} is null) = (${t.wetOn} is null)`)
	]
);

/** Plate stacks and leaf bags that stand in the stream. */
export const sampler = pgTable(
	'sampler',
	{
		programId: uuid('program_id')
			.notNull()
			.references(() => program.id),
		id: uuid().notNull(),
		code: text().notNull(),
		siteId: uuid('site_id').notNull(),
		kind: text().$type<'plate stack' | 'leaf bag'>().notNull(),
		outOn: text('out_on').notNull(),
		liftedOn: text('lifted_on'),
		note: text().notNull().default('')
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.id] }),
		unique().on(t.programId, t.code),
		foreignKey({ columns: [t.programId, t.siteId], foreignColumns: [site.programId, site.id] }),
		check('sampler_kind', sql`${t.kind} in ('plate stack', 'leaf bag')`),
		check('lifted_after_out', sql`${t.liftedOn} >= ${t.outOn}`)
	]
);

/** A flume that was rated: head to discharge, where that holds, and who says so. */
export const flume = pgTable(
	'flume',
	{
		programId: uuid('program_id')
			.notNull()
			.references(() => program.id),
		id: uuid().notNull(),
		name: text().notNull(),
		throat_m: doublePrecision().notNull(),
		coefficient: doublePrecision().notNull(),
		exponent: doublePrecision().notNull(),
		submergenceLimit: doublePrecision('submergence_limit').notNull(),
		minimumHead_m: doublePrecision('minimum_head_m').notNull(),
		maximumHead_m: doublePrecision('maximum_head_m').notNull(),
		source: text().notNull().default('')
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.id] }),
		unique().on(t.programId, t.name),
		check('flume_holds_somewhere', sql`${t.minimumHead_m} < ${t.maximumHead_m}`)
	]
);

/** Rain of one day as somebody read it at the program's gauge. */
export const rainDay = pgTable(
	'rain_day',
	{
		programId: uuid('program_id')
			.notNull()
			.references(() => program.id),
		day: text().notNull(),
		rain_mm: doublePrecision().notNull(),
		byMemberId: uuid('by_member_id').notNull()
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.day] }),
		foreignKey({ columns: [t.programId, t.byMemberId], foreignColumns: [member.programId, member.id] }),
		check('rain_possible', sql`${t.rain_mm} between 0 and 2000`)
	]
);
