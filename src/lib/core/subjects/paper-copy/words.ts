import type { BranchWords } from '../branch-words';

/** How the places of a sheet that this subject owns are said in the logbook. */
export const photoPlaces: BranchWords = {
	name: 'photo',
	keys: {
		sha256: 'picture',
		takenAt: 'time',
		of: 'of',
		caption: 'what it shows',
		tray: 'tray',
		compartment: 'compartment'
	}
};

export const copyPlaces: BranchWords = {
	name: 'copy from paper',
	keys: { startedAt: 'begun', doneAt: 'done' }
};
