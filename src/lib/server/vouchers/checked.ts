import type { CheckedBy } from '../../core/score-schemes';
import { isUnnamed } from '../../core/subjects/tray/compartments';
import { agreedName } from '../../core/subjects/voucher/agreed-name';
import type { Db } from '../db/connect';
import { animalsKnown } from '../db/queries/own-animals';
import { opinionsOf } from '../db/queries/vouchers';

const MOST_CHECKED = 2_000;

/**
 * What those who looked at kept animals agree that they are, beside what they were counted as, and by whom. Animals
 * that nobody named say nothing of how often names are right.
 */
export async function checksOf(db: Db, programId: string): Promise<CheckedBy[]> {
	const vouchers = await opinionsOf(db, programId, MOST_CHECKED);
	const animals = await animalsKnown(db, programId);
	return vouchers.flatMap(({ id, taxon, opinions, by }) => {
		if (isUnnamed(taxon)) return [];
		const { name } = agreedName({ opinions: { [id]: opinions ?? {} } }, id, animals);
		return name === null ? [] : [{ counted: taxon, is: name, by }];
	});
}
