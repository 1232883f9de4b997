import type { BranchWords } from '../branch-words';
import type { SamplerState } from './branch';
import type { SamplerKind } from './step';

export const samplerStateWords: Record<SamplerState, string> = {
	found: 'found, as it was set',
	buried: 'buried',
	lost: 'lost'
};
export const samplerKindWords: Record<SamplerKind, string> = { 'plate stack': 'plate stack', 'leaf bag': 'leaf bag' };

/** How the places of a sheet that this subject owns are said in the logbook. */
export const samplerPlaces: BranchWords = {
	name: 'sampler',
	keys: { code: 'which', setOn: 'set on', state: 'how it was found', liftedAt: 'lifted at' },
	values: { state: samplerStateWords }
};
