import { z } from 'zod';
import type { Limits95 } from '../wording';
import { amount, figureIn, ParameterCode, unitCodes, type Figure } from '../quantity';

/**
 * One stretch of a parameter's scale and what it says, from `from` (included) upwards, in the threshold's own unit.
 * `good`: as hoped. `watch`: keep an eye on it. `act`: do something.
 */
export const Band = z.object({ from: z.number(), word: z.string(), state: z.enum(['good', 'watch', 'act']) });
export type Band = z.infer<typeof Band>;

/** What is held against the limits: one sample as it is, or what a season's samples come to. */
export const statistics = ['each sample', 'median', 'geometric mean', '90th percentile'] as const;
export type ThresholdStatistic = (typeof statistics)[number];

/** Months of the year, 1 to 12, both included; from 11 to 2 goes over the turn of the year. */
const Months = z.object({ from: z.int().min(1).max(12), to: z.int().min(1).max(12) });
export type Months = z.infer<typeof Months>;

/**
 * What a use of the stream wants of a parameter: a program's setting. Bands ascend; the first holds below its start
 * too.
 */
export const Threshold = z.object({
	parameter: ParameterCode,
	unit: z.enum(unitCodes),
	use: z.string(),
	bands: z.array(Band).min(1),
	statistic: z.enum(statistics),
	/** Samples under which a season's statistic says nothing. */
	leastSamples: z.int().min(1),
	/** Null: all year. */
	season: Months.nullable(),
	source: z.string(),
	/** What to do where a figure is not as hoped; '' where nothing is said. */
	nextStep: z.string(),
	/** Invented, to be replaced by what the program's authority says. */
	isExample: z.boolean()
});
export type Threshold = z.infer<typeof Threshold>;

export const isInMonths = (months: Months | null, month: number): boolean => {
	if (months === null) return true;
	const { from, to } = months;
	return from <= to ? from <= month && month <= to : month >= from || month <= to;
};

/** The month of a moment in a program's calendar, 1 to 12. */
export const monthOf = (at_ms: number, timeZone: string): number =>
	Number(new Intl.DateTimeFormat('en', { month: 'numeric', timeZone }).format(at_ms));

/** What single figures of a parameter are held against at a moment, in the order of the shelf. */
export const thresholdsAt = (
	thresholds: readonly Threshold[],
	parameter: ParameterCode,
	at_ms: number,
	timeZone: string
): Threshold[] => {
	const own = thresholds.filter((t) => t.parameter === parameter && t.statistic === 'each sample');
	// the month costs a formatter: only where a threshold asks for one
	return own.filter((t) => t.season === null || isInMonths(t.season, monthOf(at_ms, timeZone)));
};

/**
 * The band a figure falls in; null where the figure leaves it open: "below 5" when a band starts at 2.
 * RangeError when the figure's unit is of another kind.
 */
export function judge(figure: Figure, threshold: Threshold): Band | null {
	const { number, qualifier } = amount(figureIn(figure, threshold.unit));
	const at = (x: number) => threshold.bands.findLast((b) => b.from <= x) ?? threshold.bands[0] ?? null;
	const band = at(number);
	if (qualifier === null || band === null) return band;
	const edge = qualifier === 'below' ? threshold.bands[0] : threshold.bands.at(-1);
	// just below a limit that starts a band, the truth lies in the band beneath it
	const reached =
		qualifier === 'below' && band.from === number && band !== threshold.bands[0]
			? threshold.bands[threshold.bands.indexOf(band) - 1]
			: band;
	return reached === edge ? (edge ?? null) : null;
}

export interface Verdict {
	band: Band | null;
	/** On which side of a limit the truth lies cannot be told. */
	isOpen: boolean;
}

/**
 * What a figure says against a use. Where the limits between which the truth lies fall in bands that ask for
 * different things, it is open which of them holds (JCGM 106:2012): then no band is named.
 */
export function verdictOn(
	figure: Figure,
	uncertainty: number | null,
	limits: Limits95 | null,
	threshold: Threshold
): Verdict {
	const band = judge(figure, threshold);
	const { number, qualifier } = amount(figureIn(figure, threshold.unit));
	if (qualifier !== null || band === null) return { band, isOpen: band === null };
	const give = uncertainty ?? 0;
	const [lower, upper] = limits ? [limits.lower, limits.upper ?? Infinity] : [number - give, number + give];
	const at = (x: number) => threshold.bands.findLast((b) => b.from <= x) ?? threshold.bands[0]!;
	const isOpen = at(lower).state !== band.state || at(upper).state !== band.state;
	return { band, isOpen };
}

/** The same in a few words; '' where the use says nothing of it. */
export function sayVerdict({ band, isOpen }: Verdict): string {
	if (band === null) return isOpen ? 'open: only a limit is known' : '';
	return isOpen ? `${band.word}, or on the other side of the limit: it lies too near to tell` : band.word;
}

/** What a figure of one sample says against each use that asks for it then, in words, with what to do next. */
export interface Said {
	threshold: Threshold;
	verdict: Verdict;
	words: string;
	/** '' where it is as hoped, or nothing is said. */
	nextStep: string;
}

export function saidOn(
	{ figure, uncertainty, limits }: { figure: Figure; uncertainty: number | null; limits: Limits95 | null },
	thresholds: readonly Threshold[]
): Said[] {
	return thresholds.flatMap((threshold) => {
		const verdict = verdictOn(figure, uncertainty, limits, threshold);
		const words = sayVerdict(verdict);
		return words === ''
			? []
			: [{ threshold, verdict, words, nextStep: verdict.band?.state === 'good' ? '' : threshold.nextStep }];
	});
}
