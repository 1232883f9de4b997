import { unitSetting } from '../setting';
import type { StepSettings } from '../setting';

export const discSettings: StepSettings<'disc'> = {
	name: 'A disc on a line (Secchi depth)',
	example: {
		tool: 'disc',
		title: 'Disc on a line',
		how: 'On the shaded side down until it is gone, up until it just shows. It never touches the bed.',
		tags: ['unhurried', 'in-water'],
		caution: 'water',
		unit: 'm'
	},
	settings: (step) => [unitSetting('unit', 'line marked in', step.unit)]
};
