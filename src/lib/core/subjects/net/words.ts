import type { BranchWords } from '../branch-words';
import type { NetSchool } from './step';

export const netSchoolWords: Record<NetSchool, string> = {
	kick: 'kick in a riffle',
	sweep: 'sweep among what is there'
};

/** How the places of a sheet that this subject owns are said in the logbook. */
export const netPlaces: BranchWords = {
	name: 'net',
	keys: { begunAt: 'begun at', endedAt: 'ended at', places: 'places kicked', metres: 'metres swept', label: 'label' }
};
