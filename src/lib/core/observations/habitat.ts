import type { Question } from './question';

const share = { none: 'none', little: 'up to a quarter', half: 'up to half', most: 'over half' };
const side = { wooded: 'trees and shrubs', grassy: 'tall grass, reeds', mown: 'mown or grazed', hard: 'built, paved' };
const width = { under2: 'under 2 m', to10: '2 to 10 m', over10: 'over 10 m' };

const ask = (
	group: string,
	id: string,
	words: string,
	choices: Record<string, string>,
	help: string,
	takes: Question['takes'] = 'one'
): Question => ({
	id,
	ask: words,
	group,
	takes,
	help,
	choices: Object.entries(choices).map(([choice, word]) => ({ id: choice, word }))
});

/** The place that animals live in: bed, banks, shade. Done once a season or so, by somebody whose hands are free. */
export const habitat: readonly Question[] = [
	ask(
		'Bed',
		'bed',
		'Mostly made of',
		{ bedrock: 'bedrock', boulders: 'boulders', cobbles: 'cobbles', gravel: 'gravel', sand: 'sand', silt: 'silt, mud' },
		'Boulders are larger than a head, cobbles than a fist, gravel than a pea.'
	),
	ask('Bed', 'embedded', 'Stones sunk in silt', share, 'Lift ten stones: how far up were they buried?'),
	ask('Bed', 'riffles', 'Riffles', share, 'Share of the reach where the water breaks over stones.'),
	ask('Bed', 'pools', 'Pools', share, 'Share of the reach where it stands deep and slow.'),
	ask(
		'Bed',
		'hiding',
		'Places to live in',
		{
			leaves: 'leaf packs',
			wood: 'wood, roots',
			stones: 'loose stones',
			undercut: 'undercut banks',
			plants: 'plants in the water'
		},
		'All that a hand can reach into.',
		'several'
	),
	ask('Banks', 'left', 'Left bank, looking downstream', side, 'What covers most of the first ten metres.'),
	ask('Banks', 'right', 'Right bank, looking downstream', side, 'What covers most of the first ten metres.'),
	ask(
		'Banks',
		'strip',
		'Width of the wild strip',
		width,
		'From the water to the first mown, grazed or built ground, on the narrower side.'
	),
	ask('Banks', 'stability', 'Bare or slipping banks', share, 'Share of both banks together.'),
	ask(
		'Shade',
		'shade',
		'Water in shade at midday',
		share,
		'Look straight up: how much of the sky over the water is leaves?'
	),
	ask(
		'Shape',
		'shape',
		'Course',
		{ winding: 'winds as it likes', straight: 'straightened', dammed: 'dammed or piped' },
		'Look at both ends of the reach.'
	)
];
