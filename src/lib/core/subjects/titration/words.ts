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
		mgLPerDrop: 'mg/L for each drop',
		titrant_mL: 'titrant from the burette',
		blank_mL: 'titrant of the blank',
		sample_mL: 'water that was titrated',
		normality_N: 'strength of the titrant as its label says'
	}
};

export const titrantCheckPlaces: BranchWords = {
	name: 'check of the titrant',
	keys: {
		standard_mL: 'standard',
		standard_N: 'strength of the standard',
		titrant_mL: 'titrant that it took'
	}
};
