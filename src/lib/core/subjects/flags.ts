import { arrivalFlags } from './arrival/flags';
import { bottleFlags } from './bottle/flags';
import { derivedFlags } from './derived/flags';
import { discFlags } from './disc/flags';
import type { DoubtKind } from './flag';
import { formFlags } from './form/flags';
import { gaugingFlags } from './gauging/flags';
import { kitFlags } from './kit/flags';
import { netFlags } from './net/flags';
import { paperCopyFlags } from './paper-copy/flags';
import { growthTubesFlags } from './growth-tubes/flags';
import { platesFlags } from './plates/flags';
import { readingFlags } from './reading/flags';
import { samplerFlags } from './sampler/flags';
import { METRIC, type SaidIn } from './say';
import { staffFlags } from './staff-gauge/flags';
import { titrationFlags } from './titration/flags';
import { trayFlags } from './tray/flags';
import { voucherFlags } from './voucher/flags';
import { wholeVisitFlags } from './whole-visit/flags';

/** The doubts of every subject, a line each. No two subjects have a code in common (a test sees to it). */
export const flagsBySubject = {
	arrival: arrivalFlags,
	bottle: bottleFlags,
	derived: derivedFlags,
	disc: discFlags,
	form: formFlags,
	gauging: gaugingFlags,
	kit: kitFlags,
	net: netFlags,
	sampler: samplerFlags,
	paperCopy: paperCopyFlags,
	plates: platesFlags,
	growthTubes: growthTubesFlags,
	reading: readingFlags,
	staffGauge: staffFlags,
	titration: titrationFlags,
	tray: trayFlags,
	voucher: voucherFlags,
	wholeVisit: wholeVisitFlags
};

type KindsOf<Subject> = Subject extends unknown ? { [C in keyof Subject]: Subject[C] } : never;
type Together<U> = (U extends unknown ? (u: U) => void : never) extends (i: infer I) => void ? I : never;
type Kinds = Together<KindsOf<(typeof flagsBySubject)[keyof typeof flagsBySubject]>>;

export type FlagCode = Extract<keyof Kinds, string>;
/** What goes with each doubt. */
export type Evidence = { [C in FlagCode]: Kinds[C] extends DoubtKind<infer E> ? E : never };

export interface FlagOf<C extends FlagCode> {
	code: C;
	/** Where in the sheet. */
	path: string;
	/** About which parameter's figure. */
	parameter: string | null;
	evidence: Evidence[C];
}
/** A doubt about a measurement: which, where in the sheet, about which parameter's result, on what evidence. */
export type Flag = { [C in FlagCode]: FlagOf<C> }[FlagCode];

/** A doubt of this kind, at this place, on this evidence. */
export const doubt = <C extends FlagCode>(
	code: C,
	{ path, parameter }: Pick<Flag, 'path' | 'parameter'>,
	evidence: Evidence[C]
): FlagOf<C> => ({ code, path, parameter, evidence });

const kinds = new Map<string, DoubtKind<never>>(Object.values(flagsBySubject).flatMap((f) => Object.entries(f)));
const kindOf = (flag: Flag) => kinds.get(flag.code)!;

export const weightOf = (flag: Flag) => kindOf(flag).weight;
export const isAboutPeople = (flag: Flag): boolean => kindOf(flag).isAboutPeople;

/** The sentence for a doubt, the same on screen and paper: what was seen, then what to do. */
export const flagSentence = (flag: Flag, units: SaidIn = METRIC): string =>
	kindOf(flag).say(flag.evidence as never, units);
