import { z } from 'zod';
import { doneWhen, stepCommon, type StepKind } from '../step-kind';
import { arithmetics, gaugingMethods, velocityPointMethods } from './branch';

const schema = z.object({
	...stepCommon,
	tool: z.literal('flow'),
	/** Units in which tape, rod and meter are read; metres and metres a second where left out. */
	tapeUnit: z.enum(['m', 'ft']).optional(),
	velocityUnit: z.enum(['m_s', 'ft_s']).optional(),
	/** How it is done where nobody says otherwise: by verticals, at one point, mid-section where left out. */
	method: z.enum(gaugingMethods).optional(),
	school: z.enum(velocityPointMethods).optional(),
	arithmetic: z.enum(arithmetics).optional(),
	/** A flume is left to settle so long before its head is read. */
	settle_s: z.number().positive().max(3600).optional(),
	leastVerticals: z.number().int().min(3),
	/** No vertical should carry more of the flow than this, percent. */
	shareLimit_percent: z.number().positive().max(100),
	/** Expanded uncertainty at which more verticals are no longer asked for, percent. */
	enough_percent: z.number().positive()
});
/** A flume is left to settle so long where the card says nothing. */
export const FLUME_SETTLES_s = 300;

export type FlowStep = z.infer<typeof schema>;

export const flowStep = {
	schema,
	places: () => ['gaugings'],
	progress: (step, { gaugings, found }) => {
		const gauging = gaugings[0];
		if (!gauging) return doneWhen(found.some((r) => r.parameter === 'discharge'));
		const verticals = gauging.verticals.filter((v) => v.share_percent !== null).length;
		return {
			done: verticals >= step.leastVerticals && !gauging.provisional,
			progress: verticals ? `${verticals} of ${step.leastVerticals} verticals` : null
		};
	},
	parameter: () => 'discharge',
	/** A section is not gauged where nobody waded. */
	isNotAsked: (_, { arrival }) => arrival?.access !== undefined && arrival.access !== 'wade',
	waits: ['flume']
} as const satisfies StepKind<FlowStep>;
