import { sql } from 'drizzle-orm';
import {
	check,
	doublePrecision,
	foreignKey,
	pgTable,
	primaryKey,
	text,
	timestamp,
	unique,
	uuid
} from 'drizzle-orm/pg-core';
import type { Packing } from '../../../core/custody';
import { place } from './plan';
import { member, program } from './program';
import { visit } from './visit';

const at = (name: string) => timestamp(name, { withTimezone: true, precision: 3 });

/**
 * A box of bottles on its way to a lab. Who has it stands in the logbook of each of its visits, as with any other
 * bottle; here stands what is said of the box.
 */
export const shipment = pgTable(
	'shipment',
	{
		programId: uuid('program_id')
			.notNull()
			.references(() => program.id),
		id: uuid().notNull(),
		/** What people call it, on the papers and in custody: never two alike. */
		code: text().notNull(),
		labId: uuid('lab_id').notNull(),
		madeAt: at('made_at').notNull(),
		madeBy: uuid('made_by').notNull(),
		packed: text().array().$type<Packing[]>().notNull().default([]),
		seal: text().notNull().default(''),
		courier: text().notNull().default(''),
		handedOverAt: at('handed_over_at'),
		handedOverBy: uuid('handed_over_by'),
		/** Until when it ought to be there, as was said when it left. */
		expectedAt: at('expected_at'),
		arrivedAt: at('arrived_at'),
		arrived_C: doublePrecision('arrived_c')
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.id] }),
		unique().on(t.programId, t.code),
		foreignKey({ columns: [t.programId, t.labId], foreignColumns: [place.programId, place.id] }),
		foreignKey({ columns: [t.programId, t.madeBy], foreignColumns: [member.programId, member.id] }),
		check(
			'arrives_after_it_left',
			sql`${t.arrivedAt} is null or (${t.handedOverAt} is not null and ${t.handedOverAt} <= ${t.arrivedAt})`
		)
	]
);

/** What is in the box: a bottle is in one at a time. */
export const shipmentBottle = pgTable(
	'shipment_bottle',
	{
		programId: uuid('program_id').notNull(),
		shipmentId: uuid('shipment_id').notNull(),
		visitId: uuid('visit_id').notNull(),
		/** Its id in the visit's sheet. */
		bottleId: text('bottle_id').notNull()
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.visitId, t.bottleId] }),
		foreignKey({
			columns: [t.programId, t.shipmentId],
			foreignColumns: [shipment.programId, shipment.id]
		}).onDelete('cascade'),
		foreignKey({ columns: [t.programId, t.visitId], foreignColumns: [visit.programId, visit.id] })
	]
);

/**
 * What a device said of boxes, each word once: one that is told again, because the answer was lost, does nothing. Why
 * it could not be done stands beside it.
 */
export const shipmentWord = pgTable(
	'shipment_word',
	{
		programId: uuid('program_id').notNull(),
		id: uuid().notNull(),
		heardAt: at('heard_at').notNull(),
		byMemberId: uuid('by_member_id').notNull(),
		refusedBecause: text('refused_because')
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.id] }),
		foreignKey({ columns: [t.programId, t.byMemberId], foreignColumns: [member.programId, member.id] })
	]
);
