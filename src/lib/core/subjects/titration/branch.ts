import { z } from 'zod';
import { count, Instant, leaf, measure, SheetId, YesNo } from '../../leaf';

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
			mgLPerDrop: leaf(measure('strength of a drop', 0.01, 5, 'mg/L'))
		})
	)
	.optional();

/** A fixed bottle may be titrated at the bench. */
export const ofBench = /^titrations\//;
