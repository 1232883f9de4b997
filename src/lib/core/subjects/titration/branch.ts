import { z } from 'zod';
import { count, Instant, leaf, measure, SheetId, YesNo } from '../../leaf';

const normality_N = measure('normality', 0.0005, 2, 'N');

/** Oxygen fixed in a bottle and titrated, one branch for each bottle. */
export const titrations = z
	.record(
		SheetId,
		z.object({
			/** A bubble under the stopper means: start again. */
			hasBubble: leaf(YesNo),
			fixedAt: leaf(Instant),
			acidAt: leaf(Instant),
			drops: leaf(count),
			blankDrops: leaf(count),
			mgLPerDrop: leaf(measure('strength of a drop', 0.01, 5, 'mg/L')),
			/** Out of a burette instead of by drops: how much of a titrant of which strength for how much water. */
			titrant_mL: leaf(measure('titrant', 0, 100, 'mL')),
			blank_mL: leaf(measure('titrant of the blank', 0, 100, 'mL')),
			sample_mL: leaf(measure('water that was titrated', 1, 1000, 'mL')),
			/** As its label says. */
			normality_N: leaf(normality_N)
		})
	)
	.optional();

/** The titrant held against a standard, one branch for each time. */
export const titrantChecks = z
	.record(
		SheetId,
		z.object({
			standard_mL: leaf(measure('standard', 0.1, 500, 'mL')),
			standard_N: leaf(normality_N),
			titrant_mL: leaf(measure('titrant', 0.1, 100, 'mL'))
		})
	)
	.optional();

/** A fixed bottle may be titrated at the bench. */
export const ofBench = /^(titrations|titrantChecks)\//;
