import type { BranchWords } from '../branch-words';
import type { Stage } from '../plates/shelf';

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

/** What to do with tubes by their age. */
export const tubesTodo: Record<Stage, string> = {
	'too-early': 'Leave them warm and in the dark.',
	specks: 'Some may have turned: more will.',
	readable: 'Read them now.',
	'last-chance': 'Read them before anything else.',
	'too-old': 'Other things have grown too: what they say now is doubted.'
};
