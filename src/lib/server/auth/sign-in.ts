import type { Cookies } from '@sveltejs/kit';
import { parseSetCookieHeader } from 'better-auth/cookies';
import { throughGate } from './gate';
import { auth } from './library';

/**
 * Signs a person in through the library's own handler, which limits attempts, and passes its cookies on.
 * Answers with the status: 200, 401 for a wrong pair, 429 for too many tries.
 */
export async function signIn(
	request: Request,
	url: URL,
	cookies: Cookies,
	pair: { email: string; password: string }
): Promise<number> {
	const headers = new Headers(request.headers);
	headers.set('content-type', 'application/json');
	headers.delete('content-length');
	const asked = new Request(new URL('/api/auth/sign-in/email', url), {
		method: 'POST',
		headers,
		body: JSON.stringify(pair)
	});
	const answer = await throughGate(pair, () => auth().handler(asked));
	if (!answer.ok) return answer.status === 429 ? 429 : 401;
	for (const [name, cookie] of parseSetCookieHeader(answer.headers.getSetCookie().join(', ')))
		cookies.set(name, decodeURIComponent(cookie.value), {
			path: cookie.path ?? '/',
			httpOnly: true,
			secure: !!cookie.secure,
			sameSite: 'lax',
			...(cookie['max-age'] ? { maxAge: cookie['max-age'] } : {})
		});
	return 200;
}
