import { oneOfIt, type Packed } from '../packed';

/** The board stands in the stream; what helps to read it is carried. */
export const staffPack: Packed<'staff'> = {
	lines: (steps) =>
		steps.length ? [oneOfIt('binoculars', 'binoculars and a brush on a pole', 'the board is read from the bank')] : []
};
