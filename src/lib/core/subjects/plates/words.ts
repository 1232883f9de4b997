import type { BranchWords } from '../branch-words';
import type { Stage } from './shelf';

export const plateStateWords = { counted: 'counted', tooMany: 'too many to count', spoiled: 'spoiled' } as const;

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
	values: { state: plateStateWords }
};

/** How a plate stands by its age, and what to do. */
export const stageWords: Record<Stage, { name: string; todo: string }> = {
	'too-early': { name: 'too early', todo: 'Leave it warm and in the dark.' },
	specks: { name: 'first specks', todo: 'Too small to tell apart: leave it.' },
	readable: { name: 'read it now', todo: 'Count today; colonies grow into each other.' },
	'last-chance': { name: 'last chance', todo: 'Read it before anything else.' },
	'too-old': { name: 'too old', todo: 'A count now says nothing: write it off as spoiled.' }
};
