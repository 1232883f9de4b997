import { listOf, positive, whole } from '../quantity';
import { increasingRoot } from '../statistics';

/** Tubes (or wells) of one volume: how many there were, and in how many something grew. */
export interface Tubes {
	volume_mL: number;
	tubes: number;
	positives: number;
}

export interface MostProbableNumber {
	mpnPer100mL: number | null;
	qualifier: '<' | '>' | null;
	lower: number | null;
	upper: number | null;
	logSe: number | null;
}

/**
 * The density per 100 mL under which the tubes that grew are most likely, with 95 % limits from the spread of its
 * logarithm (Jarvis, Wilrich & Wilrich 2010). Nothing grown: "less than" what one tube would have said; all grown:
 * "more than" what all but one would. RangeError for no tubes, or numbers that cannot be.
 */
export function mostProbableNumber({ series }: { series: readonly Tubes[] }): MostProbableNumber {
	const checked = listOf('series', series, checkedTubes);
	if (checked.length === 0) throw new RangeError('series needs at least one volume');
	const tubes = sum(checked, (s) => s.tubes);
	const positives = sum(checked, (s) => s.positives);
	if (positives === 0)
		return {
			mpnPer100mL: tubes === 1 ? null : 100 * density(smallestChanged(checked, 1)),
			qualifier: '<',
			lower: 0,
			upper: (-100 * Math.log(BEYOND)) / sum(checked, (s) => s.tubes * s.volume_mL),
			logSe: null
		};
	if (positives === tubes)
		return {
			mpnPer100mL: tubes === 1 ? null : 100 * density(smallestChanged(checked, -1)),
			qualifier: '>',
			lower: 100 * increasingRoot((l) => sum(checked, (s) => s.tubes * Math.log(grows(l, s))) - Math.log(BEYOND), 1),
			upper: null,
			logSe: null
		};
	const perMl = density(checked);
	const information = sum(
		checked,
		(s) => (s.positives * s.volume_mL ** 2 * Math.exp(-perMl * s.volume_mL)) / grows(perMl, s) ** 2
	);
	const logSe = 1 / (perMl * Math.sqrt(information));
	const mpnPer100mL = 100 * perMl;
	return {
		mpnPer100mL,
		qualifier: null,
		lower: mpnPer100mL * Math.exp(-Z95 * logSe),
		upper: mpnPer100mL * Math.exp(Z95 * logSe),
		logSe
	};
}

const BEYOND = 0.025;
const Z95 = 1.959963984540054;

const sum = (series: readonly Tubes[], of: (s: Tubes) => number) => series.reduce((total, s) => total + of(s), 0);
/** The chance that something grows in one tube at so many per mL. */
const grows = (perMl: number, { volume_mL }: Tubes) => -Math.expm1(-perMl * volume_mL);

/** Most likely number per mL, some tubes having grown and some not. */
function density(series: readonly Tubes[]): number {
	const volume = sum(series, (s) => s.tubes * s.volume_mL);
	return increasingRoot(
		(l) => volume - sum(series, (s) => (s.positives === 0 ? 0 : (s.positives * s.volume_mL) / grows(l, s))),
		1 / volume
	);
}

/** The series with one tube more (or fewer) grown in the first entry of the smallest volume. */
function smallestChanged(series: readonly Tubes[], by: 1 | -1): Tubes[] {
	const smallest = Math.min(...series.map((s) => s.volume_mL));
	const at = series.findIndex((s) => s.volume_mL === smallest);
	return series.map((s, i) => (i === at ? { ...s, positives: s.positives + by } : s));
}

function checkedTubes(place: string, entry: unknown): Tubes {
	const { volume_mL, tubes, positives } = (entry ?? {}) as Partial<Tubes>;
	const checked = {
		volume_mL: positive(`${place}.volume_mL`, volume_mL),
		tubes: whole(`${place}.tubes`, tubes, 1),
		positives: whole(`${place}.positives`, positives)
	};
	if (checked.positives > checked.tubes)
		throw new RangeError(`${place} has more positives than tubes: ${checked.positives} of ${checked.tubes}`);
	return checked;
}

/**
 * How likely an outcome is beside the likeliest one at the same density, 0 to 1: 5 – 0 – 3 of tubes in tenfold steps is
 * next to nothing, for something else must have gone wrong. 1 where nothing or everything grew. RangeError as above.
 * Rarity index of Jarvis, Wilrich & Wilrich 2010.
 */
export function patternRarity({ series }: { series: readonly Tubes[] }): number {
	const checked = listOf('series', series, checkedTubes);
	const tubes = sum(checked, (s) => s.tubes);
	const positives = sum(checked, (s) => s.positives);
	if (positives === 0 || positives === tubes) return 1;
	const perMl = density(checked);
	return Math.exp(
		sum(checked, (s) => {
			const p = grows(perMl, s);
			const likeliest = Math.min(s.tubes, Math.floor((s.tubes + 1) * p));
			return logChance(s.positives, s.tubes, p) - logChance(likeliest, s.tubes, p);
		})
	);
}

/** ln of the chance that so many of so many grow, each with chance p. */
function logChance(k: number, n: number, p: number): number {
	let log = k === 0 ? 0 : k * Math.log(p);
	if (k < n) log += (n - k) * Math.log1p(-p);
	for (let i = 1; i <= k; i++) log += Math.log((n - k + i) / i);
	return log;
}
