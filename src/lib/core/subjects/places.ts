import type { Sheet } from '../logbook';
import type { BranchWords } from './branch-words';
import { arrivalPlaces, handoverPlaces } from './arrival/words';
import { bottlePlaces, custodyPlaces } from './bottle/words';
import { discPlaces } from './disc/words';
import { conditionsPlaces, habitatPlaces } from './form/words';
import { gaugingPlaces } from './gauging/words';
import { gearPlaces, leavingPlaces } from './leaving/words';
import { netPlaces } from './net/words';
import { samplerPlaces } from './sampler/words';
import { copyPlaces, photoPlaces } from './paper-copy/words';
import { growthTubePlaces } from './growth-tubes/words';
import { plateClearingPlaces, platePhotoPlaces, platePlaces } from './plates/words';
import { meterPlaces, readingPlaces } from './reading/words';
import { reportedPlaces, reviewPlaces } from './review/words';
import { staffPlaces } from './staff-gauge/words';
import { titrantCheckPlaces, titrationPlaces } from './titration/words';
import { trayPlaces } from './tray/words';
import { opinionPlaces, voucherPlaces } from './voucher/words';
import { waitPlaces } from './wait/words';
import { openingPlaces, remarkPlaces, stepPlaces, tallyPlaces } from './whole-visit/words';

/** The words of every branch, each from the words of its subject. */
export const branchWords: Record<keyof Sheet, BranchWords> = {
	opening: openingPlaces,
	arrival: arrivalPlaces,
	conditions: conditionsPlaces,
	habitat: habitatPlaces,
	bottles: bottlePlaces,
	custody: custodyPlaces,
	plates: platePlaces,
	platePhotos: platePhotoPlaces,
	plateClearing: plateClearingPlaces,
	growthTubes: growthTubePlaces,
	titrations: titrationPlaces,
	titrantChecks: titrantCheckPlaces,
	disc: discPlaces,
	staff: staffPlaces,
	waits: waitPlaces,
	gear: gearPlaces,
	readings: readingPlaces,
	meters: meterPlaces,
	gaugings: gaugingPlaces,
	nets: netPlaces,
	samplers: samplerPlaces,
	trays: trayPlaces,
	tallies: tallyPlaces,
	vouchers: voucherPlaces,
	opinions: opinionPlaces,
	steps: stepPlaces,
	handovers: handoverPlaces,
	photos: photoPlaces,
	copies: copyPlaces,
	remarks: remarkPlaces,
	leaving: leavingPlaces,
	reviews: reviewPlaces,
	verdicts: reviewPlaces,
	reported: reportedPlaces
};
