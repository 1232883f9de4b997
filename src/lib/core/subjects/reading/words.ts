import type { BranchWords } from '../branch-words';

/** How the places of a sheet that this subject owns are said in the logbook. */
export const readingPlaces: BranchWords = { name: 'reading', keys: {} };
export const meterPlaces: BranchWords = {
	name: 'meter',
	keys: { conductivityAt25: 'shows specific conductance' }
};
