import { sayDay, sayTime } from '$lib/core/wording';

/** A way into an account, in a sentence. */
export function sayAccess(
	{ kind, by, at }: { kind: 'link' | 'password' | 'sign-in'; by: string | null; at: string },
	timeZone: string
): string {
	const when = `${sayDay(Date.parse(at), timeZone, true)}, ${sayTime(Date.parse(at), timeZone)}`;
	switch (kind) {
		case 'link':
			return `${by ?? 'Somebody'} made a link to choose a new password for this account, ${when}.`;
		case 'password':
			return `A new password was chosen, ${when}. Every session from before was ended.`;
		case 'sign-in':
			return `Signed in, ${when}.`;
	}
}
