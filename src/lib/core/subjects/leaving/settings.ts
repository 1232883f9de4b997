import type { StepSettings } from '../setting';

export const leaveSettings: StepSettings<'leave'> = {
	name: 'Leave',
	example: {
		tool: 'leave',
		title: 'Leave',
		how: 'Lids, labels, ice, gear. Leave the place as you found it.',
		tags: ['leave']
	},
	settings: () => []
};
