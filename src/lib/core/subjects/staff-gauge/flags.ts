import { doubtKind } from '../flag';
import type { LevelSpoiler } from './branch';
import { levelSpoilerWords } from './words';

export const staffFlags = {
	'level-disturbed': doubtKind<{ spoilers: readonly LevelSpoiler[] }>(
		'ask',
		(e) =>
			`At the board it was noted: ${e.spoilers.map((s) => levelSpoilerWords[s]).join(', ')}. Such a level does not ` +
			'tell how much water flows; keep it, and do not read a flow from it.'
	)
};
