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

/** What a bottle is for, as it stands on its label. */
export const bottleLabelWords = {
	bacteria: 'bacteria, sterile',
	nutrients: 'nutrients',
	fresh: 'fresh nutrients, nothing added'
} as const satisfies Record<BottleKind, string>;

/** So many of them, as they are packed. */
export const bottlesWords = {
	bacteria: 'sterile bacteria bottles',
	nutrients: 'nutrient bottles',
	fresh: 'bottles with nothing added'
} as const satisfies Record<BottleKind, string>;

/** What a bottle is for, in words. */
export const bottleKindWords = {
	bacteria: 'bacteria, in a sterile bottle',
	nutrients: 'nutrients, kept by a preservative',
	fresh: 'nutrients, nothing added'
} as const satisfies Record<BottleKind, string>;
