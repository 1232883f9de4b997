import type { BranchWords } from '../branch-words';
import type { DiscSpoiler } from './branch';

/** What spoils a reading of the disc, in words. */
export const discSpoilerWords = {
	polarised: 'polarised glasses were worn',
	'low-sun': 'the sun stood low',
	glare: 'read in glare, not in shade',
	waves: 'the water was rough',
	'on-bed': 'the disc stood on the bed and was still in sight',
	current: 'the current carried the line off'
} as const satisfies Record<DiscSpoiler, string>;

/** How the places of a sheet that this subject owns are said in the logbook. */
export const discPlaces: BranchWords = {
	name: 'disc',
	keys: { spoilers: 'in the way', ...discSpoilerWords }
};
