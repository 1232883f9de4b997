import { numberSetting, oneOf, type StepSettings } from '../setting';

export const staffSettings: StepSettings<'staff'> = {
	name: 'A staff gauge (water level on a board)',
	example: {
		tool: 'staff',
		title: 'Staff gauge',
		how:
			'From the bank, eye level with the water: where the quiet surface cuts the board, to half a mark. Between ' +
			'waves, the mean of high and low.',
		tags: ['look'],
		caution: 'water',
		unit: 'm',
		mark: 0.01,
		costIfMissing: 'Without the level nobody can tell a high stream from a low one between two gaugings.'
	},
	settings: (step) => [
		oneOf('unit', 'the board is marked in', step.unit, { m: 'metres', cm: 'centimetres', ft: 'feet' }),
		numberSetting('mark', `from mark to mark, ${step.unit}`, step.mark)
	]
};
