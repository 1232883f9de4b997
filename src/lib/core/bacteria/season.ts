import {
	finite,
	geometricMeanOf,
	given,
	inRange,
	listOf,
	orDefault,
	pairedLists,
	positive,
	times,
	type Step,
	type Working
} from '../quantity';
import { standardDeviation } from '../statistics';

type Side = '<' | '>' | null;

function sides(qualifiers: readonly Side[] | null | undefined, values: readonly number[]): Side[] {
	if (qualifiers == null) return values.map(() => null);
	const list = listOf('qualifiers', qualifiers, (place, q): Side => {
		if (q == null) return null;
		if (q === '<' || q === '>') return q;
		throw new RangeError(`${place} must be "<", ">" or null: ${JSON.stringify(q)}`);
	});
	pairedLists({ values, qualifiers: list });
	return list;
}

function someValues(values: readonly number[], check: (place: string, v: unknown) => number): number[] {
	const list = listOf('values', values, check);
	if (list.length === 0) throw new RangeError('values needs at least one figure');
	return list;
}

/**
 * The geometric mean of a season's bacteria figures. "Less than" figures enter as a share of their limit, "more than"
 * as the limit, which makes the mean a "more than". logSd: sd of log10. RangeError for no value, or one not above 0.
 * U.S. EPA (2012), Recreational Water Quality Criteria.
 */
export function geometricMean(season: {
	values: readonly number[];
	qualifiers?: readonly Side[] | null;
	nonDetectFraction?: number | null;
}): {
	geometricMean: number;
	logSd: number | null;
	n: number;
	qualifier: Side;
	working: Working;
} {
	const values = someValues(season.values, positive);
	const qualifiers = sides(season.qualifiers, values);
	const fraction = positive('nonDetectFraction', orDefault(season.nonDetectFraction, 0.5));
	const steps = values.map((v, i) => (qualifiers[i] === '<' ? times(given(v), given(fraction)) : given(v)));
	const step = geometricMeanOf(steps as [Step, ...Step[]]);
	const logs = steps.map((s) => Math.log10(s.number));
	const belowAll = qualifiers.every((q) => q === '<') ? '<' : null;
	const qualifier = qualifiers.includes('>') ? '>' : belowAll;
	return {
		geometricMean: step.number,
		logSd: standardDeviation(logs),
		n: values.length,
		qualifier,
		working: { step, unit: 'per 100 mL' }
	};
}

/**
 * The share of samples above a threshold (default 410 per 100 mL). A "less than" above the threshold, or a "more
 * than" below it, leaves open on which side the truth lies: counted apart as undetermined. RangeError for no value.
 * U.S. EPA (2012), Recreational Water Quality Criteria.
 */
export function statisticalThresholdShare(season: {
	values: readonly number[];
	qualifiers?: readonly Side[] | null;
	threshold?: number | null;
}): {
	share: number | null;
	exceeding: number;
	n: number;
	undetermined: number;
} {
	const values = someValues(season.values, (place, v) => inRange(place, v, 0, Infinity));
	const qualifiers = sides(season.qualifiers, values);
	const threshold = finite('threshold', orDefault(season.threshold, STATISTICAL_THRESHOLD));
	const verdicts = values.map((v, i) => {
		if (qualifiers[i] === '<') return v <= threshold ? false : null;
		if (qualifiers[i] === '>') return v >= threshold ? true : null;
		return v > threshold;
	});
	const exceeding = verdicts.filter((v) => v === true).length;
	const n = verdicts.filter((v) => v !== null).length;
	return { share: n === 0 ? null : exceeding / n, exceeding, n, undetermined: values.length - n };
}

const STATISTICAL_THRESHOLD = 410; // E. coli per 100 mL that no more than a tenth of a season's samples should pass
