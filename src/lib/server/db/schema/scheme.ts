import { foreignKey, index, jsonb, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import type { ScoreScheme } from '../../../core/score-schemes';
import { member, program } from './program';

/** Versions of a program's own score schemes, none of which is ever changed: of each code the newest is in use. */
export const scoreScheme = pgTable(
	'score_scheme',
	{
		programId: uuid('program_id')
			.notNull()
			.references(() => program.id),
		id: uuid().notNull(),
		code: text().notNull(),
		body: jsonb().$type<ScoreScheme>().notNull(),
		addedAt: timestamp('added_at', { withTimezone: true, precision: 3 }).notNull(),
		addedBy: uuid('added_by').notNull()
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.id] }),
		foreignKey({ columns: [t.programId, t.addedBy], foreignColumns: [member.programId, member.id] }),
		index().on(t.programId, t.code)
	]
);
