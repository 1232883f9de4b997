import { bigint, boolean, index, integer, pgTable, text, timestamp } from 'drizzle-orm/pg-core';

/* The tables of the sign-in library, with its names for the columns. */

const at = (name: string) => timestamp(name, { withTimezone: true });

export const user = pgTable('user', {
	id: text().primaryKey(),
	name: text().notNull(),
	email: text().notNull().unique(),
	emailVerified: boolean('email_verified').notNull().default(false),
	image: text(),
	createdAt: at('created_at').notNull().defaultNow(),
	updatedAt: at('updated_at').notNull().defaultNow()
});

export const session = pgTable('session', {
	id: text().primaryKey(),
	expiresAt: at('expires_at').notNull(),
	token: text().notNull().unique(),
	createdAt: at('created_at').notNull().defaultNow(),
	updatedAt: at('updated_at').notNull().defaultNow(),
	ipAddress: text('ip_address'),
	userAgent: text('user_agent'),
	userId: text('user_id')
		.notNull()
		.references(() => user.id, { onDelete: 'cascade' })
});

export const account = pgTable('account', {
	id: text().primaryKey(),
	accountId: text('account_id').notNull(),
	providerId: text('provider_id').notNull(),
	userId: text('user_id')
		.notNull()
		.references(() => user.id, { onDelete: 'cascade' }),
	accessToken: text('access_token'),
	refreshToken: text('refresh_token'),
	idToken: text('id_token'),
	accessTokenExpiresAt: at('access_token_expires_at'),
	refreshTokenExpiresAt: at('refresh_token_expires_at'),
	scope: text(),
	password: text(),
	createdAt: at('created_at').notNull().defaultNow(),
	updatedAt: at('updated_at').notNull().defaultNow()
});

export const verification = pgTable('verification', {
	id: text().primaryKey(),
	identifier: text().notNull(),
	value: text().notNull(),
	expiresAt: at('expires_at').notNull(),
	createdAt: at('created_at').defaultNow(),
	updatedAt: at('updated_at').defaultNow()
});

export const rateLimit = pgTable('rate_limit', {
	id: text().primaryKey(),
	key: text().notNull().unique(),
	count: integer().notNull(),
	lastRequest: bigint('last_request', { mode: 'number' }).notNull()
});

/** Who got into an account, or was given a way into it: shown to the person whose account it is. */
export const accessEvent = pgTable(
	'access_event',
	{
		id: text().primaryKey(),
		userId: text('user_id')
			.notNull()
			.references(() => user.id, { onDelete: 'cascade' }),
		at: at('at').notNull(),
		kind: text().$type<'link' | 'password' | 'sign-in'>().notNull(),
		/** By whom, where somebody else did it: the name as it was. */
		by: text(),
		/** When the person read it; what they did themselves need not be read. */
		readAt: at('read_at')
	},
	(t) => [index().on(t.userId, t.at)]
);
