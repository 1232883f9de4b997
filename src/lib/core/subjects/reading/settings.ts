import { parameterOf, units } from '../../quantity';
import { numberSetting, optional, pairsSetting, parameterSetting, unitSetting } from '../setting';
import type { StepSettings } from '../setting';

export const readingSettings: StepSettings<'reading'> = {
	name: 'A reading by meter or thermometer',
	example: {
		tool: 'reading',
		title: 'Reading',
		how: 'Probe under, moving gently, until the figure stands still.',
		tags: ['unhurried', 'in-water'],
		parameter: 'turbidity',
		unit: 'NTU',
		slots: [{ id: 'main', label: 'main flow' }]
	},
	again: ({ slots }, end) => ({ slots: slots.map((s) => ({ ...s, id: `${s.id}${end}` })) }),
	settings: (step, own) => [
		parameterSetting('what is read', step.parameter, own, 'meter'),
		unitSetting('unit', 'asked in', step.unit),
		pairsSetting('slots', 'places', ['id', 'label'], step.slots),
		optional(
			numberSetting(
				'spreadLimit',
				`readings may lie apart, ${units[parameterOf(step.parameter, own).unit].symbol}`,
				step.spreadLimit
			)
		)
	]
};
