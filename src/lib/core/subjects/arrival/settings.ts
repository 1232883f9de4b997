import type { StepSettings } from '../setting';

export const arriveSettings: StepSettings<'arrive'> = {
	name: 'Arrive and decide',
	example: {
		tool: 'arrive',
		title: 'Arrive and decide',
		how: 'Look at the water before you go near it. Try depth and speed at the edge, then say how you will sample.',
		tags: ['arrive'],
		caution: 'water'
	},
	settings: () => []
};
