import type { BranchWords } from '../branch-words';
import type { Verdict } from './branch';

/** What a result is after a reviewer's word. */
export const verdictWords = {
	accept: 'accepted',
	qualify: 'qualified',
	reject: 'rejected'
} as const satisfies Record<Verdict['verdict'], string>;

/** How the places of a sheet that this subject owns are said in the logbook. */
export const reviewPlaces: BranchWords = { name: 'review', keys: {} };
export const reportedPlaces: BranchWords = { name: 'which one is reported', keys: {} };
