import type { BranchWords } from '../branch-words';

/** How the places of a sheet that this subject owns are said in the logbook. */
export const platePlaces: BranchWords = {
	name: 'plate',
	keys: {
		bottle: 'bottle',
		volume_mL: 'volume poured',
		pouredAt: 'time of pouring',
		readAt: 'time of reading',
		state: 'state',
		count: 'colonies',
		isBlank: 'blank',
		temperature_C: 'coldest where it stood'
	},
	values: { state: { counted: 'counted', tooMany: 'too many to count', spoiled: 'spoiled' } }
};
