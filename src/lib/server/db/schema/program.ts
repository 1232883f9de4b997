import { sql } from 'drizzle-orm';
import {
	bigint,
	boolean,
	check,
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
	uuid
} from 'drizzle-orm/pg-core';
import { roles, type ImportMapping, type KindName, type PaperSize } from '../../../core/library';
import type { NumberStyle, ShownUnits } from '../../../core/quantity';
import type { DateStyle } from '../../../core/wording';
import type { CountMapping } from '../../../core/animal-counts';
import type { ReportMapping } from '../../../core/lab-report';
import type { DriveGuess, QualityRates } from '../../../core/schedule';
import { user } from './sign-in';

export const role = pgEnum('role', roles);

/** What a program decides for itself. */
export interface ProgramSettings {
	/** First and last day of the season that is planned, as ISO dates. */
	season?: { from: string; to: string };
	/** On what papers are printed, and whom to call, as it stands on each. */
	paper?: PaperSize;
	telephone?: string;
	/** Days on which nobody is sent out, as ISO dates. */
	holidays?: string[];
	/** How a drive is guessed that nobody has timed. */
	driveGuess?: DriveGuess;
	/** Rain at the gauge that counts as a storm, and how soon after it a storm round goes. */
	storm?: { rain_mm: number; within_h: number };
	/** Rain is typed from a gauge that somebody reads, or there is none. Only a demo has a simulated one. */
	rain?: 'typed' | 'none';
	/** Whom monitors tell of what cannot wait. */
	reportTo?: string;
	/** Hours without a word after which a visit counts as overdue. */
	overdue_h?: number;
	/** One duplicate and one blank in so many samples; the usual ones where nothing is said. */
	qualityRates?: QualityRates;
	/** What the headings and words of files that were brought in mean, by kind. */
	importMappings?: Partial<Record<KindName, ImportMapping>>;
	/** What the headings, names and units of each lab's reports mean, by the lab's id. */
	reportMappings?: Record<string, ReportMapping>;
	/** What the headings and names in files of animal counts mean. */
	countMapping?: CountMapping;
	/** How its people write dates and times of day. */
	dates?: DateStyle;
	/** How they write numbers. */
	numbers?: NumberStyle;
	/** The units that they read figures in, where not in a parameter's own. */
	units?: ShownUnits;
	/** What somebody can be trained in here. */
	skills?: string[];
	/** Who judges a visit's results: anyone who reviews, or only those who were not on it. */
	whoJudges?: 'anyone' | 'others';
	/** The secret part of the calendar feed's address. */
	feedKey?: string;
}

/** Counts up when what follows from a logbook is said in another way: other evidence, other figures. */
export const RULES_VERSION = 1;

export const program = pgTable('program', {
	id: uuid().primaryKey(),
	code: text().notNull().unique(),
	name: text().notNull(),
	timeZone: text('time_zone').notNull(),
	settings: jsonb().$type<ProgramSettings>().notNull(),
	/** Demo programs offer their sign-ins on the sign-in page. */
	isDemo: boolean('is_demo').notNull().default(false),
	/**
	 * By which rules its visits were worked out: those of older ones are worked out anew when the application starts.
	 */
	workedOutBy: integer('worked_out_by')
		.notNull()
		.default(0)
		.$defaultFn(() => RULES_VERSION)
});

/**
 * The last place given out in a program's logbook. Taken under a row lock that is held to the end of the writing
 * transaction, so places become visible in their own order and a reader's cursor cannot step over one.
 */
export const logbookTip = pgTable('logbook_tip', {
	programId: uuid('program_id')
		.primaryKey()
		.references(() => program.id),
	lastSeq: bigint('last_seq', { mode: 'number' }).notNull().default(0)
});

export const team = pgTable(
	'team',
	{
		programId: uuid('program_id')
			.notNull()
			.references(() => program.id),
		id: uuid().notNull(),
		name: text().notNull()
	},
	(t) => [primaryKey({ columns: [t.programId, t.id] }), unique().on(t.programId, t.name)]
);

export const member = pgTable(
	'member',
	{
		programId: uuid('program_id')
			.notNull()
			.references(() => program.id),
		id: uuid().notNull(),
		userId: text('user_id')
			.notNull()
			.references(() => user.id),
		role: role().notNull(),
		/** What else the person does. */
		alsoRoles: role('also_roles').array().notNull().default([]),
		name: text().notNull(),
		initials: text().notNull(),
		teamId: uuid('team_id'),
		/** What the person was trained in, the days of the week they can (0 Sunday), and when they are away. */
		skills: text().array().notNull().default([]),
		/** The last day on which the training counts. */
		trainedUntil: text('trained_until'),
		weekdays: integer().array().notNull().default([0, 1, 2, 3, 4, 5, 6]),
		away: jsonb().$type<{ from: string; to: string }[]>().notNull().default([]),
		/** Set when the person leaves the program: what they wrote stays, what they may read ends. */
		removedAt: timestamp('removed_at', { withTimezone: true })
	},
	(t) => [
		primaryKey({ columns: [t.programId, t.id] }),
		unique().on(t.programId, t.userId),
		unique().on(t.programId, t.initials),
		foreignKey({ columns: [t.programId, t.teamId], foreignColumns: [team.programId, team.id] }),
		index().on(t.userId),
		check('initials_short', sql`length(${t.initials}) between 1 and 6`)
	]
);
