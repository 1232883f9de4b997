import { arrival, handovers } from './arrival/branch';
import { bottles, custody, ofBench as bottleOfBench } from './bottle/branch';
import { disc } from './disc/branch';
import { growthTubes, ofBench as tubesOfBench } from './growth-tubes/branch';
import { conditions, habitat } from './form/branch';
import { gaugings } from './gauging/branch';
import { gear, leaving } from './leaving/branch';
import { nets } from './net/branch';
import { copies, photos } from './paper-copy/branch';
import { ofBench as platesOfBench, plateClearing, platePhotos, plates } from './plates/branch';
import { meters, readings } from './reading/branch';
import { samplers } from './sampler/branch';
import { ofReviewer, reported, reviews, verdicts } from './review/branch';
import { staff } from './staff-gauge/branch';
import { ofBench as titrationsOfBench, titrantChecks, titrations } from './titration/branch';
import { trays } from './tray/branch';
import { ofBench as vialsOfBench, ofReviewer as opinionsOfReviewer, opinions, vouchers } from './voucher/branch';
import { waits } from './wait/branch';
import { opening, remarks, steps, tallies } from './whole-visit/branch';

/** The places of every subject in a visit's sheet. What once stood here stays: a logbook is read for ever. */
export const branches = {
	opening,
	arrival,
	conditions,
	habitat,
	bottles,
	custody,
	plates,
	platePhotos,
	plateClearing,
	growthTubes,
	titrations,
	titrantChecks,
	disc,
	staff,
	waits,
	gear,
	readings,
	meters,
	gaugings,
	nets,
	samplers,
	trays,
	tallies,
	vouchers,
	opinions,
	steps,
	handovers,
	photos,
	copies,
	remarks,
	leaving,
	reviews,
	verdicts,
	reported
};

/** Who may write at a place: a reviewer's words, what the bench finds, all else by whoever was at the stream. */
export function writerOf(path: string): 'reviewer' | 'bench' | 'field' {
	if (ofReviewer.test(path) || opinionsOfReviewer.test(path)) return 'reviewer';
	return ofBench.some((place) => place.test(path)) ? 'bench' : 'field';
}

const ofBench = [bottleOfBench, platesOfBench, tubesOfBench, titrationsOfBench, vialsOfBench];
