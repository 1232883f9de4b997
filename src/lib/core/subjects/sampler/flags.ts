import { counted } from '../../wording';
import { doubtKind } from '../flag';
import type { SamplerKind } from './step';

export const samplerFlags = {
	'sampler-gone': doubtKind<{ kind: SamplerKind; state: 'buried' | 'lost' }>(
		'note',
		(e) =>
			`The ${e.kind} was ${e.state}: what it holds compares with nothing. Sweep every habitat instead; that tells ` +
			'which kinds are here, and is called a qualitative sample from now on.'
	),
	'sampler-soak': doubtKind<{ kind: SamplerKind; days: number; least_days: number; most_days: number }>('ask', (e) =>
		e.days < 0
			? `The ${e.kind} was set ${counted(-e.days, 'day')} after it was lifted. Look at the day again.`
			: `The ${e.kind} stood ${counted(e.days, 'day')} in the water, not ${e.least_days} to ${e.most_days}: fewer or ` +
				'other animals are on it than on those of other visits. Is the day right?'
	)
};
