import { expect, it } from 'vitest';
import { sayAccess } from './say-access';

it('a way into an account is said with who and when', () => {
	const at = '2026-05-14T11:20:00.000Z';
	expect(sayAccess({ kind: 'link', by: 'Orla', at }, 'Etc/UTC')).toBe(
		'Orla made a link to choose a new password for this account, Thu 14 May 2026, 11:20.'
	);
	expect(sayAccess({ kind: 'password', by: null, at }, 'Etc/UTC')).toMatch(/new password was chosen.*ended/);
	expect(sayAccess({ kind: 'sign-in', by: null, at }, 'Etc/UTC')).toMatch(/^Signed in/);
});
