import { finite, inRange, listOf, orDefault, pairedLists } from '../quantity';
import { gappy, type Gappy } from '../statistics';

interface Visit {
	/** As it read before it was cleaned, and after. */
	before: number;
	after: number;
	/** What a second instrument read meanwhile: the stream itself may have changed. */
	checkBefore?: number | null;
	checkAfter?: number | null;
	standardExpected?: number | null;
	standardRead?: number | null;
}

interface Errors {
	foulingError: number;
	driftError: number | null;
	totalError: number;
	foulingPercent: number | null;
	driftPercent: number | null;
	totalPercent: number | null;
}

/**
 * How far a sensor was off when it was visited: by what grew on it, and by drift. RangeError where a reading is
 * missing. Wagner et al. 2006.
 */
export function foulingAndDrift(visit: Visit): Errors {
	const [before, after] = [finite('before', visit.before), finite('after', visit.after)];
	const pair = (a: 'checkBefore' | 'standardExpected', b: 'checkAfter' | 'standardRead') => {
		const [first, second] = [visit[a], visit[b]];
		const checked = [first == null ? null : finite(a, first), second == null ? null : finite(b, second)] as const;
		return checked[0] === null || checked[1] === null ? null : { first: checked[0], second: checked[1] };
	};
	const checks = pair('checkBefore', 'checkAfter');
	const standard = pair('standardExpected', 'standardRead');
	const foulingError = after - before - (checks ? checks.second - checks.first : 0);
	const driftError = standard ? standard.first - standard.second : null;
	const foulingPercent = before === 0 ? null : (100 * foulingError) / before;
	const driftPercent = standard && standard.second !== 0 ? (100 * driftError!) / standard.second : null;
	const drift = driftError === null ? 0 : driftPercent;
	return {
		foulingError,
		driftError,
		totalError: foulingError + (driftError ?? 0),
		foulingPercent,
		driftPercent,
		totalPercent: foulingPercent === null || drift === null ? null : foulingPercent + drift
	};
}

/**
 * A record with an error taken out that grew evenly between two times: as an amount, or as percent of each value. Gaps
 * stay. RangeError for times that are no span, another mode, or lists of different length. Wagner et al. 2006.
 */
export function correctRecord(record: {
	times: readonly number[];
	values: Gappy;
	fromTime: number;
	toTime: number;
	foulingError?: number | null;
	driftError?: number | null;
	mode: 'constant' | 'percent';
}): { corrected: (number | null)[]; changed: number } {
	const times = listOf('times', record.times, finite);
	const values = gappy('values', record.values);
	pairedLists({ times, values });
	const [from, to] = [finite('fromTime', record.fromTime), finite('toTime', record.toTime)];
	if (from >= to) throw new RangeError(`toTime must come after fromTime, ${from}: ${to}`);
	if (record.mode !== 'constant' && record.mode !== 'percent')
		throw new RangeError(`mode must be constant or percent: ${String(record.mode)}`);
	const error =
		finite('foulingError', orDefault(record.foulingError, 0)) + finite('driftError', orDefault(record.driftError, 0));
	const shares = times.map((t) => (t < from || t > to ? 0 : (t - from) / (to - from)));
	const off = (value: number, share: number) =>
		record.mode === 'constant' ? share * error : (value * share * error) / 100;
	return {
		corrected: values.map((v, i) => (v === null ? null : v + off(v, shares[i]!))),
		changed: values.filter((v, i) => v !== null && shares[i]! > 0).length
	};
}

interface Bounds {
	absolute?: readonly number[] | null;
	percent?: readonly number[] | null;
}
const RATINGS = ['excellent', 'good', 'fair'] as const;

/**
 * How good a record is by how far it was off: the limits of its parameter, whichever is wider. RangeError for a
 * parameter without limits. Wagner et al. 2006.
 */
export function recordRating(record: {
	parameter: string;
	totalAbsolute: number;
	value?: number | null;
	limits: Readonly<Record<string, Bounds>>;
}): { rating: (typeof RATINGS)[number] | 'poor'; limits: number[] } {
	const total = inRange('totalAbsolute', record.totalAbsolute, 0, Number.MAX_VALUE);
	const value = record.value == null ? null : finite('value', record.value);
	const all = Object.entries(record.limits ?? {}).map(([name, bounds]) => [name, checkedBounds(name, bounds)] as const);
	const known = all.find(([name]) => name === record.parameter)?.[1];
	if (!known) throw new RangeError(`limits has none for the parameter: ${record.parameter}`);
	const { absolute, percent } = known;
	if (!absolute && !percent) throw new RangeError(`limits of ${record.parameter} must be absolute or percent`);
	const size = percent ? Math.abs(finite('value', value)) : 0;
	const limits = RATINGS.map((_, k) => Math.max(absolute?.[k] ?? 0, ((percent?.[k] ?? 0) * size) / 100));
	const first = limits.findIndex((limit) => total <= limit);
	return { rating: RATINGS[first] ?? 'poor', limits };
}

const checkedBounds = (name: string, { absolute, percent }: Bounds) => ({
	absolute: absolute == null ? null : three(`${name}.absolute`, absolute),
	percent: percent == null ? null : three(`${name}.percent`, percent)
});

function three(name: string, limits: readonly number[]): number[] {
	const checked = listOf(name, limits, (place, limit) => inRange(place, limit, 0, Number.MAX_VALUE));
	if (checked.length !== RATINGS.length || checked.some((limit, i) => i > 0 && limit < checked[i - 1]!))
		throw new RangeError(`${name} must be three limits that do not fall: ${checked.join(', ')}`);
	return checked;
}
