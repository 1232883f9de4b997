import { can, rolesOf } from '$lib/server/access';
import { untoldAccess } from '$lib/server/auth/access-events';
import { database } from '$lib/server/db/connect';
import { ownAnimalsOf } from '$lib/server/db/queries/own-animals';
import { serverNow_ms } from '$lib/server/settings';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals }) => {
	const member = locals.member!;
	const tabs = [
		{ word: 'Today', href: '/today', key: '1', action: 'see-today' as const },
		{ word: 'Plan', href: '/plan', key: '2', action: 'see-plan' as const },
		{ word: 'Pack', href: '/pack', key: '3', action: 'sample' as const },
		{ word: 'Sample', href: '/sample', key: '4', action: 'sample' as const },
		{ word: 'Bench', href: '/bench', key: '9', action: 'sample' as const },
		{ word: 'Review', href: '/review', key: '5', action: 'see-queue' as const },
		{ word: 'Sites', href: '/sites', key: '6', action: 'see-site' as const },
		{ word: 'Library', href: '/library', key: '7', action: 'see-library' as const },
		{ word: 'Visits', href: '/visits', key: '8', action: 'see-visit' as const }
	];
	return {
		now_ms: serverNow_ms(),
		access: await untoldAccess(database(), member.userId),
		person: { name: member.name, role: rolesOf(member).join(', ') },
		program: {
			name: member.program.name,
			timeZone: member.program.timeZone,
			isDemo: member.program.isDemo,
			dates: member.program.dates,
			numbers: member.program.numbers
		},
		animals: await ownAnimalsOf(database(), member.programId),
		tabs: tabs.filter((t) => can(member, t.action)).map(({ word, href, key }) => ({ word, href, key }))
	};
};
