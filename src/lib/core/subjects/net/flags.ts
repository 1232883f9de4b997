import { doubtKind } from '../flag';
import type { NetSchool } from './step';

export const netFlags = {
	'little-effort': doubtKind<{ school: NetSchool; worked: number; asked: number }>('note', (e) =>
		e.school === 'kick'
			? `${e.worked} of ${e.asked} places were kicked: fewer animals and fewer kinds are to be expected. Go back for ` +
				'the others while you are here, or say in a remark what kept you.'
			: `${e.worked} of ${e.asked} metres were swept: fewer animals and fewer kinds are to be expected. Sweep the ` +
				'rest while you are here, or say in a remark what kept you.'
	)
};
