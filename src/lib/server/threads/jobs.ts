import { dayAnswers } from '../../core/schedule';
import { readCounts } from '../animal-counts/read';
import { readReport } from '../lab/read-report';
import { readFile } from '../library/read-file';
import { printAnimals } from '../paper/animals';
import { printCustodyForm, printFieldSheets, printRoundSheet } from '../paper/for-the-car';
import { printShipment } from '../paper/for-the-courier';
import { printSeasonSheet } from '../paper/for-the-wall';
import { printLabels } from '../paper/labels';
import { printVialLabels } from '../paper/vial-labels';

/**
 * What takes so long that nobody else should wait for it. What goes in and comes out is plain data: it is copied
 * between threads.
 */
export const jobs = {
	day: dayAnswers,
	'read-file': readFile,
	'lab-report': readReport,
	'animal-counts': readCounts,
	round: printRoundSheet,
	field: printFieldSheets,
	custody: printCustodyForm,
	shipment: printShipment,
	labels: printLabels,
	vials: printVialLabels,
	season: printSeasonSheet,
	animals: printAnimals
};

export type Jobs = typeof jobs;
export type JobName = keyof Jobs;

/** Does one by its name. */
export const doJob = (name: JobName, asked: readonly unknown[]): unknown =>
	(jobs[name] as (...asked: readonly unknown[]) => unknown)(...asked);
