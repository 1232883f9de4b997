import type { LabDeadline } from '../custody';
import type { Arithmetic, Folded } from '../logbook';
import type { InterpolatedVariance, NextVertical } from '../discharge';
import type { Limits95 } from '../interpret';
import type { Figure, ParameterCode, Working } from '../quantity';
import type { Flag, Way } from '../quality';

export type ReviewStatus = 'waiting' | 'accepted' | 'qualified' | 'rejected';

/** A figure before anybody has judged it. */
export type Finding = Omit<Result, 'status' | 'review' | 'isReported' | 'choice'>;

/** A determination: one parameter's figure found in one way, as the mean of its readings, a derived figure, or what the lab found. */
export interface Result {
	parameter: ParameterCode;
	way: Way;
	/** With the parameter the determination's own name, which stays. */
	from: string;
	/** In the parameter's own unit. */
	figure: Figure;
	/** Two standard uncertainties, in the same unit; null when the method has none. */
	uncertainty: number | null;
	/** Where the truth lies with 95 % confidence, for figures whose doubt does not lie evenly about them; `upper` null: nothing bounds it. */
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

/** Something with an earliest, a due and a last moment: a bottle still good, a plate to be read, a kit that develops, a net that dries. */
export interface RunningClock {
	id: string;
	kind: 'bacteria-holding' | 'holding' | 'incubation' | 'wait' | 'drying';
	label: string;
	/** What sets the last moment of a bottle. */
	deadline?: Pick<LabDeadline, 'because' | 'lab' | 'first' | 'isShut'>;
	start_ms: number;
	due_ms: number;
	last_ms: number;
}

export interface VerticalView {
	id: string;
	distance_m: number | null;
	depth_m: number | null;
	velocity_m_s: number | null;
	share_percent: number | null;
}

/** A gauging as far as it goes. `provisional`: an edge of the water is still to come and was put one step further out. */
export interface GaugingView {
	id: string;
	/** Which of the schools below gives the discharge. */
	arithmetic: Arithmetic;
	verticals: VerticalView[];
	start: { distance_m: number; depth_m: number } | null;
	end: { distance_m: number; depth_m: number } | null;
	provisional: boolean;
	width_m: number | null;
	area_m2: number | null;
	discharge_m3s: number | null;
	meanVelocity_ms: number | null;
	/** From the scatter between verticals; null under five of them, or while an edge is missing. */
	uncertainty: InterpolatedVariance | null;
	/** By the standard's table, expanded, percent; null as above. The larger of the two is the gauging's. */
	byTable_percent: number | null;
	/** The larger of both, expanded, percent. */
	expanded_percent: number | null;
	next: NextVertical | null;
	/** How the discharge comes about, panel by panel. */
	working: Working | null;
	schools: { school: Arithmetic; discharge_m3s: number; working?: Working }[];
}

/** What one gauging came to, by whichever way. */
export interface Flow {
	id: string;
	finding: Finding;
}

export interface StepState {
	id: string;
	/** tied: done; open: still to do; passed: passed over with a reason; needless: not asked for on this visit. */
	state: 'tied' | 'open' | 'passed' | 'needless';
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
	determinations: Result[];
	/** The reported ones: one for each parameter. */
	results: Result[];
	gaugings: GaugingView[];
	/** What was gauged, the first gauging first. */
	flows: Flow[];
	flags: Flag[];
	clocks: RunningClock[];
	steps: StepState[];
	/** The step to do next; null when all are tied. */
	next: string | null;
	missing: Missing[];
}
