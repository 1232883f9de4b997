import { writeFigure, writeFixed, writeNumber, type Figure, type ParameterCode } from '../../quantity';
import { doubtKind } from '../flag';
import { lower, nameOf, sayTimes, type SaidIn } from '../say';
import type { BottleKind } from './branch';

interface Pair {
	parameter: ParameterCode;
	first: Figure;
	second: Figure;
}
/** What of a label's code does not fit where and when it is used. */
export type LabelMismatch =
	| { of: 'site'; labelled: string; here: string }
	| { of: 'day'; labelled: string; here: string }
	| { of: 'kind'; labelled: BottleKind; here: string };

export function sayMismatch(wrong: LabelMismatch): string {
	switch (wrong.of) {
		case 'site':
			return `is labelled for site ${wrong.labelled}, and this is ${wrong.here}`;
		case 'day':
			return `is labelled for ${wrong.labelled}, and this visit began on ${wrong.here}`;
		case 'kind':
			return `is a ${wrong.labelled} bottle, and this step fills one for ${wrong.here}`;
	}
}
const pair = ({ parameter, first, second }: Pair, units: SaidIn) =>
	`The duplicates of ${lower(nameOf(parameter, units))}, ${writeFigure(first)} and ${writeFigure(second)},`;

export const bottleFlags = {
	'held-too-long': doubtKind<{ label: string; held_h: number; limit_h: number }>(
		'ask',
		(e) =>
			`Bottle ${e.label} was held ${writeFixed(e.held_h, 1)} h; its limit is ${writeNumber(e.limit_h)} h. What it ` +
			'holds may have changed by then: the figure is qualified, and says so.'
	),
	'analysed-late': doubtKind<{ label: string; parameter: ParameterCode; held_h: number; limit_h: number }>(
		'ask',
		(e, said) =>
			`${nameOf(e.parameter, said)} of bottle ${e.label} was analysed ${writeFixed(e.held_h / 24, 0)} days or more ` +
			`after filling; it keeps ${writeFixed(e.limit_h / 24, 0)}. The figure is qualified, and says so.`
	),
	'bottle-refused': doubtKind<{ label: string; reason: string }>(
		'spoils',
		(e) => `Bottle ${e.label} was refused when it came: ${e.reason}. No figure from it can be used.`
	),
	'bottle-doubted': doubtKind<{ label: string; reason: string }>(
		'ask',
		(e) => `Bottle ${e.label} was taken in with a flag: ${e.reason}. Its figures are qualified, and say so.`
	),
	'bottle-leaked': doubtKind<{ label: string; isOpen: boolean }>('ask', (e) =>
		e.isOpen
			? `Bottle ${e.label} came open, or with its seal broken: something may have got in.`
			: `Some of bottle ${e.label} had leaked when it came: something may have got in too.`
	),
	'plating-unsaid': doubtKind<{ label: string; limit_h: number }>(
		'ask',
		(e) =>
			`When was bottle ${e.label} plated? Its ${writeNumber(e.limit_h)} h count until then, and nobody has noted ` +
			`it. Ask the lab.`
	),
	'not-from-this-bottle': doubtKind<{ label: string; parameter: ParameterCode; with: string; because: string }>(
		'spoils',
		(e, said) =>
			`${nameOf(e.parameter, said)} cannot come from bottle ${e.label}, which holds ` +
			`${e.with === 'nothing' ? 'no preservative' : e.with}: ${e.because}. Ask the lab which bottle it used.`
	),
	'not-filtered': doubtKind<{ label: string; parameter: ParameterCode; after_min: number | null; within_min: number }>(
		'ask',
		(e, said) =>
			`${nameOf(e.parameter, said)} is of what is dissolved: bottle ${e.label} ` +
			`${e.after_min === null ? 'has no time of filtering' : `was filtered ${writeFixed(e.after_min, 0)} min after filling`}; within ${e.within_min} min is asked for.`
	),
	'not-on-ice': doubtKind<{ label: string; after_h: number }>(
		'ask',
		(e) =>
			`Bottle ${e.label} has stood ${writeFixed(e.after_h, 1)} h and no time on ice is noted. Put it on ice, or ` +
			'note when it went on.'
	),
	'blank-not-clean': doubtKind<{ label: string; parameter: ParameterCode; seen: Figure }>(
		'spoils',
		(e, said) =>
			`The blank, bottle ${e.label}, holds ${writeFigure(e.seen)} of ${lower(nameOf(e.parameter, said))}: bottle, ` +
			'water or handling carried it in.'
	),
	'blank-as-usual': doubtKind<{ label: string; parameter: ParameterCode; seen: Figure; upTo: Figure; n: number }>(
		'note',
		(e, said) =>
			`The blank, bottle ${e.label}, holds ${writeFigure(e.seen)} of ${lower(nameOf(e.parameter, said))}: no more ` +
			`than your blanks usually do, up to ${writeFigure(e.upTo)} by ${e.n} of them. Samples that hold as little ` +
			'cannot be told from nothing.'
	),
	'duplicates-apart': doubtKind<Pair & { apart_percent: number; limit_percent: number }>(
		'ask',
		(e, said) =>
			`${pair(e, said)} lie ${writeFixed(e.apart_percent, 0)} % apart; within ${writeNumber(e.limit_percent)} % is ` +
			'usual. Ask how each was taken before either is used.'
	),
	'duplicates-apart-log': doubtKind<Pair & { apart_log: number; limit_log: number; pairs: number }>(
		'ask',
		(e, said) =>
			`${pair(e, said)} lie ${writeFixed(e.apart_log, 2)} apart in log10; within ${writeFixed(e.limit_log, 2)} is ` +
			`usual${e.pairs ? ` for your last ${e.pairs} pairs` : ''}. Ask how each was taken before either is used.`
	),
	'duplicate-alone': doubtKind<{ label: string }>(
		'ask',
		(e) => `Bottle ${e.label} is a duplicate, but of no bottle here. Name its partner, or it says nothing.`
	),
	'sterile-rinsed': doubtKind<{ label: string }>(
		'spoils',
		(e) =>
			`Bottle ${e.label} is sterile and was rinsed: what kept it sterile is gone, and hands and stream are in it. ` +
			'Take another.'
	),
	'rinsed-otherwise': doubtKind<{ label: string; rinses: number; wanted: number }>(
		'ask',
		(e) => `Bottle ${e.label} was rinsed ${sayTimes(e.rinses)}; the card asks for ${sayTimes(e.wanted)}.`
	),
	'rinse-unsaid': doubtKind<{ label: string; wanted: number }>(
		'ask',
		(e) =>
			`Bottle ${e.label} is filled and no rinse is noted; the card asks for ${sayTimes(e.wanted)}. Note it if it was ` +
			'done; else say so, and rinse the next.'
	),
	'not-preserved': doubtKind<{ label: string; wanted: string }>(
		'ask',
		(e) =>
			`Bottle ${e.label} is filled and no ${e.wanted} is noted. Add it on the bank, with gloves and eye protection, ` +
			'or note when it was done.'
	),
	'wrong-preservative': doubtKind<{ label: string; with: string; wanted: string }>(
		'spoils',
		(e) =>
			`Into bottle ${e.label} went ${e.with}; the card asks for ${e.wanted}. The lab cannot use it for what was ` +
			'meant: take another bottle, and say so on the form.'
	),
	'blank-of-stream': doubtKind<{ label: string; wanted: string }>(
		'spoils',
		(e) =>
			`The blank, bottle ${e.label}, holds stream water. A blank is ${e.wanted}, handled like a sample: fill ` +
			'another, or it tells nothing.'
	),
	'blank-water-unsaid': doubtKind<{ label: string; wanted: string }>(
		'ask',
		(e) => `Say that the blank, bottle ${e.label}, was filled with ${e.wanted}.`
	),
	'blank-not-sterile': doubtKind<{ label: string }>(
		'ask',
		(e) =>
			`The blank, bottle ${e.label}, holds deionised water, which starves bacteria. For them a blank is sterile ` +
			'buffered water: fill another, or say so on the form.'
	),
	'wrong-bottle': doubtKind<{ label: string; wrong: LabelMismatch }>(
		'ask',
		(e) =>
			`Bottle ${e.label} ${sayMismatch(e.wrong)}. Look at the label again; if the bottle is the wrong one, strike it ` +
			'and take the right one.'
	),
	'label-twice': doubtKind<{ label: string }>(
		'ask',
		(e) => `Two bottles carry the label ${e.label}. Nobody could tell them apart at the lab: relabel one.`
	),
	'label-elsewhere': doubtKind<{ label: string; site: string }>(
		'ask',
		(e) =>
			`A bottle with the label ${e.label} was filled at ${e.site} too. Nobody could tell them apart at the lab: ` +
			'relabel one, and note which.'
	),
	'cooler-warm': doubtKind<{ temperature_C: number; limit_C: number }>(
		'ask',
		(e) =>
			`The cooler had ${writeFixed(e.temperature_C, 1)} °C when it was handed over; over ${writeNumber(e.limit_C)} ` +
			'°C bottles do not count as kept cold. More ice, and tell the lab.'
	)
};
