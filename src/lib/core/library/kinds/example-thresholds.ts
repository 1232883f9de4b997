import type { ThresholdRow } from './threshold-fields';

/*
 * A set to begin with: invented, and marked so on every screen that shows one. A coordinator enters those of the
 * authority, most of which are limits of a season's statistic, not of one sample.
 */

type Asked = Partial<Omit<ThresholdRow, 'id'>> & Pick<ThresholdRow, 'use' | 'parameter' | 'good'>;

const SOURCE = 'invented example; enter what your authority says';
const coldWater = 'cold-water fish';
const source = 'a source nearby';

const example = (asked: Asked): Omit<ThresholdRow, 'id'> => ({
	statistic: 'each sample',
	leastSamples: 1,
	monthFrom: null,
	monthTo: null,
	watchBelow: null,
	watchLow: '',
	actBelow: null,
	actLow: '',
	watchFrom: null,
	watchHigh: '',
	actFrom: null,
	actHigh: '',
	nextStep: '',
	source: SOURCE,
	isExample: true,
	...asked
});

export const exampleThresholds: readonly Omit<ThresholdRow, 'id'>[] = [
	example({
		use: coldWater,
		parameter: 'water-temperature',
		good: 'cold enough',
		watchFrom: 16,
		watchHigh: 'warm',
		actFrom: 20,
		actHigh: 'too warm for cold-water fish',
		nextStep: 'Measure again at the hottest hour, and look where the shade ends.'
	}),
	example({
		use: coldWater,
		parameter: 'dissolved-oxygen',
		good: 'enough',
		watchBelow: 8,
		watchLow: 'little',
		actBelow: 6,
		actLow: 'too little',
		nextStep: 'Measure again before sunrise, when there is least.'
	}),
	example({
		use: coldWater,
		parameter: 'oxygen-saturation',
		good: 'well supplied',
		watchBelow: 80,
		watchLow: 'low',
		actBelow: 60,
		actLow: 'starved',
		watchFrom: 120,
		watchHigh: 'over full',
		nextStep: 'Measure again before sunrise, and look upstream for what uses it up.'
	}),
	example({
		use: 'salt',
		parameter: 'conductance25',
		good: 'fresh',
		watchFrom: 500,
		watchHigh: 'raised',
		actFrom: 900,
		actHigh: 'high: look for the cause',
		nextStep: 'Measure upstream until it falls: the source lies between.'
	}),
	example({
		use: 'clarity',
		parameter: 'tube-depth',
		good: 'clear',
		watchBelow: 55,
		watchLow: 'cloudy',
		actBelow: 20,
		actLow: 'murky',
		nextStep: 'Look upstream for bare soil, cattle in the water, a pipe.'
	}),
	example({
		use: 'clarity',
		parameter: 'turbidity',
		good: 'clear',
		watchFrom: 10,
		watchHigh: 'cloudy',
		actFrom: 40,
		actHigh: 'murky',
		nextStep: 'Look upstream for bare soil, cattle in the water, a pipe.'
	}),
	example({
		use: 'one sample of bacteria',
		parameter: 'e-coli',
		good: 'low in this sample',
		watchFrom: 300,
		watchHigh: 'raised in this sample',
		actFrom: 1200,
		actHigh: 'high in this sample: sample again',
		nextStep: 'Sample again within a day or two, and once more upstream.'
	}),
	example({
		use: 'bathing in summer',
		parameter: 'e-coli',
		statistic: 'geometric mean',
		leastSamples: 5,
		monthFrom: 5,
		monthTo: 9,
		good: 'low over the season',
		watchFrom: 120,
		watchHigh: 'raised over the season',
		actFrom: 400,
		actHigh: 'high over the season',
		nextStep: 'Tell whom it concerns, with the number of samples, and look for the source.'
	}),
	example({
		use: source,
		parameter: 'nitrite',
		good: 'little',
		watchFrom: 0.05,
		watchHigh: 'raised: look for the cause',
		actFrom: 0.2,
		actHigh: 'high: look for the cause',
		nextStep: 'Sample upstream and downstream on one day.'
	})
];
