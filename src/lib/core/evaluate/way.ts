import type { Arithmetic, GaugingMethod, Line, Sheet, VelocitySchool } from '../logbook';
import type { MethodCard } from '../method';

type GaugingSheet = NonNullable<Sheet['gaugings']>[string];
export type FlowStep = Extract<MethodCard['steps'][number], { tool: 'flow' }>;

/** How a flow is gauged: by what, where in the depth, worked out how. */
export interface GaugingWay {
	method: GaugingMethod;
	school: VelocitySchool;
	arithmetic: Arithmetic;
}

/** The way that a card asks for; verticals at one point, mid-section, where it says nothing. */
export const wayAsked = (step: FlowStep | undefined): GaugingWay => ({
	method: step?.method ?? 'verticals',
	school: step?.school ?? 'one-point',
	arithmetic: step?.arithmetic ?? 'mid-section'
});

/** The way that was taken: as chosen at the stream, else as the card asks. */
export function wayTaken(gauging: GaugingSheet | undefined, step: FlowStep | undefined): GaugingWay {
	const asked = wayAsked(step);
	return {
		method: gauging?.method ?? asked.method,
		school: gauging?.school ?? asked.school,
		arithmetic: gauging?.arithmetic ?? asked.arithmetic
	};
}

/**
 * Whether the meter was raised and lowered at some time in this gauging: then the mean of a vertical holds that, and not, as in
 * older logbooks, what was read at 0.6 of the depth.
 */
export const wasRaised = (id: string, lines: ReadonlyMap<string, Line>, step: FlowStep | undefined): boolean =>
	wayAsked(step).school === 'raise' ||
	(lines.get(`gaugings/${id}/school`)?.history.some((e) => e.value === 'raise') ?? false);

/** The step of a card that asks for the flow. */
export const flowStepOf = (card: Pick<MethodCard, 'steps'>): FlowStep | undefined =>
	card.steps.find((s): s is FlowStep => s.tool === 'flow');

/** Whether depths across the stream make the section, each with a velocity or all with one. */
export const isBySection = ({ method }: Pick<GaugingWay, 'method'>): boolean =>
	method === 'verticals' || method === 'sweep';
