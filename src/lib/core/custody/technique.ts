import type { BottleKind, Technique } from '../subjects/bottle/branch';
import type { SampleRole } from './labels';

interface Filling {
	kind: BottleKind;
	role: SampleRole;
	technique: Technique;
	rinses: number;
	preserved: string | undefined;
	isFiltered?: boolean;
}

const reach: Record<Technique, readonly string[]> = {
	hand: [
		'Come from downstream, walking upstream, and face upstream.',
		'In the main flow, 8 to 15 cm under, above the bed; no film, no stirred mud.'
	],
	pole: [
		'Clamp the bottle, stand firm on the bank, somebody holds on to you.',
		'Reach into the main flow, mouth upstream, 8 to 15 cm under.'
	],
	'bridge-bucket': [
		'On the upstream side; mind the traffic, a vest on, somebody looks out.',
		'Rinse the bucket with the stream and pour it out downstream, then draw from the main flow without ' +
			'touching the pier.'
	],
	syringe: [
		'Draw and empty it three times downstream.',
		'Fill slowly from the thread of water, several fills, tip off the bed.'
	],
	bank: [
		'Stand where the bed is not stirred, reach only as far as you stand firm, mouth upstream.',
		'Keep off the film at the edge.'
	],
	composite: [
		'Tag line across, ten equal widths, the middle of each.',
		'The whole depth at each, up and down at one pace; more water where more flows, all into the churn.'
	]
};

/**
 * What a blank is filled with: deionised water starves bacteria, so theirs is sterile and buffered (APHA Standard
 * Methods 9050 C).
 */
export const blankWater: Record<BottleKind, string> = {
	bacteria: 'sterile buffered water',
	nutrients: 'deionised water',
	fresh: 'deionised water'
};

/** What to do, line by line, for a bottle filled so. */
export function fillingGuide({ kind, role, technique, rinses, preserved, isFiltered = false }: Filling): string[] {
	if (role === 'blank')
		return [
			kind === 'bacteria'
				? 'Open it last, touch nothing inside, never rinse it.'
				: 'Rinse it with deionised water, as often as the others.',
			`Pour ${blankWater[kind]} in, here, as if it were the stream. Nothing of the stream gets near.`,
			...closing(kind, preserved)
		];
	return [
		...(role === 'duplicate' ? ['Same place, same hand, at once after the first.'] : []),
		...reach[technique],
		...rinsing(kind, rinses),
		...(kind === 'bacteria' && technique === 'composite'
			? ['A churn is not sterile: a bacteria bottle is filled by hand, in the main flow.']
			: []),
		kind === 'bacteria'
			? 'Open it last. One U-shaped sweep away from your hand, nothing touched inside, air left for mixing.'
			: 'Fill it under the surface.',
		...(isFiltered
			? ['Through the filter within a quarter of an hour, on the bank: what is dissolved is wanted, not what floats.']
			: []),
		...closing(kind, preserved)
	];
}

function rinsing(kind: BottleKind, rinses: number): string[] {
	if (kind === 'bacteria') return ['Sterile: never rinsed.'];
	if (rinses === 0) return ['Not rinsed: this card says so.'];
	return [`Rinse ${rinses === 1 ? 'once' : `${rinses} times`}, shaken; pour it out downstream or ashore, low.`];
}

const closing = (kind: BottleKind, preserved: string | undefined): string[] => [
	...(preserved === undefined
		? []
		: [
				`To the shoulder, not over. On the bank, gloves and eye protection on: the ${preserved}, its own cap, turn ` +
					'over five times to mix.'
			]),
	kind === 'bacteria' ? 'Close it at once. One bottle open at a time.' : 'Close it, dry it, and on ice.'
];
