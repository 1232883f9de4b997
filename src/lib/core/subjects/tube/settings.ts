import { writeNumber } from '../../quantity';
import { numberSetting } from '../setting';
import type { StepSettings } from '../setting';

export const tubeSettings: StepSettings<'tube'> = {
	name: 'A clarity tube',
	example: {
		tool: 'tube',
		title: 'Clarity tube',
		how: 'Fill it with the mouth upstream. In the shade, back to the sun, let water out until the pattern just shows.',
		tags: ['unhurried', 'in-water'],
		tubeLength_cm: 120,
		minimumDepth_cm: 5
	},
	settings: (step) => [
		numberSetting('tubeLength_cm', 'length of the tube, cm', step.tubeLength_cm),
		numberSetting('minimumDepth_cm', 'least that can be read, cm', step.minimumDepth_cm)
	],
	contradictions: ({ tubeLength_cm, minimumDepth_cm }) =>
		minimumDepth_cm < tubeLength_cm
			? []
			: [
					{
						path: 'minimumDepth_cm',
						why:
							`The tube is ${writeNumber(tubeLength_cm)} cm long and reads from ${writeNumber(minimumDepth_cm)} ` +
							`cm on: nothing could be read.`
					}
				]
};
