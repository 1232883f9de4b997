import type { Line, Sheet } from '../../logbook';
import { doubt, type Flag } from '../flags';
import { stepsOf, type Step } from '../steps';
import type { Arithmetic, GaugingMethod, VelocityPointMethod } from './branch';
import type { OtherWay } from './flags';
import type { FlowStep } from './step';

export type GaugingSheet = NonNullable<Sheet['gaugings']>[string];

/** How a flow is gauged: by what, where in the depth, worked out how. */
export interface HowGauged {
	method: GaugingMethod;
	/** The velocity point method; older entries call it a school, and so does its place in the sheet. */
	school: VelocityPointMethod;
	arithmetic: Arithmetic;
}

/** As a card asks; verticals at one point, mid-section, where it says nothing. */
export const howAsked = (step: FlowStep | undefined): HowGauged => ({
	method: step?.method ?? 'verticals',
	school: step?.school ?? 'one-point',
	arithmetic: step?.arithmetic ?? 'mid-section'
});

/** As it was done: as chosen at the stream, else as the card asks. */
export function howGauged(gauging: GaugingSheet | undefined, step: FlowStep | undefined): HowGauged {
	const asked = howAsked(step);
	return {
		method: gauging?.method ?? asked.method,
		school: gauging?.school ?? asked.school,
		arithmetic: gauging?.arithmetic ?? asked.arithmetic
	};
}

/**
 * Whether the meter was raised and lowered at some time in this gauging: then the mean of a vertical holds that, and
 * not, as in older logbooks, what was read at 0.6 of the depth.
 */
export const wasRaised = (id: string, lines: ReadonlyMap<string, Line>, step: FlowStep | undefined): boolean =>
	howAsked(step).school === 'raise' ||
	(lines.get(`gaugings/${id}/school`)?.history.some((e) => e.value === 'raise') ?? false);

/** The step of a card that asks for the flow. */
export const flowStepOf = (card: { steps: readonly Step[] }): FlowStep | undefined => stepsOf(card, 'flow')[0];

/** Whether depths across the stream make the section, each with a velocity or all with one. */
export const isBySection = ({ method }: Pick<HowGauged, 'method'>): boolean =>
	method === 'verticals' || method === 'sweep';

/** A gauging that was done another way than the card asks, with the reason that was given. */
export function gaugedOtherwise(id: string, gauging: GaugingSheet, step: FlowStep | undefined): Flag[] {
	const way = step && otherWay(howAsked(step), howGauged(gauging, step));
	if (!way) return [];
	const at = { path: `gaugings/${id}`, parameter: 'discharge' };
	return [doubt('another-way', at, { way, because: gauging.because ?? '' })];
}

function otherWay(asked: HowGauged, used: HowGauged): OtherWay | null {
	if (asked.method !== used.method) return { of: 'method', asked: asked.method, used: used.method };
	if (asked.school !== used.school) return { of: 'school', asked: asked.school, used: used.school };
	if (asked.arithmetic === used.arithmetic) return null;
	return { of: 'arithmetic', asked: asked.arithmetic, used: used.arithmetic };
}
