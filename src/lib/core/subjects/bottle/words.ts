import type { Lack, Packing } from '../../custody';
import { writeNumber } from '../../quantity';
import { sayDuration } from '../../wording';
import type { BranchWords } from '../branch-words';
import type { BottleKind, lids, Technique } from './branch';
import type { Against } from './reception';
import { receptionWords } from './reception-words';

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

/** What a bottle lacks before it is sent, and what to do about it. */
export const lackWords = {
	label: 'No label: write one, or nobody can tell it from the others.',
	preservative: 'Nothing is noted of the preservative that its card asks for: add it now, with gloves and glasses.',
	ice: 'Nobody noted it on ice: is it cold?',
	time: 'No time of filling: the lab cannot tell how old it is.',
	filter: 'Not filtered on the bank, as its card asks: what is dissolved cannot be told from it.'
} as const satisfies Record<Lack, string>;

/** How a box is packed. */
export const packingWords = {
	bags: 'Lids tight, labels dry, bottles bagged by what is in them',
	liner: 'All bags inside one liner, tied shut',
	ice: 'Ice in bags of its own, outside the liner',
	form: 'The custody form in a bag on the inside of the lid',
	tape: 'Lid taped all round, the address on top'
} as const satisfies Record<Packing, string>;

/** How a bottle was closed when it came. */
export const lidWords = {
	tight: 'tight',
	leaked: 'some has leaked',
	open: 'open, or its seal broken'
} as const satisfies Record<(typeof lids)[number], string>;

/** What speaks against a bottle, as half a sentence: it becomes the reason where nobody writes another. */
export function sayAgainst(against: Against): string {
	switch (against.of) {
		case 'held':
			return `held ${sayDuration(against.held_h * HOUR_ms)}, its limit is ${writeNumber(against.limit_h)} h`;
		case 'warm':
			return `came at ${writeNumber(against.temperature_C)} °C, over ${writeNumber(against.limit_C)} °C`;
		case 'lid':
			return lidWords[against.lid];
	}
}
const HOUR_ms = 3_600_000;

/** How the places of a sheet that this subject owns are said in the logbook. */
export const bottlePlaces: BranchWords = {
	name: 'bottle',
	keys: {
		label: 'label',
		kind: 'what it is for',
		role: 'role',
		duplicateOf: 'duplicate of',
		technique: 'how it was filled',
		rinses: 'rinses',
		water: 'water in it',
		parts: 'vertical of the composite',
		velocity_m_s: 'velocity',
		depth_m: 'depth',
		volume_mL: 'volume',
		isTaken: 'taken',
		churn_mL: 'what the churn holds',
		splitOrder: 'which one out of the churn',
		filledAt: 'time of filling',
		preservedAt: 'time of the preservative',
		preservedWith: 'preservative',
		filteredAt: 'time of filtering',
		onIceAt: 'time on ice',
		atLabAt: 'time at the lab',
		received: 'how it came',
		lid: 'lid',
		verdict: 'taken in',
		reason: 'why',
		temperature_C: 'temperature',
		platedAt: 'time of the last plate',
		results: 'result',
		reports: 'reported by the lab',
		figure: 'figure',
		uncertainty: '±',
		limit: 'reporting limit',
		lab: 'lab',
		report: 'report',
		method: 'method',
		analysedOn: 'analysed on',
		asWritten: 'its row in the report',
		isSimulated: 'simulated'
	},
	values: {
		kind: { bacteria: 'bacteria', nutrients: 'nutrients, preserved', fresh: 'nutrients, nothing added' },
		technique: techniqueWords,
		role: { routine: 'sample', duplicate: 'duplicate', blank: 'blank' },
		lid: lidWords,
		verdict: receptionWords,
		water: { stream: 'the stream’s', deionised: 'deionised water', sterile: 'sterile buffered water' }
	}
};

export const custodyPlaces: BranchWords = {
	name: 'custody',
	keys: {
		from: 'given by',
		to: 'taken by',
		at: 'time',
		seal: 'seal',
		temperature_C: 'temperature in the cooler',
		signature: 'signature',
		note: 'note'
	}
};
