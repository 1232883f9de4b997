import type { Threshold } from '../../core/interpret';

/* What the invented program wants of its streams: usual figures, each a setting that a coordinator checks with the authority. */
const coldWater = 'cold-water fish';
const source = 'program setting; check with your authority';

export const thresholds: Threshold[] = [
	{
		parameter: 'water-temperature',
		use: coldWater,
		source,
		bands: [
			{ from: -2, word: 'cold enough', state: 'good' },
			{ from: 16, word: 'warm for trout', state: 'watch' },
			{ from: 20, word: 'too warm for trout', state: 'act' }
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
			{ from: 900, word: 'salt or sewage', state: 'act' }
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
		use: 'bathing',
		source,
		bands: [
			{ from: 0, word: 'within the limit', state: 'good' },
			{ from: 235, word: 'over the limit', state: 'watch' },
			{ from: 1000, word: 'far over the limit', state: 'act' }
		]
	},
	{
		parameter: 'nitrite',
		use: 'sewage',
		source,
		bands: [
			{ from: 0, word: 'no sign of it', state: 'good' },
			{ from: 0.05, word: 'a source may be near', state: 'watch' },
			{ from: 0.2, word: 'fresh and near', state: 'act' }
		]
	}
];
