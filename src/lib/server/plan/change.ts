import type { Membership } from '../db/queries/members';
import type { Db } from '../db/connect';
import type { Changed, PlanChange } from './asked-change';
import { changeRound } from './change-round';
import { takeBack } from './take-back';
import { takeRounds } from './take-rounds';

/** A change that cannot be made: what was written before in the same transaction is not. */
class NotDone extends Error {
	constructor(readonly changed: Changed & { ok: false }) {
		super(changed.why);
	}
}

/** Changes the plan, with an audit line for each round, all or nothing. */
export async function changePlan(db: Db, who: Membership, change: PlanChange, now_ms: number): Promise<Changed> {
	try {
		return await db.transaction(async (tx) => {
			const done = await oneChange(tx, who, change, now_ms);
			if (!done.ok) throw new NotDone(done);
			return done;
		});
	} catch (error) {
		if (error instanceof NotDone) return error.changed;
		throw error;
	}
}

function oneChange(tx: Db, who: Membership, change: PlanChange, now_ms: number): Promise<Changed> {
	if (change.change === 'take') return takeRounds(tx, who, change.rounds, now_ms);
	if (change.change === 'undo') return takeBack(tx, who, change.audited, now_ms);
	return changeRound(tx, who, change, now_ms);
}
