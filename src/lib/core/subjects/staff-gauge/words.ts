import type { BranchWords } from '../branch-words';
import type { LevelSpoiler } from './branch';

/** What was seen at the board, in words. */
export const levelSpoilerWords = {
	tide: 'the tide reaches it',
	backwater: 'the water is held back from below',
	waves: 'waves run up the board',
	ice: 'ice on the water',
	debris: 'something hangs on the board'
} as const satisfies Record<LevelSpoiler, string>;

/** How the places of a sheet that this subject owns are said in the logbook. */
export const staffPlaces: BranchWords = {
	name: 'staff gauge',
	keys: { spoilers: 'in the way', ...levelSpoilerWords }
};
