import { convert, significant, units, writeFixed, writeNumber } from '../../quantity';
import { doubtKind, type Nothing } from '../flag';
import { sayLength, sayPercent, saySpeed, type SaidIn } from '../say';
import type { Arithmetic, GaugingMethod, VelocityPointMethod } from './branch';
import { arithmeticWords, depthShare, gaugingWords, pointMethodWords } from './words';

const flow = (m3_s: number, { shown }: SaidIn) => {
	const unit = shown?.discharge ?? 'm3_s';
	return `${significant(convert(m3_s, 'm3_s', unit), 3)} ${units[unit].symbol}`;
};

/** What a gauging lacks before it gives a flow. */
export const lackWords = {
	length: 'length',
	run: 'timed run',
	area: 'area',
	depth: 'depth, on which the coefficient depends',
	coefficient: 'coefficient',
	fill: 'timed fill',
	head: 'head'
} as const;
export type Lack = keyof typeof lackWords;

/** A choice of way that differs from the card's. */
export type OtherWay =
	| { of: 'method'; asked: GaugingMethod; used: GaugingMethod }
	| { of: 'school'; asked: VelocityPointMethod; used: VelocityPointMethod }
	| { of: 'arithmetic'; asked: Arithmetic; used: Arithmetic };
const wayWords = { method: gaugingWords, school: pointMethodWords, arithmetic: arithmeticWords };
const sayWay = (way: OtherWay, which: 'asked' | 'used') =>
	(wayWords[way.of] as Record<string, string>)[way[which]] ?? '';

export const gaugingFlags = {
	'flume-submerged': doubtKind<{ submergence_percent: number; limit_percent: number }>(
		'spoils',
		(e) =>
			`The water below the flume stands at ${sayPercent(e.submergence_percent)} of the head; from ` +
			`${writeNumber(e.limit_percent)} % on it holds the flow back and the rating does not hold. Clear the way ` +
			'below, or find a steeper place.'
	),
	'flume-out-of-range': doubtKind<{ head_m: number; low_m: number; high_m: number }>(
		'spoils',
		(e) =>
			`A head of ${writeFixed(e.head_m, 3)} m lies outside the flume’s rating (${writeNumber(e.low_m)} to ` +
			`${writeNumber(e.high_m)} m). Use another way of gauging.`
	),
	'flume-unrated': doubtKind<Nothing>(
		'spoils',
		() =>
			'Nobody has said which flume this is, so the head cannot become a flow. Choose it from the shelf, or ask the ' +
			'coordinator to put its rating there.'
	),
	'flume-not-level': doubtKind<{ along: boolean; across: boolean }>(
		'ask',
		(e) =>
			`The flume is not level ${[e.along ? 'along' : '', e.across ? 'across' : ''].filter(Boolean).join(' and ')}: ` +
			'its rating holds for a level one only. Set it right, let it settle, read again.'
	),
	'flume-unread-tail': doubtKind<Nothing>(
		'ask',
		() => 'The depth below the flume is not noted, so nobody can tell whether the water ran free. Read it.'
	),
	'gauging-incomplete': doubtKind<{ lacks: Lack }>(
		'ask',
		(e) => `The gauging has no ${lackWords[e.lacks]} yet and gives no flow.`
	),
	'below-threshold-velocity': doubtKind<{
		distance_m: number;
		velocity_m_s: number;
		threshold_m_s: number;
		instrument: string;
	}>(
		'ask',
		(e, units) =>
			`At ${sayLength(e.distance_m, units)} the velocity of ${saySpeed(e.velocity_m_s, units)} lies under ` +
			`${saySpeed(e.threshold_m_s, units)}, the least that meter ${e.instrument} can tell: it is not a measurement.`
	),
	'share-over-limit': doubtKind<{ distance_m: number; share_percent: number; limit_percent: number }>(
		'note',
		(e, units) =>
			`The vertical at ${sayLength(e.distance_m, units)} carries ${sayPercent(e.share_percent)} of the flow; no ` +
			`more than ${writeNumber(e.limit_percent)} % is wanted. Add one beside it.`
	),
	'few-verticals': doubtKind<{ verticals: number; least: number }>(
		'note',
		(e) =>
			`${e.verticals === 1 ? 'One vertical' : `${e.verticals} verticals`} so far; the card asks for at least ` +
			`${writeNumber(e.least)}.`
	),
	'edge-missing': doubtKind<{ side: 'first' | 'far' }>(
		'spoils',
		(e) => `The ${e.side} edge of the water is not noted, so the flow there is not counted.`
	),
	'section-impossible': doubtKind<{ why: string }>('spoils', (e) => `The section cannot be worked out: ${e.why}.`),
	'vertical-incomplete': doubtKind<{ distance_m: number; lacks: 'depth' | 'velocity' }>(
		'ask',
		(e, units) => `The vertical at ${sayLength(e.distance_m, units)} has no ${e.lacks} yet and is left out.`
	),
	'speeds-turned': doubtKind<{ distance_m: number; at02_m_s: number; at08_m_s: number }>(
		'ask',
		(e, units) =>
			`At ${sayLength(e.distance_m, units)} the water is faster at ${depthShare(8)} of the depth ` +
			`(${saySpeed(e.at08_m_s, units)}) than at ${depthShare(2)} (${saySpeed(e.at02_m_s, units)}). ` +
			'Were the two typed the wrong way round? Keep them if it is so.'
	),
	'tape-sags': doubtKind<{ sag_m: number; tooLong_percent: number; limit_percent: number }>(
		'ask',
		(e, units) =>
			`The tape hung through by ${sayLength(e.sag_m, units, 2)}, which makes the width come out ` +
			`${sayPercent(e.tooLong_percent, 1)} too long; ${writeNumber(e.limit_percent)} % is the most. Pull it tight ` +
			`and read again.`
	),
	'gaugings-apart': doubtKind<{
		first_m3_s: number;
		second_m3_s: number;
		apart_percent: number;
		limit_percent: number;
	}>(
		'ask',
		(e, units) =>
			`Two gaugings of this flow, ${flow(e.first_m3_s, units)} and ${flow(e.second_m3_s, units)}, lie ` +
			`${sayPercent(e.apart_percent)} apart; within ${writeNumber(e.limit_percent)} % is usual. Did the water ` +
			'rise, or was a vertical left out?'
	),
	'another-way': doubtKind<{ way: OtherWay; because: string }>(
		'note',
		(e) =>
			`Gauged by ${sayWay(e.way, 'used')}, where the card asks for ${sayWay(e.way, 'asked')}: ` +
			`${e.because || 'no reason is noted'}.`
	),
	'run-apart': doubtKind<{ time_s: number; usual_s: number; others: number }>(
		'ask',
		(e) =>
			`One run took ${writeNumber(e.time_s)} s; the other ${e.others} take about ` +
			`${writeNumber(Number(e.usual_s.toFixed(1)))} s. A point in the wrong place, or a float that was caught? ` +
			'Strike it if so.'
	),
	'float-coefficient-high': doubtKind<{ coefficient: number; depth_m: number; byDepth: number }>(
		'ask',
		(e, units) =>
			`A coefficient of ${writeNumber(e.coefficient)} belongs to deeper water; at ` +
			`${sayLength(e.depth_m, units, 2)} it is about ${writeFixed(e.byDepth, 2)}, and the flow comes out that much ` +
			`lower.`
	),
	'widths-apart': doubtKind<{ wetted_m: number; section_m: number; limit_percent: number }>(
		'ask',
		(e, units) =>
			`The wetted width (${sayLength(e.wetted_m, units)}) and the edges of the section ` +
			`(${sayLength(e.section_m, units, 2)}) lie more than ${writeNumber(e.limit_percent)} % apart. One of them is ` +
			'wrong, or the width is of another place.'
	),
	'bankfull-narrow': doubtKind<{ bankfull_m: number; wetted_m: number }>(
		'ask',
		(e, units) =>
			`A bankfull width of ${sayLength(e.bankfull_m, units)} is less than the ${sayLength(e.wetted_m, units, 2)} ` +
			'that are wet, which cannot be. Were the two typed the wrong way round?'
	)
};
