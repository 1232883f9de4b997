import { oneOf } from '../setting';
import type { StepSettings } from '../setting';

export const formSettings: StepSettings<'form'> = {
	name: 'Questions: conditions or habitat',
	example: {
		tool: 'form',
		form: 'conditions',
		title: 'Conditions',
		how: 'Look, smell, listen, before anybody stirs the water. One tap each.',
		tags: ['look']
	},
	isOfKinds: true,
	settings: (step) => [
		oneOf('form', 'questions about', step.form, { conditions: 'conditions of the day', habitat: 'habitat' })
	]
};
