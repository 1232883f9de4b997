import { aSite, type Packed } from '../packed';

export const samplerPack: Packed<'sampler'> = {
	lines: (steps, { sites }) =>
		steps.map((step) => ({
			id: `sampler-${step.kind.replace(' ', '-')}`,
			group: 'bottles' as const,
			what: `tub with lid, brush and a new ${step.kind}`,
			count: sites.length,
			because: `the ${step.kind} of ${aSite(sites.length)} is lifted, and another set`
		}))
};
