/* What the key knows of an animal, and what it asks. */

interface Settled {
	character: string;
	state: string;
}
export interface Question {
	id: string;
	needs: string;
	/** What it asks about, in a word or three. */
	short: string;
	question: string;
	hint: string;
	states: { id: string; word: string; detail?: string }[];
	/** Answers of other questions that answer this one. */
	settledBy?: Settled[];
}
/** How often a kind shows each state, by question; of what is not named nothing is known. */
export type Chances = Record<string, Record<string, number>>;

export interface Described {
	code: string;
	/** The name of its drawing. */
	drawing: string;
	size_mm: [number, number];
	moves: string;
	tell: string;
	where: string;
	likeness: { taxon: string; apart: string }[];
	chances: Chances;
	forms?: { form: string; share: number; drawing: string; chances: Chances }[];
	/** How common it is beside the others; as a family where nothing else is said. */
	share?: number;
}
