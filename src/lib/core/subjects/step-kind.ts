import { z } from 'zod';
import type { Sheet } from '../logbook';
import type { ParameterCode } from '../quantity';
import type { GaugingView } from './gauging/view';

export const Word = z.string().min(1).max(60);
export const Sentence = z.string().min(1).max(400);

/** What a card says of every step, whatever is done at it. */
export const stepCommon = {
	id: z.string().regex(/^[a-z][a-z0-9-]{0,39}$/, 'small letters, digits and dashes, beginning with a letter'),
	title: Word,
	/** What to do, said at the step. */
	how: Sentence,
	/** What rules speak of: "bacteria", "in-water", "stirs-bed". */
	tags: z.array(Word),
	caution: Word.optional(),
	/** What leaving without it costs; absent where nothing is lost. */
	costIfMissing: Sentence.optional()
};
export interface StepBase {
	id: string;
	tool: string;
	title: string;
	how: string;
	tags: string[];
	caution?: string | undefined;
	costIfMissing?: string | undefined;
}

/** What is known of a visit when its steps are looked at. */
export interface Seen {
	sheet: Sheet;
	gaugings: readonly GaugingView[];
	found: readonly { parameter: ParameterCode }[];
}
export interface Progress {
	done: boolean;
	/** "2 of 3", where that says something. */
	progress: string | null;
}

/** A kind of step: what a card may say of it, where it writes, and when it is done. */
export interface StepKind<S extends StepBase> {
	schema: z.ZodObject;
	/** Places of the sheet that belong to a step; the first one says when it was begun. */
	places(step: S): string[];
	/** Places that nobody else of its card may write at; all its places where left out. */
	claims?(step: S): string[];
	progress(step: S, seen: Seen): Progress;
	/** The parameter of its figure; null where it has none. */
	parameter(step: S): ParameterCode | null;
	/** Why it comes before another step whatever the card's rules say; null where it need not. */
	precedes?(step: S, other: StepBase): string | null;
	/** It is there also when the site was left unsampled. */
	isAlwaysAsked?: boolean;
	/** Not asked for on a visit that went so. */
	isNotAsked?(step: S, sheet: Sheet): boolean;
	/** Waits that run for it under a name of their own, beside `waits/<id of the step>`. */
	waits?: readonly string[];
}

/** Done when so many are there as are wanted. */
export const counted = (have: number, want: number): Progress => ({
	done: have >= want,
	progress: have > 0 && have < want ? `${have} of ${want}` : null
});
export const doneWhen = (done: boolean): Progress => ({ done, progress: null });
