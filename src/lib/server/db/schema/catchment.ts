import { sql } from 'drizzle-orm';
import { check, doublePrecision, foreignKey, pgTable, primaryKey, text, unique, uuid } from 'drizzle-orm/pg-core';
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
		longitude: doublePrecision().notNull()
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.id] }),
		unique().on(t.programId, t.code),
		foreignKey({ columns: [t.programId, t.streamId], foreignColumns: [stream.programId, stream.id] }),
		check('river_km_not_negative', sql`${t.river_km} >= 0`),
		check('on_earth', sql`${t.latitude} between -90 and 90 and ${t.longitude} between -180 and 180 and ${t.elevation_m} between -430 and 9000`)
	]
);
