import type { Figure } from '../../../core/quantity';
import type { profileFor } from '../water-model';
import type { logbookWriter, VisitPlan, Writer } from '../logbook-writer';

/** What the script of a subject is given: the visit as it is meant to go, and ways to write as its crew would. */
export interface Script {
	plan: VisitPlan;
	/** The one who holds the phone, and the other. */
	first: Writer;
	second: Writer;
	write: ReturnType<typeof logbookWriter>['write'];
	read: (by: Writer, minute: number, path: string, figure: Figure) => ReturnType<Script['write']>;
	/** An instant so many minutes after the visit began. */
	at: (minute: number) => string;
	/** How far a reading lies off the truth. */
	misread: (sd: number) => number;
	/** The stream is too high to wade. */
	isHigh: boolean;
	/** The section of the stream that day. */
	readonly profile: ReturnType<typeof profileFor>;
}
