import type { Threshold } from '../../core/interpret';

/*
 * What the invented program wants of its streams. The figures are invented with it: a coordinator enters those of the
 * authority, most of which are limits of a season's statistic, not of one sample.
 */
const coldWater = 'cold-water fish';
const source = 'invented example; enter what your authority says';

export const thresholds: Threshold[] = [
	{
		parameter: 'water-temperature',
		use: coldWater,
		source,
		bands: [
			{ from: -2, word: 'cold enough', state: 'good' },
			{ from: 16, word: 'warm', state: 'watch' },
			{ from: 20, word: 'too warm for cold-water fish', state: 'act' }
		]
	},
	{
		parameter: 'dissolved-oxygen',
		use: coldWater,
		source,
		bands: [
			{ from: 0, word: 'too little', state: 'act' },
			{ from: 6, word: 'little', state: 'watch' },
			{ from: 8, word: 'enough', state: 'good' }
		]
	},
	{
		parameter: 'oxygen-saturation',
		use: coldWater,
		source,
		bands: [
			{ from: 0, word: 'starved', state: 'act' },
			{ from: 60, word: 'low', state: 'watch' },
			{ from: 80, word: 'well supplied', state: 'good' },
			{ from: 120, word: 'over full', state: 'watch' }
		]
	},
	{
		parameter: 'conductance25',
		use: 'salt',
		source,
		bands: [
			{ from: 0, word: 'fresh', state: 'good' },
			{ from: 500, word: 'raised', state: 'watch' },
			{ from: 900, word: 'high: look for the cause', state: 'act' }
		]
	},
	{
		parameter: 'tube-depth',
		use: 'clarity',
		source,
		bands: [
			{ from: 0, word: 'murky', state: 'act' },
			{ from: 20, word: 'cloudy', state: 'watch' },
			{ from: 55, word: 'clear', state: 'good' }
		]
	},
	{
		parameter: 'turbidity',
		use: 'clarity',
		source,
		bands: [
			{ from: 0, word: 'clear', state: 'good' },
			{ from: 10, word: 'cloudy', state: 'watch' },
			{ from: 40, word: 'murky', state: 'act' }
		]
	},
	{
		parameter: 'e-coli',
		use: 'one sample of bacteria',
		source,
		bands: [
			{ from: 0, word: 'low in this sample', state: 'good' },
			{ from: 300, word: 'raised in this sample', state: 'watch' },
			{ from: 1200, word: 'high in this sample: sample again', state: 'act' }
		]
	},
	{
		parameter: 'nitrite',
		use: 'a source nearby',
		source,
		bands: [
			{ from: 0, word: 'little', state: 'good' },
			{ from: 0.05, word: 'raised: look for the cause', state: 'watch' },
			{ from: 0.2, word: 'high: look for the cause', state: 'act' }
		]
	}
];
