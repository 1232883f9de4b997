import type { BottleKind, Technique } from './branch';

/** How a bottle was filled, in words. */
export const techniqueWords = {
	hand: 'by hand',
	pole: 'on a pole',
	'bridge-bucket': 'bucket from a bridge',
	syringe: 'with a syringe',
	bank: 'from the bank',
	composite: 'composite across the stream'
} as const satisfies Record<Technique, string>;

/** What a bottle is for, in words. */
export const bottleKindWords = {
	bacteria: 'bacteria, in a sterile bottle',
	nutrients: 'nutrients, kept by a preservative',
	fresh: 'nutrients, nothing added'
} as const satisfies Record<BottleKind, string>;
