import type { BranchWords } from '../branch-words';
import type { Abundance } from './branch';
import type { TraySchool } from './step';

export const abundanceWords: Record<Abundance, string> = {
	'1': '1',
	'2-10': '2 to 10',
	'11-100': '11 to 100',
	'101-1000': '101 to 1000',
	'over-1000': 'over 1000'
};

/** How a tray is sorted, as a coordinator chooses it. */
export const schoolWords: Record<TraySchool, string> = {
	count: 'count every animal',
	squares: 'count squares of a grid, drawn at random, until there are enough',
	pick: 'pick alive against the clock',
	classes: 'a class of abundance for each kind',
	presence: 'only what is there'
};

/** How the places of a sheet that this subject owns are said in the logbook. */
export const trayPlaces: BranchWords = {
	name: 'tray',
	keys: {
		begunAt: 'sorting begun at',
		endedAt: 'sorted until',
		pauses: 'break',
		from: 'from',
		to: 'to',
		squares: 'square',
		doneAt: 'sorted at',
		present: 'there',
		classes: 'how many',
		names: 'turned out to be',
		namings: 'named by the key',
		answers: 'seen',
		taxon: 'name',
		chance: 'how likely',
		countedElsewhere: 'counted elsewhere',
		returned: 'back in the stream'
	},
	values: { classes: abundanceWords }
};
