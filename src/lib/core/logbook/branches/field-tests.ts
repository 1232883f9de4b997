import { z } from 'zod';
import { count, Instant, leaf, measure, SheetId, ticks, time_s, Word, YesNo } from '../leaf';

/** What a disc on a line cannot be read through. */
export const discSpoilers = ['polarised', 'low-sun', 'glare', 'waves', 'on-bed', 'current'] as const;
export type DiscSpoiler = (typeof discSpoilers)[number];

export const disc = z.object({ spoilers: ticks(discSpoilers) }).optional();

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

/** Waits that a kit or flume asks for, while they run. */
export const waits = z
	.record(
		SheetId,
		z.object({
			what: leaf(Word),
			startedAt: leaf(Instant),
			least_s: leaf(time_s),
			most_s: leaf(time_s),
			endedAt: leaf(Instant)
		})
	)
	.optional();
