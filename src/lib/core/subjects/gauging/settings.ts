import { writeNumber } from '../../quantity';
import { numberSetting, oneOf, unitSetting } from '../setting';
import type { StepSettings } from '../setting';
import { howAsked } from './how';
import { arithmeticWords, gaugingWords, pointMethodWords } from './words';

export const flowSettings: StepSettings<'flow'> = {
	name: 'The flow (discharge)',
	example: {
		tool: 'flow',
		title: 'Flow',
		how:
			'Tape tight across, square to the current. At each vertical: depth, then velocity at 0.6 of it down from ' +
			'the surface.',
		tags: ['stirs-bed', 'in-water'],
		caution: 'water',
		leastVerticals: 10,
		shareLimit_percent: 20,
		enough_percent: 10
	},
	settings(step) {
		const { method, school, arithmetic } = howAsked(step);
		return [
			unitSetting('tapeUnit', 'tape and rod in', step.tapeUnit ?? 'm'),
			unitSetting('velocityUnit', 'velocity in', step.velocityUnit ?? 'm_s'),
			oneOf('method', 'measured by', method, gaugingWords),
			oneOf('school', 'velocity read at', school, pointMethodWords),
			oneOf('arithmetic', 'worked out by', arithmetic, arithmeticWords),
			numberSetting('leastVerticals', 'verticals, at least', step.leastVerticals),
			numberSetting('shareLimit_percent', 'of the flow in one vertical, at most, %', step.shareLimit_percent),
			numberSetting('enough_percent', 'uncertainty that is enough, %', step.enough_percent)
		];
	},
	contradictions: ({ leastVerticals, shareLimit_percent }) =>
		leastVerticals * shareLimit_percent >= 100
			? []
			: [
					{
						path: 'shareLimit_percent',
						why:
							`${leastVerticals} verticals of at most ${writeNumber(shareLimit_percent)} % each cannot carry ` +
							`the whole flow.`
					}
				]
};
