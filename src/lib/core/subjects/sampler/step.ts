import { z } from 'zod';
import type { Sheet } from '../../logbook';
import { doneWhen, stepCommon, type StepBase, type StepKind } from '../step-kind';

export const samplerKinds = ['plate stack', 'leaf bag'] as const;
export type SamplerKind = (typeof samplerKinds)[number];

const schema = z.object({
	...stepCommon,
	tool: z.literal('sampler'),
	kind: z.enum(samplerKinds),
	/** Days between which it should have stood in the water. */
	least_days: z.number().int().min(1).max(200),
	most_days: z.number().int().min(1).max(365)
});
export type SamplerStep = z.infer<typeof schema>;

export const samplerStep = {
	schema,
	places: ({ id }) => [`samplers/${id}`],
	progress: ({ id }, { sheet }) => {
		const sampler = sheet.samplers?.[id];
		return doneWhen(sampler?.liftedAt !== undefined || isWithout(sampler));
	},
	parameter: () => null
} as const satisfies StepKind<SamplerStep>;

const isWithout = (sampler: { state?: string | undefined } | undefined): boolean =>
	sampler?.state === 'buried' || sampler?.state === 'lost';

/**
 * The animals of this visit are a sample of every habitat, in place of a sampler that was buried or lost: which kinds
 * were there, and no shares that compare.
 */
export const isQualitative = (steps: readonly StepBase[], { samplers }: Pick<Sheet, 'samplers'>): boolean =>
	steps.some((step) => step.id in (samplers ?? {}) && isWithout(samplers?.[step.id]));

const DAY_ms = 86_400_000;

/** Whole days in the water, from the day it was set; null where that was not said. */
export function soaked_days(
	{ setOn, liftedAt }: NonNullable<Sheet['samplers']>[string],
	now_ms: number
): number | null {
	if (setOn === undefined) return null;
	const until_ms = liftedAt === undefined ? now_ms : Date.parse(liftedAt);
	return Math.floor((until_ms - Date.parse(setOn)) / DAY_ms);
}
