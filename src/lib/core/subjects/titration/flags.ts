import { writeFixed, writeNumber } from '../../quantity';
import { doubtKind } from '../flag';
import { saySeconds } from '../say';

const mgL = (n: number) => `${writeFixed(n, 1)} mg/L`;

export const titrationFlags = {
	'titration-bubble': doubtKind<{ bottle: string }>(
		'spoils',
		(e) => `Bottle ${e.bottle} had a bubble: air went on giving oxygen. Start again with a fresh bottle.`
	),
	'floc-unsettled': doubtKind<{ bottle: string; after_s: number; settle_s: number }>(
		'ask',
		(e) =>
			`Bottle ${e.bottle} was acidified ${saySeconds(e.after_s)} after fixing; the floc needs ` +
			`${saySeconds(e.settle_s)} to settle.`
	),
	'titrated-late': doubtKind<{ bottle: string; after_h: number; limit_h: number }>(
		'ask',
		(e) =>
			`Bottle ${e.bottle} was titrated ${writeFixed(e.after_h, 1)} h after fixing; ${writeNumber(e.limit_h)} h is ` +
			`the most.`
	),
	'below-blank': doubtKind<{ drops: number; blankDrops: number }>(
		'ask',
		(e) => `${e.drops} drops are fewer than the blank’s ${e.blankDrops}. Titrate again, or look at the blank.`
	),
	'burette-below-blank': doubtKind<{ titrant_mL: number; blank_mL: number }>(
		'ask',
		(e) =>
			`${writeFixed(e.titrant_mL, 2)} mL of titrant is less than the blank’s ${writeFixed(e.blank_mL, 2)} mL. ` +
			'Titrate again, or look at the blank.'
	),
	'titrant-off': doubtKind<{ label_N: number; found_N: number; limit_percent: number }>(
		'ask',
		(e) =>
			`The titrant’s label says ${writeFixed(e.label_N, 4)} N, its standard found ${writeFixed(e.found_N, 4)} N: ` +
			`over ${writeNumber(e.limit_percent)} % apart. What was found counts; make the titrant fresh.`
	),
	'titrations-apart': doubtKind<{ lowest_mgL: number; highest_mgL: number; limit_mgL: number }>(
		'ask',
		(e) =>
			`The titrations lie apart, ${mgL(e.lowest_mgL)} and ${mgL(e.highest_mgL)}; within ${mgL(e.limit_mgL)} is ` +
			'usual. One drop too many is the usual slip: titrate a third.'
	)
};
