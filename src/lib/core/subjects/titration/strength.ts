import { titrantNormality, titrationOxygen } from '../../oxygen';
import type { Sheet } from '../../logbook';
import type { Working } from '../../quantity';
import { mean } from '../../statistics';
import type { TitrationStep } from './step';

export type TitrationBottle = NonNullable<Sheet['titrations']>[string];
export type TitrantChecks = Sheet['titrantChecks'];

/** A burette is read to a tenth of a mL. */
const BURETTE_mL = 0.1;

export interface Titrated {
	dissolvedOxygen_mgL: number;
	belowBlank: boolean;
	working: Working | null;
	/** What the least that can be told apart is worth: a drop, or a mark of the burette. */
	grain_mgL: number;
	isBlanked: boolean;
}

/**
 * Oxygen of one bottle that was titrated by drops. The colour went somewhere within the last drop, so half a drop
 * comes off, unless a blank that was titrated the same way takes it off already.
 */
export function titrated({
	drops,
	blankDrops,
	mgLPerDrop
}: {
	drops: number;
	blankDrops?: number | undefined;
	mgLPerDrop: number;
}): Titrated {
	const counted = blankDrops === undefined ? Math.max(0, drops - 0.5) : drops;
	return {
		...titrationOxygen({ mode: 'drops', drops: counted, mgLPerDrop, blankDrops: blankDrops ?? 0 }),
		grain_mgL: mgLPerDrop,
		isBlanked: blankDrops !== undefined
	};
}

/**
 * The normality of the titrant that counts: what its checks against a standard found, on average; where it was not
 * checked, what its label says. Null where nobody said.
 */
export function normalityOf(label_N: number | undefined, checks: TitrantChecks): number | null {
	const found = Object.values(checks ?? {}).flatMap(({ standard_mL, standard_N, titrant_mL }) =>
		standard_mL === undefined || standard_N === undefined || titrant_mL === undefined
			? []
			: [
					titrantNormality({
						standardVolume_mL: standard_mL,
						standardNormality_N: standard_N,
						titrantVolume_mL: titrant_mL
					})
				]
	);
	return mean(found) ?? label_N ?? null;
}

/** Oxygen of a bottle, by drops or by burette; null where it is not titrated, or something is still wanting. */
export function oxygenOf(
	bottle: TitrationBottle,
	checks: TitrantChecks,
	step: Pick<TitrationStep, 'bottle_mL' | 'reagents_mL'> | undefined
): Titrated | null {
	const { drops, blankDrops, mgLPerDrop, titrant_mL, sample_mL, blank_mL } = bottle;
	const normality_N = normalityOf(bottle.normality_N, checks);
	if (titrant_mL !== undefined) {
		if (sample_mL === undefined || normality_N === null) return null;
		const of = { titrantNormality_N: normality_N, sampleVolume_mL: sample_mL, ...displaced(step) };
		return {
			...titrationOxygen({ mode: 'molar', titrantVolume_mL: titrant_mL, blankVolume_mL: blank_mL ?? 0, ...of }),
			grain_mgL: titrationOxygen({ mode: 'molar', titrantVolume_mL: BURETTE_mL, ...of }).dissolvedOxygen_mgL,
			isBlanked: blank_mL !== undefined
		};
	}
	return drops === undefined || mgLPerDrop === undefined ? null : titrated({ drops, blankDrops, mgLPerDrop });
}

/** What the reagents displaced, where the card says how large its bottles are. */
const displaced = (step: Pick<TitrationStep, 'bottle_mL' | 'reagents_mL'> | undefined) =>
	step?.bottle_mL === undefined || step.reagents_mL === undefined
		? {}
		: { bottleVolume_mL: step.bottle_mL, displacedVolume_mL: step.reagents_mL };
