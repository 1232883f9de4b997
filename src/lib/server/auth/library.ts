import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { hashPassword } from 'better-auth/crypto';
import { database } from '../db/connect';
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

/** Makes a person who can sign in; there is no sign-up from outside. Returns the user's id. */
export async function createUser(person: { email: string; name: string; password: string }): Promise<string> {
	const { internalAdapter } = await auth().$context;
	const user = await internalAdapter.createUser({ email: person.email, name: person.name, emailVerified: true }, { method: 'admin' });
	await internalAdapter.linkAccount({ userId: user.id, providerId: 'credential', accountId: user.id, password: await hashPassword(person.password) });
	return user.id;
}
