import { z } from 'zod';
import { PhotoHash } from '../../core/leaf';

/** Entries that one exchange may bring; a phone with more sends them in turn. */
export const MOST_ENTRIES = 5000;

/** What a device sends: what it has seen (`since`), what it has written, which photos it holds, what its clock says. */
export const SyncRequest = z.object({
	since: z
		.union([z.string().max(200), z.number()], { error: 'since is the cursor of the last answer, or null' })
		.nullish(),
	entries: z
		.array(z.unknown(), { error: 'entries is a list' })
		.max(MOST_ENTRIES, `at most ${MOST_ENTRIES} entries at a time`)
		.default([]),
	photos: z.array(PhotoHash).max(200).default([]),
	deviceTime: z.iso.datetime({ error: 'deviceTime is an instant' }).optional()
});
export type SyncRequest = z.infer<typeof SyncRequest>;

export interface Received {
	accepted: string[];
	refused: Refusal[];
}

export interface Refusal {
	id: string | null;
	path: string | null;
	why: string;
}
