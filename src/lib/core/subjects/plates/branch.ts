import { z } from 'zod';
import { count, Instant, leaf, measure, SheetId, temperature_C, YesNo } from '../../leaf';

export const plateStates = ['counted', 'tooMany', 'spoiled'] as const;

/** Plates poured from the visit's bottles, one branch for each. */
export const plates = z
	.record(
		SheetId,
		z.object({
			/** The bottle whose water was poured. */
			bottle: leaf(SheetId),
			volume_mL: leaf(measure('volume', 0.001, 1000, 'mL')),
			pouredAt: leaf(Instant),
			readAt: leaf(Instant),
			state: leaf(z.enum(plateStates, { error: 'counted, too many, or spoiled' })),
			count: leaf(count),
			isBlank: leaf(YesNo),
			/** Where it stood, the coldest seen. */
			temperature_C: leaf(temperature_C)
		})
	)
	.optional();

/** Plates are the bench's. */
export const ofBench = /^plates\//;
