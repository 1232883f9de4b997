import {
	atLeast,
	given,
	minus,
	orDefault,
	over,
	positive,
	times,
	type Given,
	type Step,
	type Working
} from '../quantity';

export type Titration =
	| { mode: 'drops'; drops: number; mgLPerDrop: number; blankDrops?: number | null }
	| {
			mode: 'molar';
			titrantVolume_mL: number;
			titrantNormality_N: number;
			sampleVolume_mL: number;
			blankVolume_mL?: number | null;
			bottleVolume_mL?: number | null;
			displacedVolume_mL?: number | null;
	  };

/**
 * Dissolved oxygen from a fixed and titrated bottle, in mg/L: drops of a set strength, or a volume of known normality.
 * When the bottle's volume is given, the sample displaced by the reagents is made good. `belowBlank` tells that less
 * titrant was used than the blank needed; the figure is then 0. APHA Standard Methods 4500-O C. RangeError on amounts
 * that cannot be, or an unknown mode.
 */
export function titrationOxygen(titration: Titration): {
	dissolvedOxygen_mgL: number;
	belowBlank: boolean;
	working: Working | null;
} {
	switch (titration.mode) {
		case 'drops': {
			const drops = atLeast('drops', titration.drops, 0);
			const perDrop = positive('mgLPerDrop', titration.mgLPerDrop);
			const blank = atLeast('blankDrops', orDefault(titration.blankDrops, 0), 0);
			return above(given(drops, 'drops'), given(blank, 'drops'), (used) => times(used, given(perDrop, 'mg/L')));
		}
		case 'molar': {
			const used = atLeast('titrantVolume_mL', titration.titrantVolume_mL, 0);
			const normality = positive('titrantNormality_N', titration.titrantNormality_N);
			const sample = positive('sampleVolume_mL', titration.sampleVolume_mL);
			const blank = atLeast('blankVolume_mL', orDefault(titration.blankVolume_mL, 0), 0);
			const bottle = madeGood(titration);
			return above(given(used, 'mL'), given(blank, 'mL'), (titrant) => {
				const step = over(times(titrant, given(normality, 'N'), given(MG_OXYGEN_PER_EQUIVALENT)), given(sample, 'mL'));
				return bottle === null ? step : times(step, bottle);
			});
		}
		default:
			throw new RangeError(`mode must be drops or molar: ${String((titration as { mode?: unknown }).mode)}`);
	}
}

const MG_OXYGEN_PER_EQUIVALENT = 8000;

function above(used: Given, blank: Given, strength: (titrant: Step) => Step) {
	if (used.number < blank.number) return { dissolvedOxygen_mgL: 0, belowBlank: true, working: null };
	const step = strength(blank.number === 0 ? used : minus(used, blank));
	return { dissolvedOxygen_mgL: step.number, belowBlank: false, working: { step, unit: 'mg/L' } };
}

/** What the sample lost to the reagents, as a factor; null where it was not asked for. */
function madeGood(t: { bottleVolume_mL?: number | null; displacedVolume_mL?: number | null }): Step | null {
	if (t.bottleVolume_mL == null) return null;
	const bottle = positive('bottleVolume_mL', t.bottleVolume_mL);
	const displaced = atLeast('displacedVolume_mL', t.displacedVolume_mL, 0);
	if (displaced >= bottle)
		throw new RangeError(`displacedVolume_mL must be under the bottle's ${bottle} mL: ${displaced}`);
	return over(given(bottle, 'mL'), minus(given(bottle, 'mL'), given(displaced, 'mL')));
}

/**
 * Normality of a titrant, in N, by how much of it a standard took: equivalents of both are alike. APHA Standard Methods
 * 4500-O C, 2. RangeError on amounts that are not above 0.
 */
export function titrantNormality(check: {
	standardVolume_mL: number;
	standardNormality_N: number;
	titrantVolume_mL: number;
}): number {
	const standard = positive('standardVolume_mL', check.standardVolume_mL);
	const normality = positive('standardNormality_N', check.standardNormality_N);
	return (standard * normality) / positive('titrantVolume_mL', check.titrantVolume_mL);
}
