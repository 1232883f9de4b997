import { oneOfIt, type Packed, type PackLine } from '../packed';
import type { GaugingMethod } from './branch';
import { howAsked } from './how';

const forMethod: Record<GaugingMethod, readonly PackLine[]> = {
	verticals: [oneOfIt('tape', 'tape, wading rod, two pegs', 'the flow is measured')],
	sweep: [oneOfIt('tape', 'tape, wading rod, two pegs', 'the flow is measured')],
	float: [
		oneOfIt('tape', 'tape, rod, two pegs', 'the flow is measured'),
		{ id: 'floats', group: 'instruments', what: 'floats', count: 6, because: 'five runs, and one that gets away' }
	],
	flume: [oneOfIt('flume', 'flume, spirit level, spade', 'the flow is measured with it')],
	bucket: [oneOfIt('bucket', 'bucket with its volume marked', 'the flow is caught and timed')]
};

export const flowPack: Packed<'flow'> = { lines: (steps) => steps.flatMap((step) => forMethod[howAsked(step).method]) };
