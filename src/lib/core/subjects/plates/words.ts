import type { MarkPlace } from '../../bacteria';
import { writeNumber } from '../../quantity';
import { sayDuration } from '../../wording';
import type { BranchWords } from '../branch-words';
import type { OnShelf, Stage } from './shelf';

export const plateStateWords = { counted: 'counted', tooMany: 'too many to count', spoiled: 'spoiled' } as const;

export const spoiledWords = {
	overgrown: 'grown over by one kind',
	contaminated: 'contaminated',
	dried: 'dried out',
	split: 'split or spilled',
	tooOld: 'stood too long'
} as const;

/** How the places of a sheet that this subject owns are said in the logbook. */
export const platePlaces: BranchWords = {
	name: 'plate',
	keys: {
		bottle: 'bottle',
		volume_mL: 'volume poured',
		pouredAt: 'time of pouring',
		readAt: 'time of reading',
		state: 'state',
		spoiledBy: 'spoiled',
		count: 'colonies',
		squares: 'squares of the grid',
		squaresCounted: 'squares counted',
		counters: 'colonies counted by',
		isBlank: 'blank',
		temperature_C: 'coldest where it stood',
		stood: 'how warm it was where it stood',
		at: 'noted at',
		isSimulated: 'simulated'
	},
	values: { state: plateStateWords, spoiledBy: spoiledWords }
};

/** Why no marks are suggested on a photo, and what to do. */
export const silentWords = {
	'no-dish': 'No dish is seen. Photograph it from straight above, whole, on a table that is darker than the medium.',
	'too-small': 'The photo is too small to tell a colony from a speck. Mark by hand, or take a larger one.',
	'too-blurred-or-dark': 'The photo is blurred or dark: suggestions would be guesses. Mark by hand, or take it again.',
	'too-crowded': 'So many run together that suggestions would be guesses. Mark by hand, or say “too many to count”.'
} as const;

/** Where colonies may be, in shares of the photo's width and height, or why nothing is suggested. */
export type Suggested = { marks: MarkPlace[] } | { silent: keyof typeof silentWords };

export const platePhotoPlaces: BranchWords = {
	name: 'photo of a plate',
	keys: {
		plate: 'plate',
		sha256: 'picture',
		takenAt: 'taken at',
		grid: 'grid over the medium',
		marks: 'colony marked by',
		countedAt: 'counted by',
		x: 'across',
		y: 'down',
		rx: 'half its width',
		ry: 'half its height',
		squares: 'squares counted',
		kind: 'kind'
	},
	values: { kind: { counts: 'counts', other: 'another kind' } }
};

export const plateClearingPlaces: BranchWords = {
	name: 'plates that were read',
	keys: { bleached: 'bleach poured', binned: 'bagged twice and binned', washed: 'table wiped, hands washed' }
};

/** How a plate stands by its age, and what to do. */
export const stageWords: Record<Stage, { name: string; todo: string }> = {
	'too-early': { name: 'too early', todo: 'Leave it warm and in the dark.' },
	specks: { name: 'first specks', todo: 'Too small to tell apart: leave it.' },
	readable: { name: 'read it now', todo: 'Count today; colonies grow into each other.' },
	'last-chance': { name: 'last chance', todo: 'Read it before anything else.' },
	'too-old': { name: 'too old', todo: 'A count now says nothing: write it off as spoiled.' }
};

/** What comes next of a plate on the shelf, as the end of a sentence; nothing where nothing does. */
export function sayNext({ next, standsStill_C }: Pick<OnShelf, 'next' | 'standsStill_C'>): string {
	if (standsStill_C !== null) return `, its clock stands still: ${writeNumber(standsStill_C)} °C is too cold`;
	return next === null ? '' : `, ${stageWords[next.stage].name} in ${sayDuration(next.in_h * HOUR_ms)}`;
}
const HOUR_ms = 3_600_000;
