import type { Sheet } from '../../logbook';
import { isTitrated, stepOfTitration, type TitrationStep } from './step';

export interface FixedBottle {
	id: string;
	label: string;
	step: TitrationStep;
	/** The end of the hours in which it is titrated. */
	last_ms: number;
}

/** Bottles that were fixed and wait to be titrated; the one whose time ends first stands first. */
export function fixedBottles(titrations: Sheet['titrations'], steps: readonly TitrationStep[]): FixedBottle[] {
	const waiting = Object.entries(titrations ?? {}).flatMap(([id, bottle]): FixedBottle[] => {
		const step = stepOfTitration(id, steps);
		if (!step || bottle.fixedAt === undefined || bottle.hasBubble || isTitrated(bottle)) return [];
		const label = step.bottles.find((b) => b.id === id)?.label ?? id;
		return [{ id, label, step, last_ms: Date.parse(bottle.fixedAt) + step.within_h * 3_600_000 }];
	});
	return waiting.sort((a, b) => a.last_ms - b.last_ms);
}
