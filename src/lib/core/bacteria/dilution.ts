import { positive, atLeast } from '../quantity';

export interface PlateRange {
	plateFewColonies: number;
	plateManyColonies: number;
	plateLeast_mL: number;
	plateMost_mL: number;
}

/**
 * How much water to pour on one plate, mL, when so many are expected in 100 mL: what gives the geometric middle of
 * the countable range, held within what can be poured, and the colonies that are then to be expected. `dilute`: even
 * the least volume would crowd the plate, so the sample is thinned first. RangeError for an expectation below 0. APHA
 * Standard Methods 9222 B.
 */
export function volumeFor(plate: { expectedPer100mL: number } & PlateRange): {
	volume_mL: number;
	expectedColonies: number;
	dilute: boolean;
} {
	const per100 = atLeast('expectedPer100mL', plate.expectedPer100mL, 0);
	const [few, many] = [
		positive('plateFewColonies', plate.plateFewColonies),
		positive('plateManyColonies', plate.plateManyColonies)
	];
	const [least, most] = [positive('plateLeast_mL', plate.plateLeast_mL), positive('plateMost_mL', plate.plateMost_mL)];
	const aim_mL = per100 === 0 ? most : (Math.sqrt(few * many) * 100) / per100;
	const volume_mL = Math.min(most, Math.max(least, roundHalf(aim_mL)));
	const expectedColonies = (per100 * volume_mL) / 100;
	return { volume_mL, expectedColonies, dilute: expectedColonies > many };
}

/** To half a millilitre, as a pipette is read. */
const roundHalf = (volume_mL: number) => Math.round(volume_mL * 2) / 2;

/**
 * Two volumes for two plates of one sample when its density is only known to lie between two figures: one that suits
 * the cleaner, one the dirtier case, so that one of them can be counted either way. Figures per 100 mL. APHA Standard
 * Methods 9222 B.
 */
export function volumesBetween(
	sample: { lowPer100mL: number; highPer100mL: number } & PlateRange
): { volume_mL: number; expectedColonies: number; dilute: boolean }[] {
	return [sample.lowPer100mL, sample.highPer100mL].map((expectedPer100mL) =>
		volumeFor({ ...sample, expectedPer100mL })
	);
}
