import { openShare, orDefault } from '../../quantity';
import { zOf } from '../distributions/normal';
import { concordanceOfRanks, wholeRanks } from './concordance';
import { kendallOf, kendallTest } from './mann-kendall';
import { bySeason, type Season, type SeasonValue } from './seasons';
import { pairsOf, placesOf, slopesAt } from './slopes';

export interface SeasonalKendall {
	s: number | null;
	varS: number | null;
	z: number | null;
	p: number | null;
	tau: number | null;
	/** Variance, z and p with the covariance between seasons: for serial correlation; use them from 10 years on. */
	varSAdjusted: number | null;
	zAdjusted: number | null;
	pAdjusted: number | null;
	n: number;
	seasons: { season: number; s: number | null; varS: number | null; n: number }[];
}

/**
 * Is there a trend, each season compared only with itself: Hirsch, Slack & Smith 1982, with the covariance between
 * seasons of Hirsch & Slack 1984 (mid-ranks for missing values). Seasons with fewer than two values count nothing.
 * All null but n and seasons where no season can be used; RangeError as for the seasons.
 */
export function seasonalKendall({ observations }: { observations: readonly SeasonValue[] }): SeasonalKendall {
	const { seasons, years } = bySeason(observations);
	const n = seasons.reduce((sum, { values }) => sum + values.length, 0);
	const tested = seasons.map((season) => ({
		season,
		kendall: season.values.length < 2 ? null : kendallOf(season.values)
	}));
	const list = tested.map(({ season, kendall }) => ({
		season: season.season,
		s: kendall?.s ?? null,
		varS: kendall?.varS ?? null,
		n: season.values.length
	}));
	const usable = tested.filter((t) => t.kendall !== null);
	if (usable.length === 0)
		return {
			s: null,
			varS: null,
			z: null,
			p: null,
			tau: null,
			varSAdjusted: null,
			zAdjusted: null,
			pAdjusted: null,
			n,
			seasons: list
		};

	const total = (of: 's' | 'varS' | 'tauScale') => usable.reduce((sum, t) => sum + t.kendall![of], 0);
	const [s, varS, tauScale] = [total('s'), total('varS'), total('tauScale')];
	const varSAdjusted =
		varS +
		2 *
			covariances(
				usable.map((t) => t.season),
				years
			);
	const adjusted = varSAdjusted > 0 ? kendallTest(s, varSAdjusted) : null;
	return {
		s,
		varS,
		...kendallTest(s, varS),
		tau: tauScale === 0 ? null : s / tauScale,
		varSAdjusted,
		zAdjusted: adjusted?.z ?? null,
		pAdjusted: adjusted?.p ?? null,
		n,
		seasons: list
	};
}

/** Σ over pairs of seasons of the covariance of their S. */
function covariances(seasons: readonly Season[], years: readonly number[]): number {
	const placed = seasons.map((season) => ranksByYear(season, years));
	let sum = 0;
	for (let g = 0; g < placed.length; g++)
		for (let h = g + 1; h < placed.length; h++) sum += covariance(placed[g]!, placed[h]!, years.length);
	return sum;
}

interface RanksByYear {
	n: number;
	/** Whole rank of the year's value; −1 where it is missing. */
	ranks: Int32Array;
	/** Mid-rank of the year's value; the middle rank where it is missing. */
	middles: Float64Array;
}

function ranksByYear({ times, values }: Season, years: readonly number[]): RanksByYear {
	const n = values.length;
	const { ranks: whole, sorted } = wholeRanks(values);
	const tieSize = new Map<number, number>();
	for (const v of sorted) tieSize.set(v, (tieSize.get(v) ?? 0) + 1);
	const at = new Map(Array.from(times, (year, i) => [year, i]));
	const ranks = new Int32Array(years.length).fill(-1);
	const middles = new Float64Array(years.length).fill((n + 1) / 2);
	for (const [k, year] of years.entries()) {
		const i = at.get(year);
		if (i === undefined) continue;
		ranks[k] = whole[i]!;
		middles[k] = whole[i]! + (tieSize.get(values[i]!)! + 1) / 2;
	}
	return { n, ranks, middles };
}

function covariance(g: RanksByYear, h: RanksByYear, years: number): number {
	const inG: number[] = [];
	const inH: number[] = [];
	let products = 0;
	for (let k = 0; k < years; k++) {
		products += g.middles[k]! * h.middles[k]!;
		if (g.ranks[k]! >= 0 && h.ranks[k]! >= 0) {
			inG.push(g.ranks[k]!);
			inH.push(h.ranks[k]!);
		}
	}
	return (concordanceOfRanks(inG, inH, years) + 4 * products - years * (g.n + 1) * (h.n + 1)) / 3;
}

export interface SeasonalSlope {
	slopePerYear: number | null;
	lower: number | null;
	upper: number | null;
	pairs: number;
}

/**
 * How steep a seasonal trend is, in the value's unit a year: the median of the slopes between years within each
 * season (Hirsch, Slack & Smith 1982), with its interval from the variance of the seasonal S (Gilbert 1987, 17.5.2).
 * Nulls, and 0 pairs, where no season has two values. `progress` as for the slopes.
 */
export function seasonalSenSlope(
	{ observations, confidence }: { observations: readonly SeasonValue[]; confidence?: number | null },
	progress?: (share: number) => void
): SeasonalSlope {
	const c = openShare('confidence', orDefault(confidence, 0.9));
	const { seasons } = bySeason(observations);
	const pairs = pairsOf(seasons);
	if (pairs === 0) return { slopePerYear: null, lower: null, upper: null, pairs: 0 };
	const varS = seasons.reduce((sum, { values }) => sum + (values.length < 2 ? 0 : kendallOf(values).varS), 0);
	const [a, b, lower, upper] = slopesAt(seasons, placesOf(pairs, zOf(c) * Math.sqrt(varS)), progress) as [
		number,
		number,
		number,
		number
	];
	return { slopePerYear: (a + b) / 2, lower, upper, pairs };
}
