import type { MethodCard, Step } from '../card';
import { streamVisit } from './stream-visit';

const of = (id: string): Step => streamVisit.steps.find((s) => s.id === id)!;

/**
 * Everything that can be done at a stream in one visit, by two people: conditions and habitat, two bottles, thermometer,
 * meter, strips, colour kit, titration, tube, disc, flow at two points.
 */
export const fullVisit: MethodCard = {
	...streamVisit,
	code: 'full-visit',
	version: 1,
	title: 'Full visit',
	summary: 'Two bottles, conditions and habitat, the field parameters by meter, strip, kit and titration, clarity by tube and disc, and the flow.',
	steps: [
		of('arrive'),
		{
			id: 'conditions',
			tool: 'form',
			form: 'conditions',
			title: 'Conditions',
			how: 'Look, smell, listen, before anybody stirs the water. One tap each; what is usual here stands first.',
			tags: ['look'],
			costIfMissing: 'Nobody can tell later whether a figure came from rain, sewage or a dry spell.'
		},
		of('bacteria-bottle'),
		{
			id: 'nutrient-bottle',
			tool: 'bottle',
			title: 'Nutrient bottle',
			how: 'Rinse three times with stream water, pour it out downstream and low. Fill to the shoulder, below the surface. The acid goes in on the bank.',
			tags: ['bottle', 'in-water'],
			caution: 'acid',
			bottle: { id: 'nutrients', kind: 'nutrients', preserved: 'sulphuric acid' },
			rinses: 3,
			technique: 'hand',
			costIfMissing: 'No nutrient figure from the lab for this visit.'
		},
		{ ...of('air-temperature'), how: 'Glass thermometer, in the shade, hand off the bulb, until it stops moving. To the nearest half degree.' },
		of('water-temperature'),
		{
			...of('oxygen'),
			title: 'Oxygen by meter',
			how: 'Five points across the stream, each when the figure stands still. Probe under, moving gently.',
			slots: ['left', 'left of middle', 'middle', 'right of middle', 'right'].map((label) => ({ id: label.replaceAll(' ', '-'), label })),
			settled: { within: 0.1, for_s: 10 }
		} as Step,
		{
			id: 'oxygen-titration',
			tool: 'titration',
			title: 'Oxygen by titration',
			how: 'Fill under water with no bubble. Reagents one and two at once, stopper, shake. When the floc has settled, acid; then drop by drop, swirling.',
			tags: ['oxygen', 'in-water'],
			caution: 'reagents',
			bottles: [
				{ id: 'first', label: 'first' },
				{ id: 'second', label: 'second' }
			],
			mgLPerDrop: 0.2,
			settle_s: 120,
			within_h: 8,
			costIfMissing: 'The meter stands alone: nobody can tell whether its probe has drifted.'
		},
		{ ...of('conductivity'), settled: { within: 2, for_s: 10 } } as Step,
		{
			id: 'ph',
			tool: 'kit',
			title: 'pH by strip',
			how: 'Dip for a second, shake off, hold beside the chart at once, out of the sun.',
			tags: ['unhurried', 'in-water'],
			parameter: 'ph',
			unit: 'pH',
			waits: [
				{ what: 'in the water', for_s: 1 },
				{ what: 'colour comes', for_s: 14 }
			],
			readWithin_s: 30,
			chart: [6, 6.5, 7, 7.5, 8, 8.5, 9].map((value, i) => ({ value, word: ['lemon', 'straw', 'olive', 'leaf', 'moss', 'sea green', 'slate'][i]! }))
		},
		{
			id: 'nitrate',
			tool: 'kit',
			title: 'Nitrate by strip',
			how: 'Dip for one second, do not shake, wait a minute lying flat, out of the sun. The outer pad is nitrate.',
			tags: ['unhurried', 'in-water'],
			parameter: 'nitrate',
			unit: 'mg_L_N',
			waits: [
				{ what: 'in the water', for_s: 1 },
				{ what: 'colour comes', for_s: 59 }
			],
			readWithin_s: 60,
			chart: [0, 1, 2, 5, 10, 20].map((value, i) => ({ value, word: ['no colour', 'blush', 'rose', 'pink', 'heather', 'beet'][i]! })),
			costIfMissing: 'Fertiliser and sewage stay unseen: clear water may be rich in nutrients.'
		},
		{
			id: 'nitrite',
			tool: 'kit',
			title: 'Nitrite by strip',
			how: 'The inner pad of the same strip: read it half a minute after the dip.',
			tags: ['unhurried', 'in-water'],
			parameter: 'nitrite',
			unit: 'mg_L_N',
			waits: [
				{ what: 'in the water', for_s: 1 },
				{ what: 'colour comes', for_s: 29 }
			],
			readWithin_s: 60,
			chart: [0, 0.15, 0.3, 1, 1.5, 3].map((value, i) => ({ value, word: ['no colour', 'blush', 'rose', 'pink', 'heather', 'beet'][i]! }))
		},
		{
			id: 'phosphate',
			tool: 'kit',
			title: 'Phosphate by colour kit',
			how: 'Fill to the line, add the powder, shake, let it settle, add the drops, let the colour come. Look down through the tube, out of the sun.',
			tags: ['unhurried', 'in-water'],
			caution: 'reagents',
			parameter: 'phosphate',
			unit: 'mg_L_P',
			waits: [
				{ what: 'shake', for_s: 180 },
				{ what: 'settle', for_s: 30 },
				{ what: 'colour comes', for_s: 600 }
			],
			readWithin_s: 300,
			chart: [0, 0.02, 0.05, 0.1, 0.2, 0.5, 1].map((value, i) => ({
				value,
				word: ['no colour', 'a breath of blue', 'pale sky', 'sky', 'cornflower', 'deep blue', 'ink'][i]!
			})),
			waste: 'Pour it into the waste bottle, with the rinse. None of it goes into the stream or on the bank.'
		},
		of('clarity'),
		{
			id: 'disc',
			tool: 'disc',
			title: 'Disc on a line',
			how: 'Where it is still and too deep for the tube: down on the shaded side until it is gone, up until it just shows. It never touches the bed.',
			tags: ['unhurried', 'in-water'],
			caution: 'water',
			unit: 'm'
		},
		{
			...of('flow'),
			how: 'Tape tight across, square to the current. At each vertical: depth, then velocity at 0.2 and at 0.8 of it down from the surface, 40 s each.',
			school: 'two-point'
		} as Step,
		{
			id: 'habitat',
			tool: 'form',
			form: 'habitat',
			title: 'Habitat',
			how: 'For whoever has hands free: fifty metres up and down, from the bank.',
			tags: ['look'],
			costIfMissing: 'What the animals say cannot be told from what their home allows.'
		},
		of('leave')
	]
};
