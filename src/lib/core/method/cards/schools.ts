import { isTool, type Step } from '../../subjects/steps';
import type { MethodCard } from '../card';
import { exampleStep } from '../../subjects/step-settings';
import { fullVisit } from './full-visit';
import { streamVisit } from './stream-visit';

/* The shipped card in the variants of the schools. What is not named here is as in the stream visit. */

const first = (card: MethodCard, change: Partial<MethodCard>): MethodCard => ({ ...card, ...change, version: 1 });
const inSteps = (change: (step: Step) => Step): Step[] => streamVisit.steps.map(change);

/** For crews that were trained in moving water: the product of depth and velocity decides, and the bottles have 8 h. */
const trainedCrew = first(streamVisit, {
	code: 'stream-visit-crew',
	title: 'Stream visit, trained crew',
	summary:
		'As the stream visit, for crews trained in moving water: the product of depth and velocity decides whether ' +
		'anyone wades.',
	wading: { school: 'product', product_m2_s: 0.6 },
	holding: { bacteria_h: 8, withoutIce_h: 1 }
});

/** Depth alone decides, a life jacket from knee depth; tape, rod and meter are read in feet; the bottles have 24 h. */
const inFeet = first(streamVisit, {
	code: 'stream-visit-feet',
	title: 'Stream visit, in feet',
	summary:
		'As the stream visit, with tape, rod and meter in feet and temperatures in °F; depth alone decides whether ' +
		'anyone wades.',
	steps: inSteps((s) => {
		if (isTool(s, 'flow')) return { ...s, tapeUnit: 'ft', velocityUnit: 'ft_s' };
		return isTool(s, 'reading') && s.unit === 'degC' ? { ...s, unit: 'degF' } : s;
	}),
	wading: { school: 'depth-only', depth_m: 0.5, lifeJacket_m: 0.3 },
	holding: { bacteria_h: 24, withoutIce_h: 1 },
	shown: { discharge: 'ft3_s', 'water-temperature': 'degF', 'air-temperature': 'degF' }
});

/** A bottle and the two temperatures: for many sites in a morning, and for a storm. */
const bottleRun = first(streamVisit, {
	code: 'bottle-run',
	title: 'Bottle run',
	summary:
		'A bacteria bottle, air and water temperature, and on to the next site: for many sites in a morning, or after a ' +
		'storm.',
	steps: streamVisit.steps.filter((s) =>
		['arrive', 'bacteria-bottle', 'air-temperature', 'water-temperature', 'leave'].includes(s.id)
	),
	rules: streamVisit.rules.filter((r) => ![r.first, r.then].some((tag) => tag === 'oxygen' || tag === 'stirs-bed'))
});

const scoutingWords: Record<string, { title?: string; how: string }> = {
	arrive: {
		title: 'Arrive and look',
		how:
			'Park, walk in, look at the bank and the water. Say how a crew would sample here, and what speaks against ' +
			'it. Photograph the way in and the bank.'
	},
	leave: { how: 'Nothing left on the bank, the gate as it was found.' }
};

/** A look at a place before a group goes there, or before it becomes a site: access, dangers, what it is like. */
const scouting = first(fullVisit, {
	code: 'scouting',
	title: 'Scouting',
	summary:
		'A look at a place before others go there: how to reach it, what is dangerous, photos and a sketch. No samples.',
	purpose: 'scouting',
	steps: fullVisit.steps
		.filter((s) => ['arrive', 'conditions', 'habitat', 'leave'].includes(s.id))
		.map((s) => (s.id in scoutingWords ? { ...s, ...scoutingWords[s.id] } : s)),
	rules: fullVisit.rules.filter((r) => r.first === 'arrive' || r.then === 'leave')
});

const SWEEP_HOW =
	'Three strokes a metre, ten metres in all, shared over the habitats that are there. Sweep upstream, against the ' +
	'roots and stones.';

/** The animals that live in a riffle all year: a kick with the net, sorted and counted at the bank. */
const animals = first(fullVisit, {
	code: 'animals',
	title: 'Animals',
	summary:
		'A kick with the net and what it caught, sorted, named and counted at the bank, with the water’s temperature.',
	steps: [
		...fullVisit.steps.filter((s) => ['arrive', 'conditions', 'water-temperature'].includes(s.id)),
		{ id: 'kick', ...exampleStep('net') } as Step,
		{ id: 'sort', ...exampleStep('tray') } as Step,
		...fullVisit.steps.filter((s) => s.id === 'leave')
	],
	rules: [
		...fullVisit.rules.filter((r) => r.first === 'arrive' || r.then === 'leave'),
		{ first: 'water-temperature', then: 'stirs-bed', because: 'Water that was stirred up is other water.' }
	]
});

/** The same alive and against the clock: sweeps over all that is there, picked at the bank until nothing new comes. */
const livePick = first(animals, {
	code: 'live-pick',
	title: 'Animals, live pick',
	summary:
		'Ten metres swept over every habitat, picked alive at the bank against the clock until nothing new comes: which ' +
		'kinds there are, not how many of each.',
	steps: animals.steps.map((s) => {
		if (isTool(s, 'net')) return { ...s, id: 'sweep', school: 'sweep', title: 'Sweep every habitat', how: SWEEP_HOW };
		return isTool(s, 'tray') ? { ...s, school: 'pick', title: 'Pick them alive' } : s;
	})
});

/** A plate stack that stood six weeks in the stream: where a net cannot go, and everywhere the same surface. */
const plateStack = first(animals, {
	code: 'plate-stack',
	title: 'Animals, plate stack',
	summary:
		'A stack of plates is lifted after six weeks in the stream, its animals sorted and counted; where it is gone, ' +
		'every habitat is swept.',
	steps: animals.steps.map((s) => (isTool(s, 'net') ? ({ id: 'stack', ...exampleStep('sampler') } as Step) : s))
});

/** A part of a kick that was taken home: squares of a grid, drawn at random, until there are enough animals. */
const fixedCount = first(animals, {
	code: 'fixed-count',
	title: 'Animals, fixed count',
	summary:
		'A kick with the net, spread over a tray with a grid; squares are drawn at random and sorted whole until there ' +
		'are 300 animals.',
	steps: animals.steps.map((s) => (isTool(s, 'tray') ? { ...s, school: 'squares' } : s))
});

/** All cards that are shipped, one for each school. */
export const shippedCards: readonly MethodCard[] = [
	first(streamVisit, {}),
	trainedCrew,
	inFeet,
	bottleRun,
	fullVisit,
	scouting,
	animals,
	livePick,
	fixedCount,
	plateStack
];
