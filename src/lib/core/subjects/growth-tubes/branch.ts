import { z } from 'zod';
import { Instant, leaf, measure, SheetId } from '../../leaf';

/** More tubes or wells of one volume than any tray has. */
export const MOST_TUBES = 100;
const nth = z
	.number()
	.int('a tube is counted whole')
	.min(1)
	.max(MOST_TUBES, `at most ${MOST_TUBES} tubes of one volume`);

/** Tubes or wells of several volumes that were filled from a bottle, one branch for each set. */
export const growthTubes = z
	.record(
		SheetId,
		z.object({
			bottle: leaf(SheetId),
			filledAt: leaf(Instant),
			readAt: leaf(Instant),
			/** By their volume: how many there are, and the numbers of those in which something grew. */
			rows: z
				.record(
					SheetId,
					z.object({
						volume_mL: leaf(measure('volume', 0.0001, 1000, 'mL')),
						tubes: leaf(nth),
						grown: leaf(z.array(nth).max(MOST_TUBES))
					})
				)
				.optional()
		})
	)
	.optional();

/** They are the bench's. */
export const ofBench = /^growthTubes\//;
