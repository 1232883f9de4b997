import type { BranchWords } from '../branch-words';
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

/** How the places of a sheet that this subject owns are said in the logbook. */
export const arrivalPlaces: BranchWords = {
	name: 'arrival',
	keys: {
		crew: 'crew',
		initials: 'initials',
		position: 'position of the phone',
		confirmedBy: 'how the place was confirmed',
		depth_m: 'depth where one would wade',
		velocity_m_s: 'velocity where one would wade',
		access: 'how it was sampled',
		dangers: 'danger',
		reason: 'why all the same',
		waiting: 'somebody waits',
		who: 'who',
		backAt: 'asks from',
		...dangerWords
	},
	values: {
		access: accessWords,
		confirmedBy: { position: 'by position', 'photo-point': 'by the photo point', landmarks: 'by landmarks' }
	}
};

export const handoverPlaces: BranchWords = {
	name: 'visit handed over',
	keys: { to: 'to', at: 'time', note: 'note' }
};
