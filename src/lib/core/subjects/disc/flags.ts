import { writeFigure, type Figure } from '../../quantity';
import { doubtKind } from '../flag';
import type { DiscSpoiler } from './branch';
import { discSpoilerWords } from './words';

export const discFlags = {
	'disc-spoiled': doubtKind<{ spoilers: readonly DiscSpoiler[] }>(
		'ask',
		(e) =>
			`The disc could not be read rightly: ${e.spoilers.map((s) => discSpoilerWords[s]).join(', ')}. Keep it if it ` +
			'must be, or read it again.'
	),
	'disc-turned': doubtKind<{ lost: Figure; seen: Figure }>(
		'ask',
		(e) =>
			`The disc was seen again at ${writeFigure(e.seen)}, deeper than it was lost (${writeFigure(e.lost)}), which ` +
			'cannot be. Strike the one that is wrong, or read both again.'
	)
};
