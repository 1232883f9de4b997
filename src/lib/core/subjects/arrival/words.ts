import type { AccessWay, Danger } from './branch';

/** How the water was reached, in words. */
export const accessWords = {
	wade: 'waded',
	bank: 'from the bank',
	pole: 'with a pole',
	bridge: 'from the bridge',
	syringe: 'with a syringe',
	leave: 'not sampled'
} as const satisfies Record<AccessWay, string>;

/** Why somebody stays out, in words. */
export const dangerWords = {
	'high-water': 'high or rising water',
	ice: 'ice',
	storm: 'thunder, storm',
	sewage: 'sewage smell',
	slippery: 'slippery bed',
	'soft-silt': 'soft silt',
	animals: 'animals, stinging or biting',
	'no-leave': 'no permission to enter',
	alone: 'nobody to be with me'
} as const satisfies Record<Danger, string>;
