import type { LabDeadline } from '../custody';
import type { Figure, ParameterCode, Way, Working } from '../quantity';
import type { Limits95 } from '../wording';

/*
 * A determination is one parameter, found in one way, from one thing: the stream itself, a bottle, a plate. A visit
 * keeps all of them; which one of a parameter is reported is chosen by a rule (visit/report-choice.ts) or by a
 * reviewer.
 */

export type ReviewStatus = 'waiting' | 'accepted' | 'qualified' | 'rejected';

/** A determination before anybody has judged it, and before it is known which one is reported. */
export type Finding = Determination & { status: 'waiting'; review: null; isReported: false; choice: null };

/** One parameter's figure found in one way, as the mean of its readings, a derived figure, or what the lab found. */
export interface Determination {
	parameter: ParameterCode;
	way: Way;
	/** With the parameter the determination's own name, which stays. */
	from: string;
	/** In the parameter's own unit. */
	figure: Figure;
	/** Two standard uncertainties, in the same unit; null when the method has none. */
	uncertainty: number | null;
	/**
	 * Where the truth lies with 95 % confidence, for figures whose doubt does not lie evenly about them; `upper`
	 * null: nothing bounds it.
	 */
	limits: Limits95 | null;
	readings: number;
	source: 'field' | 'derived' | 'lab';
	/** What it was worked out from, in words. */
	basis: string;
	/** How, step by step, where a person could do it by hand. */
	working: Working | null;
	/** Figures that it was worked out from: what is wrong with them is wrong with it. */
	parents: ParameterCode[];
	/** Where in the sheet it comes from. */
	place: string;
	/** It, or a figure that it was worked out from, comes from a stand-in for a device. */
	isSimulated: boolean;
	status: ReviewStatus;
	review: { verdict: string; reason: string; by: string; at: string } | null;
	/** Whether it is the one of its parameter that is reported. */
	isReported: boolean;
	/** Why, where a reviewer chose it. */
	choice: { reason: string; by: string; at: string } | null;
}

type Told = Pick<
	Finding,
	'parameter' | 'way' | 'figure' | 'uncertainty' | 'readings' | 'source' | 'basis' | 'working' | 'place'
> &
	Partial<Pick<Finding, 'limits' | 'parents' | 'isSimulated'>>;

/** A finding from what its subject knows; most follow from no other figure and have no limits but ±. */
export const finding = ({ limits = null, parents = [], isSimulated = false, ...told }: Told): Finding => ({
	parameter: told.parameter,
	way: told.way,
	from: sourceOf(told.place),
	figure: told.figure,
	uncertainty: told.uncertainty,
	limits,
	readings: told.readings,
	source: told.source,
	basis: told.basis,
	working: told.working,
	parents,
	place: told.place,
	isSimulated,
	// all are named here: what adds to an object of so many places later takes ten times as long as what replaces
	status: 'waiting',
	review: null,
	isReported: false,
	choice: null
});

/**
 * What tells the determinations of one parameter apart, for ever: the place in the sheet where each comes from, as
 * one word.
 */
export const sourceOf = (place: string): string => place.replaceAll('/', '.');

/**
 * Something with an earliest, a due and a last moment: a bottle still good, a plate to be read, a kit that develops,
 * a net that dries.
 */
export interface Clock {
	id: string;
	kind: 'bacteria-holding' | 'holding' | 'incubation' | 'tubes' | 'fixed' | 'wait' | 'drying';
	label: string;
	/** What sets the last moment of a bottle. */
	deadline?: Pick<LabDeadline, 'because' | 'lab' | 'first' | 'isShut'>;
	start_ms: number;
	due_ms: number;
	last_ms: number;
}

/** Whether one stands by until it is due: a kit that develops, a fixed bottle whose floc settles. */
export const isAwaited = ({ kind }: Pick<Clock, 'kind'>): boolean => kind === 'wait' || kind === 'fixed';
