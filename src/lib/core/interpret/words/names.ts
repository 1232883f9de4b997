import type { AccessWay } from '../../logbook';

/** How the water was reached, in words. */
export const accessWords = {
	wade: 'waded',
	bank: 'from the bank',
	bridge: 'from the bridge',
	leave: 'not sampled'
} as const satisfies Record<AccessWay, string>;
