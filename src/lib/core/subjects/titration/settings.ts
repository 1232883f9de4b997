import { numberSetting, optional, pairsSetting } from '../setting';
import type { StepSettings } from '../setting';

export const titrationSettings: StepSettings<'titration'> = {
	name: 'Oxygen by titration',
	example: {
		tool: 'titration',
		title: 'Oxygen by titration',
		how:
			'Fill under water with no bubble. Reagents one and two at once, stopper, shake. When the floc has settled, ' +
			'acid; then drop by drop.',
		tags: ['oxygen', 'in-water'],
		caution: 'reagents',
		bottles: [
			{ id: 'first', label: 'first' },
			{ id: 'second', label: 'second' }
		],
		mgLPerDrop: 0.2,
		settle_s: 120,
		within_h: 8
	},
	again: ({ bottles }, end) => ({ bottles: bottles.map((b) => ({ ...b, id: `${b.id}${end}` })) }),
	contradictions: ({ bottle_mL, reagents_mL }) =>
		bottle_mL !== undefined && reagents_mL !== undefined && reagents_mL >= bottle_mL
			? [{ path: 'reagents_mL', why: 'the reagents displace less than the bottle holds' }]
			: [],
	settings: (step) => [
		pairsSetting('bottles', 'bottles', ['id', 'label'], step.bottles),
		numberSetting('mgLPerDrop', 'a drop is worth, mg/L', step.mgLPerDrop),
		numberSetting('settle_s', 'floc settles, s', step.settle_s),
		numberSetting('within_h', 'titrated within, h', step.within_h),
		optional(numberSetting('bottle_mL', 'a bottle holds, mL (for a burette)', step.bottle_mL)),
		optional(numberSetting('reagents_mL', 'its reagents displace, mL (for a burette)', step.reagents_mL))
	]
};
