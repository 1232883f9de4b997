import { DEMO_PASSWORD, demoSignIns } from '../src/lib/server/demo/people';
import type { Role } from '../src/lib/core/library';

/** Signs a demo person in over HTTP; the cookies are for a browser or for a header. */
export async function signIn(url: string, role: Role): Promise<{ name: string; value: string; url: string }[]> {
	const { email } = demoSignIns.find((s) => s.role === role)!;
	const answer = await fetch(`${url}/api/auth/sign-in/email`, {
		method: 'POST',
		headers: { 'content-type': 'application/json', origin: url },
		body: JSON.stringify({ email, password: DEMO_PASSWORD })
	});
	if (!answer.ok) throw new Error(`sign-in answered ${String(answer.status)}`);
	return answer.headers.getSetCookie().map((line) => {
		const [pair = ''] = line.split(';');
		const at = pair.indexOf('=');
		return { name: pair.slice(0, at), value: decodeURIComponent(pair.slice(at + 1)), url };
	});
}

export const cookieHeader = (cookies: readonly { name: string; value: string }[]): string =>
	cookies.map((c) => `${c.name}=${encodeURIComponent(c.value)}`).join('; ');
