import { z } from 'zod';

const ANY = 'http://here.invalid';

/**
 * A path of our own, as a browser reads it: what leads to another address is none, whatever signs it is written with.
 */
export function ownPath(to: string): string | null {
	if (!to.startsWith('/') || /[\s\\]/.test(to)) return null;
	try {
		const { origin, pathname, search, hash } = new URL(to, ANY);
		return origin === ANY && !pathname.startsWith('//') ? pathname + search + hash : null;
	} catch {
		return null;
	}
}

export const SignInForm = z.object({
	email: z.email('That is not an e-mail address.').max(200),
	password: z.string().min(1, 'A password is needed.').max(200),
	to: z
		.string()
		.max(300)
		.transform((to) => ownPath(to) ?? '/')
		.catch('/')
		.default('/')
});
