import { oneOfIt, type Packed } from '../packed';

export const discPack: Packed<'disc'> = {
	lines: (steps) => (steps.length ? [oneOfIt('disc', 'disc on its marked line', 'for water deeper than the tube')] : [])
};
