import type { BranchWords } from '../branch-words';

/** How the places of a sheet that this subject owns are said in the logbook. */
export const gearPlaces: BranchWords = {
	name: 'wet gear',
	keys: { what: 'what', wetAt: 'out of the water', disinfectedAt: 'disinfected' }
};

export const leavingPlaces: BranchWords = {
	name: 'leaving',
	keys: { at: 'time', checked: 'looked over once more', looked: 'looked at' }
};
