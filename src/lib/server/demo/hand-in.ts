import type { Entry } from '../../core/logbook';
import type { Db } from '../db/connect';
import { receiveEntries } from '../sync/receive';
import type { Cast } from './reference-data';

/**
 * Lines handed in by who wrote them, as phones do: first those of the visits that each opened, then those of others'
 * visits. RangeError for a line that the logbook refuses: the demo is wrong then.
 */
export async function handIn(tx: Db, { writers }: Cast, lines: readonly Entry[], received_ms: number): Promise<void> {
	const openedBy = new Map(lines.flatMap((l) => (l.path === 'opening' ? [[l.visitId, l.by] as const] : [])));
	for (const isOpener of [true, false])
		for (const writer of writers.values()) {
			const theirs = lines.filter((l) => l.by === writer.id && (openedBy.get(l.visitId) === writer.id) === isOpener);
			const { refused } = await receiveEntries(tx, writer.member, theirs, { now_ms: received_ms, skew_ms: null });
			if (refused.length)
				throw new RangeError(`the demo wrote a line that the logbook refuses: ${JSON.stringify(refused[0])}`);
		}
}
