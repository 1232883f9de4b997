import type { Answers, Question } from './question';

const one = (group: string, id: string, ask: string, choices: Record<string, string>, help?: string): Question =>
	question(group, id, ask, 'one', choices, help);
const several = (group: string, id: string, ask: string, choices: Record<string, string>, help?: string): Question =>
	question(group, id, ask, 'several', choices, help);
const question = (
	group: string,
	id: string,
	ask: string,
	takes: Question['takes'],
	choices: Record<string, string>,
	help?: string
): Question => ({
	id,
	ask,
	group,
	takes,
	choices: Object.entries(choices).map(([choice, word]) => ({ id: choice, word })),
	...(help === undefined ? {} : { help })
});

const rain = {
	none: 'none',
	little: 'a little, under 5 mm',
	some: '5 to 20 mm',
	much: 'over 20 mm',
	unknown: 'not known'
};
const land = {
	woods: 'woods',
	meadow: 'meadow',
	grazing: 'grazing',
	crops: 'crops',
	houses: 'houses',
	works: 'workshops, factories',
	road: 'road',
	none: 'none of these'
};

/** Whether much rain fell before somebody came: it washes from the land what grows on plates. */
export const hasRainedMuch = (answers: Answers | undefined): boolean =>
	['rain24', 'rain48'].some((asked) => answers?.[asked] === 'much');

const steady = (of: Question): Question => ({ ...of, isSteady: true });

/** How the stream looked, smelled and stood when somebody came: asked at every visit. */
export const conditions: readonly Question[] = [
	one('Weather', 'weather', 'Weather now', {
		clear: 'clear',
		cloudy: 'cloudy',
		overcast: 'overcast',
		drizzle: 'drizzle',
		rain: 'rain',
		storm: 'thunderstorm',
		snow: 'snow'
	}),
	one('Weather', 'rain24', 'Rain in the last 24 hours', rain),
	one('Weather', 'rain48', 'Rain in the last 48 hours', rain),
	one('Water', 'flow', 'Flow', {
		dry: 'dry',
		pools: 'pools only',
		low: 'low',
		usual: 'usual',
		high: 'high',
		flood: 'over the banks'
	}),
	one('Water', 'surface', 'Surface', { calm: 'calm', rippled: 'rippled', waves: 'waves', whitecaps: 'whitecaps' }),
	one('Water', 'tide', 'Tide', {
		none: 'no tide here',
		rising: 'rising',
		high: 'high',
		falling: 'falling',
		low: 'low'
	}),
	one('Water', 'colour', 'Colour', {
		clear: 'clear',
		tea: 'clear brown, like tea',
		milky: 'milky',
		muddy: 'brown, muddy',
		green: 'green',
		grey: 'grey',
		other: 'another colour'
	}),
	several('Signs', 'odour', 'Smell', {
		none: 'none',
		earthy: 'earthy',
		sewage: 'sewage',
		eggs: 'rotten eggs',
		oil: 'oil or fuel',
		chemical: 'chlorine, chemical',
		fishy: 'fishy'
	}),
	one('Signs', 'foam', 'Foam', {
		none: 'none',
		natural: 'brown, breaks up, smells of earth',
		soapy: 'white, stays, smells of soap'
	}),
	one(
		'Signs',
		'sheen',
		'Sheen',
		{ none: 'none', breaks: 'breaks into plates when poked', closes: 'closes again when poked' },
		'Poke it with a stick: a film of bacteria breaks like ice, oil closes again.'
	),
	one('Signs', 'litter', 'Litter', { none: 'none', little: 'a little', much: 'a lot' }),
	several(
		'Signs',
		'growth',
		'Growing on the bed',
		{ none: 'nothing', film: 'brown film', green: 'green threads', mats: 'floating mats', grey: 'grey threads' },
		'Grey threads like wet wool are a growth that feeds on sewage.'
	),
	one('Signs', 'fish', 'Dead fish', { none: 'none', few: 'one to five', many: 'more than five' }),
	steady(
		one('Banks', 'erosion', 'Banks', { firm: 'firm', some: 'some bare or slipping', much: 'mostly bare or slipping' })
	),
	steady(
		several('Banks', 'plants', 'Plants along the stream', {
			trees: 'trees',
			shrubs: 'shrubs',
			reeds: 'reeds',
			grass: 'grass',
			crops: 'crops to the edge',
			bare: 'bare'
		})
	),
	steady(several('In sight', 'upstream', 'Land in sight upstream', land)),
	steady(several('In sight', 'downstream', 'Land in sight downstream', land)),
	several('In sight', 'works', 'Works in sight', {
		none: 'none',
		site: 'building site',
		machine: 'machine in the stream',
		outfall: 'outfall running',
		pumping: 'water pumped out',
		cattle: 'cattle in the water'
	})
];
