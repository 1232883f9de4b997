import type { Trip } from '../custody';
import type { OwnAnimal } from '../macroinvertebrates';
import type { ParameterCode } from '../quantity';

/** What is known of an instrument when a figure is judged. Numbers in the parameter's own unit. */
export interface InstrumentFacts {
	code: string;
	measures: Partial<
		Record<
			ParameterCode | 'velocity',
			{ low: number; high: number; resolution?: number; accuracy?: number; stall?: number; calibrationDays?: number }
		>
	>;
	/** Last calibration by parameter, ISO instants. */
	calibratedAt: Partial<Record<ParameterCode | 'velocity', string>>;
}

/** Fewer visits than this have not seen enough to call anything unusual. */
export const ENOUGH_VISITS = 12;

/** What past visits to a site have seen of a parameter. */
export interface Usual {
	low: number;
	high: number;
	visits: number;
}

/** Up to which figure a program's blanks usually go, by so many of them. */
export interface BlanksBefore {
	parameter: ParameterCode;
	/** As the lab's reports name it; null for figures that somebody typed. */
	lab: string | null;
	limit: number;
	n: number;
}

/** Everything `evaluate` may know beyond the sheet and the card. */
export interface Context {
	now_ms: number;
	/** Where the days of labels are; UTC where left out. */
	timeZone?: string;
	/** `usual` null: what the site has shown is still to be found out, and nothing is held against it yet. */
	/**
	 * `wadingDepth_m`: a limit of the site's own, under the card's. `code`: what the labels of its bottles begin
	 * with.
	 */
	site: {
		code?: string;
		elevation_m: number;
		/** Below 0 where seasons are those of the southern half of the earth. */
		latitude?: number | undefined;
		wadingDepth_m?: number | null | undefined;
		usual: Partial<Record<ParameterCode, Usual>> | null;
	};
	instruments: Record<string, InstrumentFacts>;
	/** Where the bottles of this trip go; null or left out where nobody knows. */
	trip?: Trip | null | undefined;
	/** Labels that bottles of other sites carry, with the name of that site. */
	labelsElsewhere?: Readonly<Record<string, string>> | undefined;
	/** Earlier duplicates of this program, from which their usual scatter is known. */
	duplicatesBefore?: Partial<Record<ParameterCode, readonly (readonly [number, number])[]>> | undefined;
	/** What the program's blanks of a parameter usually hold at most, by who found it; in the parameter's own unit. */
	blanksBefore?: readonly BlanksBefore[] | undefined;
	/** What the program says of its own animals; left out: only those that are shipped. */
	animals?: readonly OwnAnimal[] | undefined;
	/** Whom the program tells of what cannot wait. */
	reportTo?: string | undefined;
}

/** An instrument by its code; undefined where the program has none of that code, whatever the word. */
export const instrumentOf = (
	instruments: Context['instruments'],
	code: string | undefined
): InstrumentFacts | undefined =>
	code !== undefined && Object.hasOwn(instruments, code) ? instruments[code] : undefined;
