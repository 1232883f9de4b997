import type { BranchWords } from '../branch-words';
import type { KeptIn } from './branch';

export const keptInWords: Record<KeptIn, string> = {
	ethanol: 'in ethanol',
	dry: 'dry',
	photo: 'as a photo, the animal went back'
};

/** How the places of a sheet that this subject owns are said in the logbook. */
export const voucherPlaces: BranchWords = {
	name: 'voucher',
	keys: {
		tray: 'from the tray of',
		taxon: 'counted as',
		count: 'animals',
		label: 'label',
		keptIn: 'kept',
		keptAt: 'kept at',
		shelf: 'place on the shelf',
		toppedUpOn: 'ethanol topped up on',
		loans: 'lent',
		to: 'to',
		lentOn: 'on',
		backOn: 'back on'
	},
	values: { keptIn: keptInWords }
};
export const opinionPlaces: BranchWords = { name: 'voucher, named again', keys: {} };
