import { randomBytes, randomUUID } from 'node:crypto';
import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { APIError } from 'better-auth/api';
import { hashPassword } from 'better-auth/crypto';
import { database, type Db } from '../db/connect';
import * as schema from '../db/schema';
import { settings } from '../settings';

const SIGN_IN_WINDOW_s = 60;
const SIGN_INS_IN_WINDOW = 12; // a class that signs in from one hall is not locked out; a guesser is

function make() {
	const { ORIGIN, KEEN_RIFFLE_SECRET } = settings();
	return betterAuth({
		baseURL: ORIGIN,
		secret: KEEN_RIFFLE_SECRET,
		telemetry: { enabled: false },
		database: drizzleAdapter(database(), { provider: 'pg', schema }),
		emailAndPassword: { enabled: true, disableSignUp: true, minPasswordLength: 10 },
		session: { expiresIn: 60 * 60 * 24 * 60, updateAge: 60 * 60 * 24 },
		rateLimit: { enabled: true, storage: 'database', customRules: { '/sign-in/email': { window: SIGN_IN_WINDOW_s, max: SIGN_INS_IN_WINDOW } } },
		advanced: { ipAddress: { ipAddressHeaders: ['x-client-ip'] } }
	});
}

let made: ReturnType<typeof make> | null = null;

/** The sign-in library, set up at first use: a build must not need a secret. */
export const auth = (): ReturnType<typeof make> => (made ??= make());

/**
 * Makes a person who can sign in; there is no sign-up from outside. Without a password nobody can sign in as them until they
 * have chosen one. Returns the user's id.
 */
export async function addUser(db: Db, person: { email: string; name: string; password: string | null }): Promise<string> {
	const userId = randomUUID();
	await db.insert(schema.user).values({ id: userId, email: person.email.toLowerCase(), name: person.name, emailVerified: true });
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

/** A word with which this user may choose a password once; the library's own way of resetting one takes it. */
export async function joinToken(userId: string): Promise<string> {
	const token = randomBytes(24).toString('base64url');
	const { internalAdapter } = await auth().$context;
	await internalAdapter.createVerificationValue({
		identifier: `reset-password:${token}`,
		value: userId,
		expiresAt: new Date(Date.now() + JOIN_WITHIN_days * 86_400_000)
	});
	return token;
}

/** Sets the password of whoever holds this word. False where the word is not good, any more or ever. */
export async function choosePassword(token: string, newPassword: string): Promise<boolean> {
	try {
		await auth().api.resetPassword({ body: { token, newPassword } });
		return true;
	} catch (trouble) {
		if (trouble instanceof APIError) return false;
		throw trouble;
	}
}
