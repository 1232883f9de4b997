import { numberSetting, oneOf, type StepSettings } from '../setting';
import { samplerKindWords } from './words';

export const samplerSettings: StepSettings<'sampler'> = {
	name: 'A sampler that stood in the stream',
	example: {
		tool: 'sampler',
		title: 'Lift the plate stack',
		how:
			'From downstream, slowly, straight into the tub held under it: what swims off is lost. Scrape the plates ' +
			'into the tub.',
		tags: ['animals', 'in-water', 'stirs-bed'],
		caution: 'water',
		kind: 'plate stack',
		least_days: 35,
		most_days: 50
	},
	again: () => ({}),
	settings: (step) => [
		oneOf('kind', 'which', step.kind, samplerKindWords),
		numberSetting('least_days', 'days in the water, at least', step.least_days),
		numberSetting('most_days', 'days in the water, at most', step.most_days)
	],
	contradictions: ({ least_days, most_days }) =>
		least_days > most_days
			? [{ path: 'most_days', why: `At least ${least_days} days and at most ${most_days}: that is never.` }]
			: []
};
