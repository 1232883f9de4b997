import type { BranchWords } from '../branch-words';

/** How the places of a sheet that this subject owns are said in the logbook. */
export const growthTubePlaces: BranchWords = {
	name: 'tubes',
	keys: {
		bottle: 'bottle',
		filledAt: 'time of filling the tubes',
		readAt: 'time of reading',
		rows: 'row',
		volume_mL: 'volume in each',
		tubes: 'how many',
		grown: 'those that grew'
	}
};
