import type { PackedBottle } from '../../custody';
import type { Sheet } from '../../logbook';
import type { MethodCard } from '../../method';
import { keepsFor_h, preservedIn, type BottleSheet } from './held';
import type { BottleStep } from './step';

/** A bottle of a visit, with what its card says of it. */
export interface BottleOfVisit {
	visitId: string;
	site: string;
	id: string;
	bottle: BottleSheet;
	card: Pick<MethodCard, 'holding'>;
	step: BottleStep | undefined;
}

/** A bottle as whoever packs it wants to know it. */
export function asPacked({ visitId, id, site, bottle, card, step }: BottleOfVisit): PackedBottle {
	const kind = bottle.kind ?? step?.bottle.kind ?? 'nutrients';
	return {
		visitId,
		id,
		site,
		label: bottle.label ?? null,
		kind,
		filledAt: bottle.filledAt ?? null,
		asked: step?.bottle.preserved ?? null,
		preserved: preservedIn(bottle, step),
		isFilterAsked: step?.bottle.isFiltered === true,
		filteredAt: bottle.filteredAt ?? null,
		onIceAt: bottle.onIceAt ?? null,
		keeps_h: keepsFor_h({ ...bottle, kind }, step, card, null),
		isReported: [bottle.reports, bottle.results].some((found) => Object.keys(found ?? {}).length > 0)
	};
}

const ELSEWHERE = ['atLabAt', 'platedAt', 'results', 'reports'] as const;

/** Bottles of a sheet that were filled and that no lab and no bench has yet, by their ids. */
export function bottlesWaiting({
	bottles = {},
	plates = {},
	growthTubes = {}
}: Pick<Sheet, 'bottles' | 'plates' | 'growthTubes'>): string[] {
	const made = new Set([...Object.values(plates), ...Object.values(growthTubes)].map((one) => one.bottle));
	return Object.entries(bottles)
		.filter(
			([id, bottle]) =>
				bottle.filledAt !== undefined &&
				bottle.kind !== undefined &&
				ELSEWHERE.every((place) => bottle[place] === undefined) &&
				!made.has(id)
		)
		.map(([id]) => id);
}
