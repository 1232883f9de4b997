import { z } from 'zod';
import { Instant, leaf, SheetId, Word } from '../../leaf';

/** What became of a sampler in the stream. Only one that was found whole caught what others catch. */
export const samplerStates = ['found', 'buried', 'lost'] as const;
export type SamplerState = (typeof samplerStates)[number];

/** A sampler that stood in the stream and is lifted, by the step that asks for it. */
export const samplers = z
	.record(
		SheetId,
		z.object({
			/** Its code in the library, where it stands there. */
			code: leaf(Word),
			/** The day on which it was set. */
			setOn: leaf(z.iso.date({ error: 'a day is like 2026-05-14' })),
			state: leaf(z.enum(samplerStates, { error: 'found, buried or lost' })),
			liftedAt: leaf(Instant)
		})
	)
	.optional();
