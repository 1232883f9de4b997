import type { BranchWords } from '../branch-words';

/** How the places of a sheet that this subject owns are said in the logbook; the questions have words of their own. */
export const conditionsPlaces: BranchWords = { name: 'conditions', keys: {} };
export const habitatPlaces: BranchWords = { name: 'habitat', keys: {} };
