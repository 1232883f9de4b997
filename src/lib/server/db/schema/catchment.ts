import { sql } from 'drizzle-orm';
import {
	check,
	doublePrecision,
	foreignKey,
	integer,
	pgTable,
	primaryKey,
	text,
	unique,
	uuid
} from 'drizzle-orm/pg-core';
import { program } from './program';

/** A stream of the network. A tributary names the stream it joins and how far above that one's mouth. */
export const stream = pgTable(
	'stream',
	{
		programId: uuid('program_id')
			.notNull()
			.references(() => program.id),
		id: uuid().notNull(),
		name: text().notNull(),
		length_km: doublePrecision().notNull(),
		joinsStreamId: uuid('joins_stream_id'),
		joinsAt_km: doublePrecision('joins_at_km')
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.id] }),
		unique().on(t.programId, t.name),
		foreignKey({ columns: [t.programId, t.joinsStreamId], foreignColumns: [t.programId, t.id] }),
		check('length_positive', sql`${t.length_km} > 0`),
		check('joins_somewhere', sql`(${t.joinsStreamId} is null) = (${t.joinsAt_km} is null)`),
		check('joins_another', sql`${t.joinsStreamId} <> ${t.id}`)
	]
);

/** A place where samples are taken; `river_km` runs upwards from the mouth of its own stream. */
export const site = pgTable(
	'site',
	{
		programId: uuid('program_id')
			.notNull()
			.references(() => program.id),
		id: uuid().notNull(),
		streamId: uuid('stream_id').notNull(),
		code: text().notNull(),
		name: text().notNull(),
		about: text().notNull(),
		hazards: text().notNull(),
		river_km: doublePrecision().notNull(),
		elevation_m: doublePrecision().notNull(),
		latitude: doublePrecision().notNull(),
		longitude: doublePrecision().notNull(),
		directions: text().notNull().default(''),
		access: text().notNull().default(''),
		/** The landowner's permission to go there, and the day it ends. */
		permission: text().notNull().default('not needed'),
		permissionUntil: text('permission_until'),
		landmarks: text().notNull().default(''),
		photoPoint: text('photo_point').notNull().default(''),
		upstream: text().notNull().default(''),
		/** How far upstream the nearest outfall is, and whether the site is there because of it. */
		outfall_m: doublePrecision('outfall_m'),
		outfall: text().array().notNull().default([]),
		/** How samples may be taken here: wading, bank, bridge, pole. */
		ways: text().array().notNull().default(['wading']),
		/** A limit of its own, under the card's. */
		wadingDepth_m: doublePrecision('wading_depth_m'),
		/** When a visit may begin, minutes since the local midnight. */
		opens_min: integer('opens_min'),
		closes_min: integer('closes_min'),
		/** One low water, local day and time, and how long before and after it the site can be reached. */
		lowWaterAt: text('low_water_at'),
		tideReach_min: integer('tide_reach_min'),
		retiredOn: text('retired_on')
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.id] }),
		unique().on(t.programId, t.code),
		foreignKey({ columns: [t.programId, t.streamId], foreignColumns: [stream.programId, stream.id] }),
		check('river_km_not_negative', sql`${t.river_km} >= 0`),
		check('permission_known', sql`${t.permission} in ('not needed', 'given', 'asked', 'refused')`),
		check('tide_whole', sql`(${t.lowWaterAt} is null) = (${t.tideReach_min} is null)`),
		check('visits_begin_in_order', sql`${t.opens_min} < ${t.closes_min}`),
		check(
			'on_earth',
			sql`${t.latitude} between -90 and 90 and ${t.longitude} between -180 and 180 and ${t.elevation_m} between -430
				and 9000`
		)
	]
);
