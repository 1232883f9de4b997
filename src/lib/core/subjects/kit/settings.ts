import { numberSetting, oneOf, optional, pairsSetting, parameterSetting, textSetting, unitSetting } from '../setting';
import type { StepSettings } from '../setting';

const begins = { dip: 'when it is dipped', reagents: 'when the last reagent is in' };

export const kitSettings: StepSettings<'kit'> = {
	name: 'A test strip or colour kit',
	example: {
		tool: 'kit',
		title: 'Test strip',
		how: 'Dip, wait, hold it beside the chart of your own strips, out of the sun.',
		tags: ['unhurried', 'in-water'],
		parameter: 'nitrate',
		unit: 'mg_L_N',
		begins: 'dip',
		waits: [{ what: 'colour comes', for_s: 60 }],
		readWithin_s: 60,
		chart: [
			{ value: 0, word: 'no colour' },
			{ value: 1, word: 'first block' },
			{ value: 5, word: 'second block' }
		]
	},
	again: () => ({}),
	settings: (step, own) => [
		parameterSetting('what is read', step.parameter, own, 'kit'),
		unitSetting('unit', 'chart in', step.unit),
		optional(textSetting('strip', 'pad of a strip with several: its name', step.strip)),
		...(step.begins === undefined ? [] : [oneOf('begins', 'its clock starts', step.begins, begins)]),
		pairsSetting('waits', 'waits, s', ['what', 'for_s'], step.waits),
		numberSetting('readWithin_s', 'then read within, s', step.readWithin_s),
		pairsSetting('chart', 'blocks of the chart', ['word', 'value'], step.chart)
	]
};
