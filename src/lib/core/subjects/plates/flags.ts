import { writeFixed, writeNumber } from '../../quantity';
import { doubtKind } from '../flag';
import { listed } from '../../wording';

const colonies = (n: number) => (n === 1 ? 'one colony' : `${n} colonies`);

export const platesFlags = {
	'plate-too-early': doubtKind<{ label: string; age_h: number; readable_h: number }>(
		'ask',
		(e) =>
			`Plate ${e.label} was read after ${writeFixed(e.age_h, 0)} h; colonies may still come until ` +
			`${writeNumber(e.readable_h)} h. Read it again then.`
	),
	'plate-held-back': doubtKind<{ label: string; age_h: number; cold_h: number; least_C: number }>(
		'ask',
		(e) =>
			`Plate ${e.label} was read after ${writeFixed(e.age_h, 0)} h, ${writeFixed(e.cold_h, 0)} of them under ` +
			`${writeNumber(e.least_C)} °C, which hardly count: colonies may still come. Read it again before it is too ` +
			'old.'
	),
	'plate-too-old': doubtKind<{ label: string; age_h: number; limit_h: number }>(
		'spoils',
		(e) =>
			`Plate ${e.label} was read after ${writeFixed(e.age_h, 0)} h; after ${writeNumber(e.limit_h)} h other things ` +
			'grow and the count is no longer one of E. coli.'
	),
	'plate-too-cold': doubtKind<{ label: string; seen_C: number; least_C: number }>(
		'ask',
		(e) =>
			`Plate ${e.label} stood at ${writeFixed(e.seen_C, 1)} °C; under ${writeNumber(e.least_C)} °C it grows too ` +
			'slowly for the clock. Give it more time, and say so.'
	),
	'plate-crowded': doubtKind<{ label: string; volume_mL: number; instead_mL: number }>(
		'note',
		(e) =>
			`Plate ${e.label} has too many to count in ${writeNumber(e.volume_mL)} mL. Next time pour ` +
			`${writeNumber(e.instead_mL)} mL of this water.`
	),
	'plate-counted-apart': doubtKind<{
		label: string;
		least: number;
		most: number;
		apart_percent: number;
		limit_percent: number;
	}>(
		'ask',
		(e) =>
			`Two people counted ${e.least} and ${e.most} on plate ${e.label}, ${writeFixed(e.apart_percent, 0)} % apart; ` +
			`up to ${writeNumber(e.limit_percent)} % is usual. Look together at what only one of you marked.`
	),
	'plate-squares': doubtKind<{ label: string; squares: number; counted: number }>(
		'ask',
		(e) =>
			`Plate ${e.label} says ${e.counted} squares were counted of ${e.squares}: no figure comes of it until one is ` +
			'put right.'
	),
	'plates-scatter': doubtKind<{ bottle: string; counts: readonly number[]; chance: number }>(
		'ask',
		(e) =>
			`The plates of ${e.bottle} hold ${listed(e.counts.map(String))} colonies; counting alone makes plates of one ` +
			`water differ so once in ${writeFixed(1 / e.chance, 0)} times. Was the sample shaken before each was poured, ` +
			'and is one misread?'
	),
	'plate-sparse': doubtKind<{ label: string; colonies: number; volume_mL: number; instead_mL: number }>(
		'note',
		(e) =>
			`Plate ${e.label} has ${colonies(e.colonies)} in ${writeNumber(e.volume_mL)} mL, which leaves the figure ` +
			`wide open. Next time pour ${writeNumber(e.instead_mL)} mL of this water.`
	),
	'blank-grew': doubtKind<{ label: string; colonies: number }>(
		'spoils',
		(e) =>
			`The blank, plate ${e.label}, grew ${colonies(e.colonies)}: something was not sterile, and none of this batch ` +
			'can be trusted.'
	)
};
