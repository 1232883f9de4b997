import { z } from 'zod';
import { Instant, leaf, SheetId, Text, Word } from '../../leaf';

/** A picture; its bytes are named by their SHA-256 and travel apart. */
export const photos = z
	.record(
		SheetId,
		z.object({
			sha256: leaf(z.string().regex(/^[0-9a-f]{64}$/, 'a photo is named by the SHA-256 of its bytes')),
			takenAt: leaf(Instant),
			/** What it shows: the site board, a sign, the paper sheet. */
			of: leaf(Word),
			caption: leaf(Text)
		})
	)
	.optional();

/** Copies of a sheet that was written on paper, by who typed them; each is typed without seeing the other. */
export const copies = z.record(SheetId, z.object({ startedAt: leaf(Instant), doneAt: leaf(Instant) })).optional();
