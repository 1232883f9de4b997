import { convert, stepIn, type Unit } from '../quantity';
import type { TrendPoint } from './site-trend';
import type { Threshold } from './thresholds';

/*
 * What is drawn of a parameter, brought to the unit that it is read in. It was judged and worked out before, in the
 * parameter's own.
 */

interface Sure {
	value: number;
	unit: Unit;
	/** A distance, and no place on the scale. */
	uncertainty: number | null;
	lower: number | null;
	upper: number | null;
}

const maybe = (number: number | null, from: Unit, to: Unit) => (number === null ? null : convert(number, from, to));

export const pointIn = <P extends Sure>(point: P, unit: Unit): P => ({
	...point,
	unit,
	value: convert(point.value, point.unit, unit),
	uncertainty: point.uncertainty === null ? null : point.uncertainty * stepIn(point.unit, unit),
	lower: maybe(point.lower, point.unit, unit),
	upper: maybe(point.upper, point.unit, unit)
});

/** Results of a trend, whose values are bare. */
export const trendIn = (points: readonly TrendPoint[], from: Unit, to: Unit): TrendPoint[] =>
	points.map((p) => ({ ...p, value: convert(p.value, from, to) }));

export const stretchIn = <S extends { low: number; middle: number; high: number }>(s: S, from: Unit, to: Unit): S => ({
	...s,
	low: convert(s.low, from, to),
	middle: convert(s.middle, from, to),
	high: convert(s.high, from, to)
});

export const thresholdIn = (threshold: Threshold, unit: Unit): Threshold => ({
	...threshold,
	unit,
	bands: threshold.bands.map((band) => ({ ...band, from: convert(band.from, threshold.unit, unit) }))
});
