import type { BranchWords } from '../branch-words';

/** How the places of a sheet that this subject owns are said in the logbook. */
export const reviewPlaces: BranchWords = { name: 'review', keys: {} };
export const reportedPlaces: BranchWords = { name: 'which one is reported', keys: {} };
