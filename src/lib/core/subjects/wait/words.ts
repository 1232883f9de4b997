import type { BranchWords } from '../branch-words';

/** How the places of a sheet that this subject owns are said in the logbook. */
export const waitPlaces: BranchWords = {
	name: 'clock',
	keys: {
		what: 'of what',
		startedAt: 'started',
		least_s: 'at least',
		most_s: 'at most',
		endedAt: 'ended'
	}
};
