import { z } from 'zod';
import { Instant, leaf, SheetId, time_s, Word } from '../../leaf';

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
