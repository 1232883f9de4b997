import { v7 } from 'uuid';
import { fold } from '../../core/logbook';
import { keepingOf } from '../../core/subjects/voucher/keeping';
import { capitalised } from '../../core/wording';
import type { Membership } from '../db/queries/members';
import type { Db } from '../db/connect';
import { todayOf } from '../library/keep';
import { visitFacts } from '../projection/facts';
import { officeEntries, type OfficeLine } from '../sync/office-lines';
import { receiveOwn } from '../sync/receive';

/** What is done to a lot on its shelf. */
export type Done =
	{ deed: 'place'; shelf: string } | { deed: 'top-up' } | { deed: 'lend'; to: string } | { deed: 'take-back' };

/** Writes what was done to a lot into its visit's logbook, by the day on which it is done; or says why it cannot be. */
export function keepVoucher(
	db: Db,
	who: Membership,
	{ visitId, voucher }: { visitId: string; voucher: string },
	done: Done,
	now_ms: number
): Promise<{ why: string } | null> {
	return db.transaction(async (tx) => {
		const [facts] = await visitFacts(tx, who.programId, [visitId]);
		const lot = facts && fold(facts.entries).sheet.vouchers?.[voucher];
		if (lot?.taxon === undefined) return { why: 'This visit kept no such animals.' };
		const today = todayOf(who, now_ms);
		const { keptIn = null, keptAt = null, shelf = null, toppedUpOn = null, loans = null } = lot;
		const { lent } = keepingOf({ keptIn, keptAt, shelf, toppedUpOn, loans }, today);
		const at = `vouchers/${voucher}`;
		const set = (path: string, value: string): OfficeLine => ({
			visitId,
			path: `${at}/${path}`,
			value,
			isCorrection: true
		});
		const linesFor = (): OfficeLine[] | { why: string } => {
			switch (done.deed) {
				case 'place':
					return [set('shelf', done.shelf)];
				case 'top-up':
					return keptIn === 'ethanol' ? [set('toppedUpOn', today)] : { why: 'It lies in no ethanol.' };
				case 'lend': {
					if (lent) return { why: `${lent.to} has it since ${lent.on}. Say first that it is back.` };
					const loan = `loans/${v7()}`;
					return [set(`${loan}/to`, done.to), set(`${loan}/lentOn`, today)];
				}
				case 'take-back':
					return lent ? [set(`loans/${lent.id}/backOn`, today)] : { why: 'Nobody has it: it is on its shelf.' };
			}
		};
		const lines = linesFor();
		if ('why' in lines) return lines;
		const entries = await officeEntries(tx, who, lines, now_ms);
		const { refused } = await receiveOwn(tx, who, entries, now_ms);
		return refused[0] ? { why: `${capitalised(refused[0].why)}.` } : null;
	});
}
