import { finite, listOf } from '../../quantity';
import type { Series } from './ordered-series';

/** One season's value of one year; null where none was taken. */
export interface SeasonValue {
	year: number;
	season: number;
	value?: number | null;
}

export interface Season extends Series {
	season: number;
}

/**
 * The observations as one series a season, in order of season and year, gaps left out; and the years that any
 * observation names. RangeError for a year or season that is missing, or the same year and season twice. Hirsch,
 * Slack & Smith 1982.
 */
export function bySeason(observations: readonly SeasonValue[]): { seasons: Season[]; years: number[] } {
	const checked = listOf('observations', observations, (place, o) => {
		const { year, season, value } = (o ?? {}) as Partial<SeasonValue>;
		return {
			year: finite(`${place}.year`, year),
			season: finite(`${place}.season`, season),
			value: value == null ? null : finite(`${place}.value`, value)
		};
	}).sort((a, b) => a.season - b.season || a.year - b.year);
	for (const [i, { year, season }] of checked.entries())
		if (checked[i + 1]?.year === year && checked[i + 1]?.season === season)
			throw new RangeError(`observations name year ${year}, season ${season} twice`);
	const seasons = [...new Set(checked.map((o) => o.season))].map((season) => {
		const there = checked.filter((o) => o.season === season && o.value !== null);
		return {
			season,
			times: Float64Array.from(there, (o) => o.year),
			values: Float64Array.from(there, (o) => o.value!)
		};
	});
	return { seasons, years: [...new Set(checked.map((o) => o.year))].sort((a, b) => a - b) };
}
