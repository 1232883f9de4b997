import type { BottleKind, Preservative } from '../subjects/bottle/branch';
import type { Against } from '../subjects/bottle/reception';
import { heldFor_h } from './holding';
import type { PackedBottle } from './known-boxes';

/** What is known of a bottle that is to be sent to a lab. */
export type BottleToSend = Omit<PackedBottle, 'visitId' | 'id' | 'site' | 'isReported'>;

/** What can be wanting in a bottle before it leaves, what cannot be mended last. */
const lacks = ['label', 'preservative', 'ice', 'time', 'filter'] as const;
export type Lack = (typeof lacks)[number];

export function whatLacks(bottle: BottleToSend): Lack[] {
	const isWanting: Record<Lack, boolean> = {
		label: bottle.label === null,
		preservative: bottle.asked !== null && bottle.preserved === null,
		ice: bottle.onIceAt === null,
		time: bottle.filledAt === null,
		filter: bottle.isFilterAsked && bottle.filteredAt === null
	};
	return lacks.filter((l) => isWanting[l]);
}

/** What will speak against a bottle that comes to its lab at a moment: it is held for longer than it keeps. */
export function tooOldAt({ filledAt, keeps_h }: BottleToSend, at_ms: number): Extract<Against, { of: 'held' }> | null {
	if (filledAt === null) return null;
	const held_h = heldFor_h(Date.parse(filledAt), at_ms);
	return held_h > keeps_h ? { of: 'held', held_h, limit_h: keeps_h } : null;
}

/** Bottles that share a bag: what leaks from one must not get into another with something else in it. */
export function bagsOf<B extends BottleToSend>(bottles: readonly B[]): { holds: Preservative | null; bottles: B[] }[] {
	const holds = [...new Set(bottles.map((b) => b.preserved))].sort((a, b) => (a ?? '').localeCompare(b ?? ''));
	return holds.map((held) => ({ holds: held, bottles: bottles.filter((b) => b.preserved === held) }));
}

/** Whether a lab that does these analyses has any use for such a bottle; one that says nothing takes all. */
export const isForLab = (kind: BottleKind, analyses: readonly string[]): boolean =>
	analyses.length === 0 || analyses.includes(kind === 'bacteria' ? 'bacteria' : 'nutrients');
