import type { Step } from '../../subjects/steps';
import type { MethodCard } from '../card';
import { streamVisit } from './stream-visit';

const of = (id: string): Step => streamVisit.steps.find((s) => s.id === id)!;

/**
 * Everything that can be done at a stream in one visit, by two people: conditions and habitat, three bottles,
 * thermometer, meter, strips, colour kit, titration, tube, disc, flow.
 */
export const fullVisit: MethodCard = {
	...streamVisit,
	code: 'full-visit',
	version: 1,
	title: 'Full visit',
	summary:
		'Three bottles, conditions and habitat, the field parameters by meter, strip, kit and titration, clarity by tube ' +
		'and disc, and the flow.',
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
			id: 'fresh-bottle',
			tool: 'bottle',
			title: 'Fresh nutrient bottle',
			how:
				'Nothing is added: acid would destroy the nitrite and free bound phosphate. Rinse, fill to the shoulder; ' +
				'the part for phosphate goes through the filter within a quarter of an hour.',
			tags: ['bottle', 'in-water'],
			bottle: { id: 'fresh', kind: 'fresh', isFiltered: true },
			rinses: 3,
			technique: 'hand',
			costIfMissing: 'No nitrite, nitrate or phosphate from the lab for this visit.'
		},
		{
			id: 'nutrient-bottle',
			tool: 'bottle',
			title: 'Nutrient bottle with acid',
			how:
				'For ammonium, total phosphorus, nitrate and nitrite together. Rinse with stream water, pour it out ' +
				'downstream and low. Fill to the shoulder. The acid goes in on the bank.',
			tags: ['bottle', 'in-water'],
			caution: 'acid',
			bottle: { id: 'nutrients', kind: 'nutrients', preserved: 'sulphuric acid' },
			rinses: 3,
			technique: 'hand',
			costIfMissing: 'No total of nutrients from the lab for this visit.'
		},
		{
			...of('air-temperature'),
			how: 'Glass thermometer, in the shade, hand off the bulb, until it stops moving. To the nearest half degree.'
		},
		of('water-temperature'),
		{
			...of('oxygen'),
			title: 'Oxygen by meter',
			how: 'Five points across the stream, each when the figure stands still. Probe under, moving gently.',
			slots: ['left', 'left of middle', 'middle', 'right of middle', 'right'].map((label) => ({
				id: label.replaceAll(' ', '-'),
				label
			})),
			settled: { within: 0.1, for_s: 10 }
		} as Step,
		{
			id: 'oxygen-titration',
			tool: 'titration',
			title: 'Oxygen by titration',
			how:
				'Fill under water with no bubble. Reagents one and two at once, stopper, shake. When the floc has ' +
				'settled, acid; then drop by drop, swirling.',
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
			how:
				'Dip, shake off, hold beside the chart of your own strips, out of the sun. The blocks here are an ' +
				'example: the program enters its own.',
			tags: ['unhurried', 'in-water'],
			parameter: 'ph',
			unit: 'pH',
			begins: 'dip',
			waits: [
				{ what: 'in the water', for_s: 1 },
				{ what: 'colour comes', for_s: 14 }
			],
			readWithin_s: 30,
			chart: [5.8, 6.4, 7, 7.6, 8.2, 8.8].map((value, i) => ({
				value,
				word: ['lemon', 'straw', 'olive', 'leaf', 'sea green', 'slate'][i]!
			}))
		},
		{
			id: 'nitrite',
			tool: 'kit',
			title: 'Nitrite by strip',
			how:
				'Dip, do not shake, wait lying flat, out of the sun, then hold it beside the chart of your own strips. ' +
				'The blocks here are an example.',
			tags: ['unhurried', 'in-water'],
			parameter: 'nitrite',
			unit: 'mg_L_N',
			strip: 'nitrogen strip',
			begins: 'dip',
			waits: [
				{ what: 'in the water', for_s: 2 },
				{ what: 'colour comes', for_s: 43 }
			],
			readWithin_s: 60,
			chart: [0, 0.1, 0.25, 0.6, 1.4].map((value, i) => ({
				value,
				word: ['no colour', 'blush', 'rose', 'heather', 'beet'][i]!
			}))
		},
		{
			id: 'nitrate',
			tool: 'kit',
			title: 'Nitrate by strip',
			how: 'The other pad of the same strip; its colour comes later. The blocks here are an example.',
			tags: ['unhurried', 'in-water'],
			parameter: 'nitrate',
			unit: 'mg_L_N',
			strip: 'nitrogen strip',
			begins: 'dip',
			waits: [
				{ what: 'in the water', for_s: 2 },
				{ what: 'colour comes', for_s: 68 }
			],
			readWithin_s: 60,
			chart: [0, 0.8, 2.5, 6, 12, 25].map((value, i) => ({
				value,
				word: ['no colour', 'blush', 'rose', 'pink', 'heather', 'beet'][i]!
			})),
			costIfMissing: 'Nutrients stay unseen: clear water may be rich in them.'
		},
		{
			id: 'phosphate',
			tool: 'kit',
			title: 'Phosphate by colour kit',
			how:
				'Molybdenum blue: fill to the line, add the reagents of your kit, mix, let the blue come; read between ' +
				'ten minutes and half an hour, down through the tube, out of the sun.',
			tags: ['unhurried', 'in-water'],
			caution: 'reagents',
			parameter: 'phosphate',
			unit: 'mg_L_P',
			begins: 'reagents',
			waits: [
				{ what: 'mix', for_s: 30 },
				{ what: 'blue comes', for_s: 600 }
			],
			readWithin_s: 1200,
			chart: [0, 0.03, 0.07, 0.15, 0.3, 0.6, 1.2].map((value, i) => ({
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
			how:
				'Where it is still and too deep for the tube: down on the shaded side until it is gone, up until it just ' +
				'shows. It never touches the bed.',
			tags: ['unhurried', 'in-water'],
			caution: 'water',
			unit: 'm'
		},
		{
			...of('flow'),
			how:
				'Tape tight across, square to the current. At each vertical: depth, then velocity at 0.6 of it down from ' +
				'the surface, 40 s. Where it is deeper than 0.75 m: at 0.2 and at 0.8.',
			school: 'one-point'
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
