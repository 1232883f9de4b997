import { kinds } from '$lib/core/library';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { todayOf } from '$lib/server/library/keep';
import { loadLibrary } from '$lib/server/library/load';
import { schemesOf } from '$lib/server/schemes/keep';
import { serverNow_ms } from '$lib/server/settings';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const member = locals.member!;
	const library = await loadLibrary(database(), member.programId);
	const today = todayOf(member, serverNow_ms());
	const shelves = kinds.map((kind) => ({
		name: kind.name,
		many: kind.many,
		one: kind.one,
		about: kind.about,
		isNeeded: kind.isNeeded,
		href: kind.name === 'program' ? `/library/program/${member.programId}` : `/library/${kind.name}`,
		count: library[kind.name].filter((row) => !kind.endedOn?.(row)).length,
		doubts: library[kind.name].reduce(
			(n, row) => n + (kind.endedOn?.(row) ? 0 : (kind.doubts?.(row, library, today).length ?? 0)),
			0
		),
		isDone: kind.name === 'program' ? library.program[0]!['seasonFrom'] !== null : library[kind.name].length > 0
	}));
	const cards = {
		name: 'cards',
		many: 'Method cards',
		one: 'method card',
		about:
			'What is done at a visit, in which order and within which limits. Shipped in the variants of the schools; ' +
			'every number is yours to set.',
		isNeeded: true,
		href: '/library/cards',
		count: library.cards.length,
		doubts: 0,
		isDone: library.cards.length > 0
	};
	const at = shelves.findIndex((s) => s.name === 'teams');
	const schemes = {
		name: 'schemes',
		many: 'Score schemes',
		one: 'score scheme',
		about: 'Which animals are worth what, and which class a sample falls into. Two examples to begin with.',
		isNeeded: false,
		href: '/library/schemes',
		count: (await schemesOf(database(), member.programId)).length,
		doubts: 0,
		isDone: true
	};
	return {
		shelves: [...shelves.slice(0, at), cards, ...shelves.slice(at), schemes],
		mayKeep: can(member, 'keep-library')
	};
};
