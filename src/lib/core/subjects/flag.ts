import type { SaidIn } from './say';

/**
 * How much a doubt weighs. `note`: worth knowing. `ask`: the person is asked. `spoils`: the figure cannot be used as
 * it stands.
 */
export type Weight = 'note' | 'ask' | 'spoils';

/**
 * One kind of doubt: what it weighs, and the sentence that its evidence makes: what was seen, then what to do.
 * Evidence is numbers with units, codes and ids; words are made here and nowhere else, in the units that the program
 * reads.
 */
export interface DoubtKind<E> {
	weight: Weight;
	say: (evidence: E, units: SaidIn) => string;
	/** It is about what people do and not about a figure: it is said, and holds no figure back. */
	isAboutPeople: boolean;
}

/** Evidence of a doubt that needs none. */
export type Nothing = Record<string, never>;

/** A doubt about a figure. */
export const doubtKind = <E>(weight: Weight, say: DoubtKind<E>['say']): DoubtKind<E> => ({
	weight,
	say,
	isAboutPeople: false
});

/** A doubt about what people do. */
export const aboutPeople = <E>(weight: Weight, say: DoubtKind<E>['say']): DoubtKind<E> => ({
	weight,
	say,
	isAboutPeople: true
});
