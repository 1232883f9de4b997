import type { BranchWords } from '../branch-words';

/** How the places of a sheet that this subject owns are said in the logbook. */
export const stepPlaces: BranchWords = {
	name: 'step',
	keys: { passedOver: 'skipped because', takenBy: 'done by' }
};

export const openingPlaces: BranchWords = { name: 'visit', keys: {} };
export const remarkPlaces: BranchWords = { name: 'remark', keys: {} };
export const tallyPlaces: BranchWords = { name: 'counter', keys: { taxa: 'animal' } };
