import { z } from 'zod';
import { FlumeLaw } from '../discharge';

const share = z.number().positive().max(1);
const positive = z.number().positive();
const whole = z.number().int().positive();

/** More plates, or blanks, of one bottle are poured by nobody. */
export const MOST_PLATES = 6;

/**
 * The numbers of a method on which programs differ, beyond those that a step carries. Each says what it is, for
 * screen and paper.
 */
export const Limits = z.object({
	plateReadable_h: positive.describe('hours after which a plate may be read'),
	plateTooOld_h: positive.describe('hours after which a plate must not be read'),
	plateLeastTemperature_C: z.number().describe('°C under which a plate grows too slowly for the clock'),
	tubesReadable_h: positive.describe('hours after which tubes and wells may be read'),
	tubesTooOld_h: positive.describe('hours after which tubes and wells must not be read'),
	plateFewColonies: whole.describe('colonies under which a plate says little'),
	plateManyColonies: whole.describe('colonies over which they run together'),
	plateCountersApart_percent: positive.describe(
		'percent of their mean that two people’s counts of one plate may lie apart'
	),
	plateMost_mL: positive.describe('mL, the most that is poured on a plate'),
	plateLeast_mL: positive.describe('mL, the least that is poured on a plate'),
	plateReplicates: whole.max(MOST_PLATES).describe('plates poured of each bottle'),
	plateBlanks: z.number().int().min(0).max(MOST_PLATES).describe('blank plates of sterile water poured with them'),
	plateChance: share.describe('chance under which plates of one bottle differ more than counting alone makes'),
	plateBleach_min: positive.describe('minutes that bleach stands on a read plate'),
	duplicates_percent: positive.describe(
		'percent of their mean that duplicates may lie apart, where their parameter has no limit of its own'
	),
	duplicatesBacteria_log: positive.describe(
		'log10 units that duplicates of bacteria may lie apart, until 15 pairs of your own say better'
	),
	floatCoefficient: share
		.optional()
		.describe('by which a float’s surface speed is reduced; empty: by the depth of the reach'),
	floatArea_percent: positive.describe('percent by which the area of a float’s reach may be off'),
	flume: FlumeLaw.optional().describe('a flume’s rating, coefficient × head^exponent, and where it holds'),
	flumeName: z.string().min(1).max(80).optional().describe('the flume that is used, by its name on the shelf'),
	sectionSystematic_percent: positive.describe('percent, standard uncertainty: what instruments share (ISO 748)'),
	sectionWidth_percent: positive.describe('percent, standard uncertainty of one width (ISO 748)'),
	sectionDepth_percent: positive.describe('percent, standard uncertainty of one depth, shallow water (ISO 748)'),
	sectionMeter_percent: positive.describe('percent, standard uncertainty of the meter’s rating (ISO 748)'),
	sectionExposure_percent: positive.describe(
		'percent, standard uncertainty of one velocity for a short exposure (ISO 748)'
	),
	widths_percent: positive.describe('percent by which the wetted width may differ from the edges of the section'),
	freshSource_percent: positive.describe('percent of the nitrate from which nitrite is asked about'),
	drop_percent: positive.describe('percent by which the strength of the titrant and the size of a drop may be off'),
	cooler_C: positive.describe('°C in the cooler over which bottles count as not kept cold'),
	titrations_mgL: positive.describe('mg/L that two titrations of one water may lie apart'),
	gaugings_percent: positive.describe('percent of their mean that two gaugings of one flow may lie apart'),
	tapeTooLong_percent: positive.describe('percent by which a tape that hangs through may make the width too long'),
	drySummer_days: positive.describe('days that wet gear dries in summer before it goes into other water'),
	drySpringAutumn_days: positive.describe('days that wet gear dries in spring and autumn'),
	dryWinter_days: positive.describe('days that wet gear dries in winter'),
	pickLeast_min: positive.describe('minutes that a timed pick lasts at least'),
	pickMore_min: positive.describe('minutes by which a pick goes on after a new taxon'),
	pickMost_min: positive.describe('minutes that a timed pick lasts at most')
});
export type Limits = z.infer<typeof Limits>;

/** Plain examples to begin with, on the careful side: a program enters its own, with whoever answers for its method. */
const usual: Limits = {
	plateReadable_h: 48,
	plateTooOld_h: 72,
	plateLeastTemperature_C: 18,
	tubesReadable_h: 24,
	tubesTooOld_h: 28,
	plateFewColonies: 15,
	plateManyColonies: 150,
	plateCountersApart_percent: 10,
	plateMost_mL: 5,
	plateLeast_mL: 1,
	plateReplicates: 2,
	plateBlanks: 0,
	plateChance: 0.01,
	plateBleach_min: 1,
	duplicates_percent: 30,
	duplicatesBacteria_log: 0.5,
	floatArea_percent: 10,
	sectionSystematic_percent: 1,
	sectionWidth_percent: 0.5,
	sectionDepth_percent: 3,
	sectionMeter_percent: 1,
	sectionExposure_percent: 7,
	widths_percent: 10,
	freshSource_percent: 10,
	drop_percent: 3,
	cooler_C: 10,
	titrations_mgL: 0.5,
	gaugings_percent: 10,
	tapeTooLong_percent: 1,
	drySummer_days: 7,
	drySpringAutumn_days: 18,
	dryWinter_days: 30,
	pickLeast_min: 40,
	pickMore_min: 5,
	pickMost_min: 60
};

/** A card's limits, with the usual ones where it sets none. */
export const limitsOf = (card: {
	limits?: { [Name in keyof Limits]?: Limits[Name] | undefined } | undefined;
}): Limits => ({
	...usual,
	...(card.limits as Limits | undefined)
}); // a parsed card holds no key without a value
