import type { BranchWords } from '../branch-words';

/** How the places of a sheet that this subject owns are said in the logbook. */
export const titrationPlaces: BranchWords = {
	name: 'titration',
	keys: {
		hasBubble: 'bubble under the stopper',
		fixedAt: 'time of fixing',
		acidAt: 'time of the acid',
		drops: 'drops',
		blankDrops: 'drops of the blank',
		mgLPerDrop: 'mg/L for each drop'
	}
};
