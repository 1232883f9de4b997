import { randomBytes, randomUUID } from 'node:crypto';
import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { APIError } from 'better-auth/api';
import { hashPassword } from 'better-auth/crypto';
import { eq } from 'drizzle-orm';
import { database, type Db } from '../db/connect';
import * as schema from '../db/schema';
import { libraryTold } from '../log';
import { settings } from '../settings';
import { noteAccess } from './access-events';

const SIGN_IN_WINDOW_s = 60;
const SIGN_INS_IN_WINDOW = 12; // a class that signs in from one hall is not locked out; a guesser is

function make() {
	const { ORIGIN, KEEN_RIFFLE_SECRET } = settings();
	return betterAuth({
		baseURL: ORIGIN,
		secret: KEEN_RIFFLE_SECRET,
		telemetry: { enabled: false },
		logger: { log: libraryTold },
		database: drizzleAdapter(database(), { provider: 'pg', schema }),
		// whoever holds a session from before a new password was chosen is out
		emailAndPassword: {
			enabled: true,
			disableSignUp: true,
			minPasswordLength: 10,
			revokeSessionsOnPasswordReset: true
		},
		verification: { storeIdentifier: 'hashed' },
		session: { expiresIn: 60 * 60 * 24 * 60, updateAge: 60 * 60 * 24 },
		rateLimit: {
			enabled: true,
			storage: 'database',
			customRules: { '/sign-in/email': { window: SIGN_IN_WINDOW_s, max: SIGN_INS_IN_WINDOW } }
		},
		databaseHooks: {
			session: {
				create: { after: async ({ userId }) => noteAccess(database(), { userId, kind: 'sign-in', by: null }) }
			}
		},
		advanced: { ipAddress: { ipAddressHeaders: ['x-client-ip'] } }
	});
}

let made: ReturnType<typeof make> | null = null;

/** The sign-in library, set up at first use: a build must not need a secret. */
export const auth = (): ReturnType<typeof make> => (made ??= make());

/**
 * Makes a person who can sign in; there is no sign-up from outside. Without a password nobody can sign in as them
 * until they have chosen one. Returns the user's id.
 */
export async function addUser(
	db: Db,
	person: { email: string; name: string; password: string | null }
): Promise<string> {
	const userId = randomUUID();
	await db
		.insert(schema.user)
		.values({ id: userId, email: person.email.toLowerCase(), name: person.name, emailVerified: true });
	await db.insert(schema.account).values({
		id: randomUUID(),
		userId,
		providerId: 'credential',
		accountId: userId,
		password: await hashPassword(person.password ?? randomBytes(24).toString('base64url'))
	});
	return userId;
}

const JOIN_WITHIN_days = 7;

/** A word with which this user may choose a password, once; words given before are no longer good. Kept as a hash. */
export async function joinToken(db: Db, userId: string): Promise<string> {
	await revokeJoinTokens(db, userId);
	const token = randomBytes(24).toString('base64url');
	const { internalAdapter } = await auth().$context;
	await internalAdapter.createVerificationValue({
		identifier: `reset-password:${token}`,
		value: userId,
		expiresAt: new Date(Date.now() + JOIN_WITHIN_days * 86_400_000)
	});
	return token;
}

export const revokeJoinTokens = (db: Db, userId: string) =>
	db.delete(schema.verification).where(eq(schema.verification.value, userId));

/** Whose word this is; null where it is not good, any more or ever. */
export async function userOfToken(token: string): Promise<string | null> {
	const { internalAdapter } = await auth().$context;
	const found = await internalAdapter.findVerificationValue(`reset-password:${token}`);
	return found && found.expiresAt > new Date() ? found.value : null;
}

/**
 * Sets the password of whoever holds this word, ends their sessions and all their other words. False where the word
 * is not good.
 */
export async function choosePassword(db: Db, token: string, newPassword: string): Promise<boolean> {
	const userId = await userOfToken(token);
	if (userId === null) return false;
	try {
		await auth().api.resetPassword({ body: { token, newPassword } });
	} catch (trouble) {
		if (trouble instanceof APIError) return false;
		throw trouble;
	}
	await revokeJoinTokens(db, userId);
	await noteAccess(db, { userId, kind: 'password', by: null });
	return true;
}

/** Ends every session of a user and every link to choose a password. */
export async function shutOut(db: Db, userId: string): Promise<void> {
	await revokeJoinTokens(db, userId);
	await db.delete(schema.session).where(eq(schema.session.userId, userId));
}
