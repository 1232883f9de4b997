import { z } from 'zod';
import { Instant, leaf, PhotoHash, SheetId, Text, Word } from '../../leaf';

/** Pictures of a visit. */
export const photos = z
	.record(
		SheetId,
		z.object({
			sha256: leaf(PhotoHash),
			takenAt: leaf(Instant),
			/** What it shows: the site board, a sign, the paper sheet. */
			of: leaf(Word),
			caption: leaf(Text),
			/** Of an animal in a tray: the step of the tray, and the compartment that it lay in then. */
			tray: leaf(SheetId),
			compartment: leaf(SheetId)
		})
	)
	.optional();

/** Copies of a sheet that was written on paper, by who typed them; each is typed without seeing the other. */
export const copies = z.record(SheetId, z.object({ startedAt: leaf(Instant), doneAt: leaf(Instant) })).optional();
