import { sql } from 'drizzle-orm';
import {
	boolean,
	check,
	foreignKey,
	integer,
	jsonb,
	pgTable,
	primaryKey,
	text,
	timestamp,
	uuid
} from 'drizzle-orm/pg-core';
import type { RowCorrection } from '../../../core/lab-report';
import { place } from './plan';
import { member, program } from './program';

const at = (name: string) => timestamp(name, { withTimezone: true, precision: 3 });

/** A report as a laboratory sent it, kept for good: what was written from it can be held against it at any time. */
export const labReport = pgTable(
	'lab_report',
	{
		programId: uuid('program_id')
			.notNull()
			.references(() => program.id),
		id: uuid().notNull(),
		labId: uuid('lab_id').notNull(),
		name: text().notNull(),
		content: text().notNull(),
		arrivedAt: at('arrived_at').notNull(),
		/** Who brought it in; null: the lab's own service sent it. */
		byMemberId: uuid('by_member_id'),
		/** The lab is a stand-in, and its figures say nothing of any stream. */
		isSimulated: boolean('is_simulated').notNull().default(false),
		/** When its figures were written; null while it waits. */
		takenAt: at('taken_at'),
		takenBy: uuid('taken_by'),
		/** How many figures were written from it. */
		figures: integer(),
		/** What was said of its rows before they were written, by line. */
		corrections: jsonb().$type<Record<string, RowCorrection>>().notNull().default({})
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.id] }),
		foreignKey({ columns: [t.programId, t.labId], foreignColumns: [place.programId, place.id] }),
		foreignKey({ columns: [t.programId, t.byMemberId], foreignColumns: [member.programId, member.id] }),
		foreignKey({ columns: [t.programId, t.takenBy], foreignColumns: [member.programId, member.id] }),
		check('taken_by_somebody', sql`(${t.takenAt} is null) = (${t.takenBy} is null)`)
	]
);
