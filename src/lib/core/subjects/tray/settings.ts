import { numberSetting, oneOf, type StepSettings } from '../setting';
import { schoolWords } from './words';

export const traySettings: StepSettings<'tray'> = {
	name: 'Animals in a tray',
	example: {
		tool: 'tray',
		title: 'Sort the animals',
		how: 'A white tray, in the shade, a finger of water, a small batch at a time. One kind to a compartment.',
		tags: ['animals', 'unhurried'],
		school: 'count',
		commonCount: 100,
		squares: 30,
		enough: 300
	},
	again: () => ({}),
	settings: (step) => [
		oneOf('school', 'how it is sorted', step.school, schoolWords),
		numberSetting('commonCount', 'kinds are brought to so many animals', step.commonCount),
		...(step.school === 'squares'
			? [
					numberSetting('squares', 'squares of the grid', step.squares),
					numberSetting('enough', 'animals that are enough', step.enough)
				]
			: [])
	]
};
