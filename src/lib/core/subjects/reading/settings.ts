import { parameterCodes, parameters, units } from '../../quantity';
import { numberSetting, oneOf, optional, pairsSetting, unitSetting } from '../setting';
import type { StepSettings } from '../setting';

const names = Object.fromEntries(parameterCodes.map((code) => [code, parameters[code].name]));

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
	settings: (step) => [
		oneOf('parameter', 'what is read', step.parameter, names),
		unitSetting('unit', 'asked in', step.unit),
		pairsSetting('slots', 'places', ['id', 'label'], step.slots),
		optional(
			numberSetting(
				'spreadLimit',
				`readings may lie apart, ${units[parameters[step.parameter].unit].symbol}`,
				step.spreadLimit
			)
		)
	]
};
