import { numberSetting, oneOf, optional, textSetting } from '../setting';
import type { StepSettings } from '../setting';
import { bottleKindWords, techniqueWords } from './words';

export const bottleSettings: StepSettings<'bottle'> = {
	name: 'A bottle for the lab',
	example: {
		tool: 'bottle',
		title: 'Bottle',
		how: 'Rinse with stream water, pour it out downstream and low. Fill to the shoulder, facing upstream.',
		tags: ['bottle', 'in-water'],
		bottle: { id: 'bottle', kind: 'nutrients' },
		rinses: 3
	},
	again: ({ bottle }, end) => ({ bottle: { ...bottle, id: `${bottle.id}${end}` } }),
	settings: (step) => [
		textSetting('bottle.id', 'name of the bottle in the logbook', step.bottle.id),
		oneOf('bottle.kind', 'filled for', step.bottle.kind, bottleKindWords),
		...(step.bottle.kind === 'bacteria'
			? []
			: [optional(numberSetting('rinses', 'rinsed with stream water, times', step.rinses ?? 3))]),
		oneOf('technique', 'filled', step.technique ?? 'hand', techniqueWords)
	]
};
