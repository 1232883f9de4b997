import type { Folded } from '../logbook';
import type { Clock, Determination } from '../subjects/determination';
import type { Flag } from '../subjects/flags';
import type { Flow, GaugingView } from '../subjects/gauging/view';

/** A clock of a visit, with the step that it runs for: null where it runs for none. */
export interface RunningClock extends Clock {
	step: string | null;
}

export interface StepState {
	id: string;
	/** done; open: still to do; skipped: passed over with a reason; not-required: not asked for on this visit. */
	state: 'done' | 'open' | 'skipped' | 'not-required';
	/** How far: "2 of 3". */
	progress: string | null;
}

export interface Missing {
	step: string;
	what: string;
	cost: string;
}

/** What `evaluate` knows of a visit. */
export interface Outcome {
	folded: Folded;
	/** Every figure that was found, in the parameters' order; of each parameter the reported one first. */
	determinations: Determination[];
	/** The reported ones: one for each parameter. */
	results: Determination[];
	gaugings: GaugingView[];
	/** What was gauged, the first gauging first. */
	flows: Flow[];
	flags: Flag[];
	clocks: RunningClock[];
	steps: StepState[];
	/** The step to do next; null when all are done. */
	next: string | null;
	missing: Missing[];
}

/** What follows from a sheet: all of an outcome but what it follows from, and how far the steps are. */
export type Follows = Omit<Outcome, 'folded' | 'steps' | 'next'>;

/** Nothing yet: of a sheet that is not worked out, or of one that may not be seen. */
export const NOTHING_FOLLOWS: Follows = {
	determinations: [],
	results: [],
	gaugings: [],
	flows: [],
	flags: [],
	clocks: [],
	missing: []
};
