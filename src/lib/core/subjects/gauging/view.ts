import type { InterpolatedVariance, NextVertical } from '../../discharge';
import type { Working } from '../../quantity';
import type { Finding } from '../determination';
import type { Arithmetic } from './branch';

export interface VerticalView {
	id: string;
	distance_m: number | null;
	depth_m: number | null;
	velocity_m_s: number | null;
	share_percent: number | null;
}

/**
 * A gauging as far as it goes. `provisional`: an edge of the water is still to come and was put one step further out.
 */
export interface GaugingView {
	id: string;
	/** Which of the arithmetics below gives the discharge. */
	arithmetic: Arithmetic;
	verticals: VerticalView[];
	start: { distance_m: number; depth_m: number } | null;
	end: { distance_m: number; depth_m: number } | null;
	provisional: boolean;
	width_m: number | null;
	area_m2: number | null;
	discharge_m3_s: number | null;
	meanVelocity_m_s: number | null;
	/** From the scatter between verticals; null under five of them, or while an edge is missing. */
	uncertainty: InterpolatedVariance | null;
	/** By the standard's table, expanded, percent; null as above. The larger of the two is the gauging's. */
	byTable_percent: number | null;
	/** The larger of both, expanded, percent. */
	expanded_percent: number | null;
	next: NextVertical | null;
	/** How the discharge comes about, panel by panel. */
	working: Working | null;
	arithmetics: { arithmetic: Arithmetic; discharge_m3_s: number; working?: Working }[];
}

/** What one gauging came to, by whichever way. */
export interface Flow {
	id: string;
	finding: Finding;
}
