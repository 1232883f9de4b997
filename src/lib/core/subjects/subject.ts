import type { Folded, Sheet } from '../logbook';
import type { MethodCard } from '../method';
import type { Context } from './context';
import type { Clock, Determination, Finding } from './determination';
import type { Flag } from './flags';
import type { Flow, GaugingView } from './gauging/view';

/** What a subject sees of a visit: its own branches, the card, and what it needs to know beyond them. */
export interface Own<B extends keyof Sheet, K extends keyof Context> {
	sheet: Pick<Sheet, B>;
	/** The lines of its own branches: who wrote what when. */
	lines: Folded['lines'];
	card: MethodCard;
	context: Pick<Context, K>;
}

/** What a subject says: figures, doubts, clocks; all of them may be left out. */
export interface Observed {
	findings?: Finding[];
	flags?: Flag[];
	clocks?: Clock[];
	gaugings?: GaugingView[];
	flows?: Flow[];
}

/** The figures that are reported before any is derived, by which others can be worked out. */
export interface Reported {
	results: readonly Determination[];
	sheet: Sheet;
	card: MethodCard;
	context: Context;
}

/** All that was found, when subjects are held against each other. */
export interface Related {
	determinations: readonly Determination[];
	/** Those of them that are reported. */
	results: readonly Determination[];
	gaugings: readonly GaugingView[];
	sheet: Sheet;
	card: MethodCard;
	context: Context;
}

export interface Subject<B extends keyof Sheet = keyof Sheet, K extends keyof Context = keyof Context> {
	/** Branches of the sheet that it sees. Where none of them holds anything, the subject has nothing to say. */
	branches: readonly B[];
	/** What it needs to know beyond the sheet and the card. */
	knows: readonly K[];
	/** What follows from its own branches. Pure: the same branches, card and knowledge, the same answer. */
	observe?(own: Own<B, K>): Observed;
	/** Figures that follow from those which are reported. */
	derive?(reported: Reported): Finding[];
	/** Doubts that only show when subjects are held against each other. */
	relate?(all: Related): Flag[];
}

export const defineSubject = <B extends keyof Sheet, K extends keyof Context>(subject: Subject<B, K>): Subject<B, K> =>
	subject;
