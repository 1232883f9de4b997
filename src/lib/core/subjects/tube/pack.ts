import { oneOfIt, type Packed } from '../packed';

export const tubePack: Packed<'tube'> = {
	lines: (steps) => (steps.length ? [oneOfIt('tube', 'clarity tube', 'the card asks for clarity')] : [])
};
