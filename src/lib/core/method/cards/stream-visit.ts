import type { MethodCard } from '../card';

/**
 * The shipped card for a whole visit: bottle, field parameters, flow by verticals. First version, holding limit 8 h.
 */
export const streamVisit1: MethodCard = {
	code: 'stream-visit',
	version: 1,
	title: 'Stream visit',
	summary:
		'A bacteria bottle for the lab, the field parameters, and the flow from depth and velocity across the stream.',
	steps: [
		{
			id: 'arrive',
			tool: 'arrive',
			title: 'Arrive and decide',
			how:
				'Look at the water before you go near it. Try depth and speed at the edge, from where you stand dry, then ' +
				'say how you will sample.',
			tags: ['arrive'],
			caution: 'water',
			costIfMissing: 'Nobody can tell later how the samples were taken.'
		},
		{
			id: 'bacteria-bottle',
			tool: 'bottle',
			title: 'Bacteria bottle',
			how:
				'Face upstream. Open it last, touch nothing inside, never rinse it. One sweep away from your hand, leave ' +
				'some air, close it at once.',
			tags: ['bottle', 'bacteria', 'in-water'],
			caution: 'sewage',
			bottle: { id: 'bacteria', kind: 'bacteria' },
			costIfMissing: 'No bacteria figure for this visit, and the lab expects the bottle.'
		},
		{
			id: 'air-temperature',
			tool: 'reading',
			title: 'Air temperature',
			how: 'In the shade, hand off the bulb, until it stops moving.',
			tags: ['air'],
			parameter: 'air-temperature',
			unit: 'degC',
			slots: [{ id: 'shade', label: 'in the shade' }]
		},
		{
			id: 'water-temperature',
			tool: 'reading',
			title: 'Water temperature',
			how: 'Read it while it is still in the water, in the main flow.',
			tags: ['water-temperature', 'in-water'],
			parameter: 'water-temperature',
			unit: 'degC',
			slots: [{ id: 'main', label: 'main flow' }],
			costIfMissing: 'Oxygen cannot be given in percent, nor conductivity brought to 25 °C.'
		},
		{
			id: 'oxygen',
			tool: 'reading',
			title: 'Oxygen in the water',
			how: 'Three readings across the stream, each when the figure stands still. Probe under, moving gently.',
			tags: ['oxygen', 'in-water'],
			parameter: 'dissolved-oxygen',
			unit: 'mg_L',
			slots: [
				{ id: 'left', label: 'left' },
				{ id: 'middle', label: 'middle' },
				{ id: 'right', label: 'right' }
			],
			spreadLimit: 0.5,
			costIfMissing: 'Whether fish could breathe here today stays unknown.'
		},
		{
			id: 'conductivity',
			tool: 'reading',
			title: 'Conductivity',
			how: 'Probe rinsed in stream water, no bubble in its cell. Read it as the meter shows it, not brought to 25 °C.',
			tags: ['unhurried', 'in-water'],
			parameter: 'conductivity',
			unit: 'uS_cm',
			slots: [{ id: 'main', label: 'main flow' }],
			costIfMissing: 'What is dissolved shows here first, from rock, salt or waste; without it a change goes unseen.'
		},
		{
			id: 'clarity',
			tool: 'tube',
			title: 'Clarity tube',
			how:
				'Fill it upstream of where you stand. Out of the sun, no sunglasses, let water out until the disc just ' +
				'shows.',
			tags: ['unhurried', 'in-water'],
			tubeLength_cm: 120,
			minimumDepth_cm: 6,
			costIfMissing: 'No figure for how clear the water was.'
		},
		{
			id: 'flow',
			tool: 'flow',
			title: 'Flow',
			how:
				'Tape tight across, square to the current. At each vertical: depth, then velocity at 0.6 of it down from ' +
				'the surface, meter still for 40 s.',
			tags: ['stirs-bed'],
			caution: 'wading',
			leastVerticals: 10,
			shareLimit_percent: 15,
			enough_percent: 12,
			costIfMissing: 'Concentrations cannot become loads, and low oxygen cannot be told from low water.'
		},
		{
			id: 'leave',
			tool: 'leave',
			title: 'Before you leave',
			how: 'Lids tight, labels readable, bottles on ice, nothing left on the bank.',
			tags: ['leave']
		}
	],
	rules: [
		{ first: 'arrive', then: '*', because: 'Whether anyone goes in is decided before anything else.' },
		{
			first: 'bacteria',
			then: 'in-water',
			because: 'The bacteria bottle comes before all: hands and probes carry bacteria.'
		},
		{ first: 'air', then: 'water-temperature', because: 'Air before water: a wet thermometer reads low.' },
		{ first: 'oxygen', then: 'unhurried', because: 'Oxygen at once: it changes as the water warms.' },
		{
			first: 'in-water',
			then: 'stirs-bed',
			because: 'What stirs the bed comes last: stirred mud spoils every figure after it.'
		},
		{ first: '*', then: 'leave', because: 'The leaving check looks at everything else.' }
	],
	wading: { school: 'depth-and-velocity', depth_m: 0.3, velocity_m_s: 0.3 },
	holding: { bacteria_h: 8, withoutIce_h: 1 }
};

/** The version in use: the lab now wants bottles plated within 6 h. */
export const streamVisit: MethodCard = {
	...streamVisit1,
	version: 2,
	holding: { ...streamVisit1.holding, bacteria_h: 6 }
};
