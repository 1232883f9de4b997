import { fold, type Entry, type Folded } from '../../core/logbook';
import type { Member } from '../access';
import type { Db } from '../db/connect';
import { visitFacts } from '../projection/facts';
import { OFFICE, strikesOf } from '../sync/office-lines';
import { receiveOwn } from '../sync/receive';
import { alone } from './take';

/**
 * Strikes what a file brought for one tray; what was tapped at it stays. False where no file brought anything. A visit
 * that was opened for it stays too, with nothing in it.
 */
export function takeBackCounts(
	db: Db,
	member: Member,
	{ visitId, step }: { visitId: string; step: string },
	now_ms: number
): Promise<boolean> {
	return db.transaction(async (tx) => {
		await alone(tx, member.programId);
		const [facts] = await visitFacts(tx, member.programId, [visitId]);
		const brought = facts ? broughtAt(fold(facts.entries).lines, step) : [];
		if (brought.length === 0) return false;
		const strikes = await strikesOf(tx, member, brought, 'The counts of the file are taken back', now_ms);
		const { refused } = await receiveOwn(tx, member, strikes, now_ms);
		if (refused[0]) throw new Error(`${refused[0].path}: ${refused[0].why}`);
		return true;
	});
}

/** What the office wrote at a tray that nobody struck or replaced since. */
const broughtAt = (lines: Folded['lines'], step: string): Entry[] =>
	[...lines.values()]
		.filter(({ path }) => path.startsWith(`trays/${step}/`) || path.startsWith(`tallies/${step}/`))
		.flatMap(({ history }) => {
			const gone = new Set(history.map((e) => e.was));
			return history.filter((e) => e.device === OFFICE && e.op !== 'strike' && !gone.has(e.id));
		});
