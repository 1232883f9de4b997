import type { StepOf, Tool } from './steps';

/** What a round is packed for. */
export interface PackedRound {
	/** Sites to be visited, by code. */
	sites: readonly string[];
	duplicates: readonly string[];
	blanks: readonly string[];
	people: number;
}

export type PackGroup = 'bottles' | 'with the bottles' | 'people' | 'instruments' | 'paper';

export interface PackLine {
	/** Stays the same for the same thing, so that a tick finds it again. */
	id: string;
	group: PackGroup;
	what: string;
	count: number;
	/** mL, kg or the like; absent where things are counted. */
	unit?: string;
	because: string;
}

/** What the steps of one kind need in the bag, beside instruments. */
export interface Packed<T extends Tool> {
	lines(steps: readonly StepOf<T>[], round: PackedRound): PackLine[];
	/** What of it hurts eyes. */
	hurts?(steps: readonly StepOf<T>[]): string[];
}

export const oneOfIt = (id: string, what: string, because: string): PackLine => ({
	id,
	group: 'instruments',
	what,
	count: 1,
	because
});
export const aSite = (sites: number): string => (sites === 1 ? 'one site' : `${sites} sites`);

/** Of a kind of step that needs nothing. */
export const nothingToPack = { lines: (): PackLine[] => [] };
