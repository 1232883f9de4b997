import { geometricMean } from '../bacteria';
import { amount, figureIn, withQualifier, type Figure } from '../quantity';
import { isInMonths, judge, monthOf, type Band, type Threshold } from './thresholds';

/** A result of a site as a season's statistic sees it. */
export interface Sample {
	at_ms: number;
	figure: Figure;
}

/** What the samples of one season come to, held against what a use wants of them together. */
export interface Standing {
	/** Its first month, as year-month. */
	season: string;
	samples: number;
	/** Null where `lacks` says what keeps the samples from coming to a figure. */
	figure: Figure | null;
	/** Too few of them; or one of 0, which has no place in a geometric mean. */
	lacks: 'samples' | 'above-nought' | null;
	band: Band | null;
}

/** The season a moment belongs to, by the year and month in which it began; null outside of one. */
function seasonOf(at_ms: number, { season }: Threshold, timeZone: string): string | null {
	const month = monthOf(at_ms, timeZone);
	if (!isInMonths(season, month)) return null;
	const year = Number(new Intl.DateTimeFormat('en', { year: 'numeric', timeZone }).format(at_ms));
	const from = season?.from ?? 1;
	return `${month < from ? year - 1 : year}-${String(from).padStart(2, '0')}`;
}

/**
 * The season's statistic that a threshold asks for, of the latest season with samples; null where there is none. A
 * percentile is the sample in that place of the order, with its "below" or "above"; a geometric mean is as for
 * bacteria. RangeError when a figure's unit is of another kind.
 */
export function seasonStanding(threshold: Threshold, samples: readonly Sample[], timeZone: string): Standing | null {
	const placed = samples.flatMap(({ at_ms, figure }) => {
		const season = seasonOf(at_ms, threshold, timeZone);
		return season === null ? [] : [{ season, ...amount(figureIn(figure, threshold.unit)) }];
	});
	const season = placed.reduce<string | null>(
		(latest, s) => (latest === null || s.season > latest ? s.season : latest),
		null
	);
	if (season === null) return null;
	const own = placed.filter((s) => s.season === season);
	const counted = { season, samples: own.length };
	if (own.length < threshold.leastSamples) return { ...counted, figure: null, band: null, lacks: 'samples' };
	const figure = statisticOf(threshold, own);
	if (figure === null) return { ...counted, figure, band: null, lacks: 'above-nought' };
	return { ...counted, figure, band: judge(figure, threshold), lacks: null };
}

type Amount = ReturnType<typeof amount>;

function statisticOf({ statistic, unit }: Threshold, own: readonly Amount[]): Figure | null {
	if (statistic === 'geometric mean') {
		if (own.some((s) => s.number <= 0)) return null;
		const signs = { below: '<', above: '>' } as const;
		const mean = geometricMean({
			values: own.map((s) => s.number),
			qualifiers: own.map((s) => (s.qualifier === null ? null : signs[s.qualifier]))
		});
		const sides = { '<': 'below', '>': 'above' } as const;
		return withQualifier(mean.geometricMean, mean.qualifier === null ? null : sides[mean.qualifier], unit);
	}
	// of equal numbers a "below" lies lower and an "above" higher
	const side = ({ qualifier }: Amount) => (qualifier === null ? 0 : { below: -1, above: 1 }[qualifier]);
	const order = [...own].sort((a, b) => a.number - b.number || side(a) - side(b));
	const { number, qualifier } = order[Math.ceil(SHARE[statistic] * order.length) - 1]!;
	return withQualifier(number, qualifier, unit);
}

const SHARE = { median: 0.5, '90th percentile': 0.9, 'each sample': 1 } as const;
