import type { Item } from './agenda';

/*
 * Whom what concerns: each role's Today shows what that person can do something about. A coordinator's shows all.
 */

const out: Item['kind'][] = ['open-visit', 'bottle', 'gear', 'grab', 'round', 'sampler', 'storm', 'consumable'];
const concerns = {
	monitor: out,
	bench: ['open-visit', 'bottle', 'plate', 'tubes', 'fixed', 'consumable'],
	reviewer: ['open-visit', 'review', 'conflict', 'calibration'],
	viewer: []
} satisfies Record<string, Item['kind'][]>;

/** What in an agenda is said to somebody of these roles, in its order. */
export function concerning(items: readonly Item[], roles: readonly (keyof typeof concerns | 'coordinator')[]): Item[] {
	const kinds = new Set<Item['kind']>();
	for (const role of roles) {
		if (role === 'coordinator') return [...items];
		for (const kind of concerns[role]) kinds.add(kind);
	}
	return items.filter((i) => kinds.has(i.kind));
}
