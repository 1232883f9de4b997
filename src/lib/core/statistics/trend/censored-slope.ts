import { finite, listOf, openShare } from '../../quantity';
import { zOf } from '../distributions/normal';

/** One season's value of one year; `below` and `above`: only known to lie on that side of it. */
export interface CensoredValue {
	year: number;
	season: number;
	value: number;
	qualifier: 'below' | 'above' | null;
}

export interface CensoredSlope {
	/** Null where no pair tells anything. */
	slopePerYear: number | null;
	lower: number | null;
	upper: number | null;
	/**
	 * Kendall's S over all seasons, pairs that limits leave open counted as ties, and its variance without a
	 * correction for ties.
	 */
	s: number;
	varS: number;
}

/** Where the sign of a pair changes as the slope that is taken out grows, and by how much. */
interface Turn {
	at: number;
	by: 1 | 2;
}

/**
 * How steep a seasonal trend is where some values are only limits: the slope that, taken out, leaves Kendall's S at 0
 * (Akritas, Murphy & LaValley 1995, as in Helsel 2012, chapter 12; each season by itself). A pair counts only where
 * its limits leave no doubt which value is the larger. The interval is that of all slopes whose S is within z
 * standard deviations. `widen`: factor on the standard deviation, for serial correlation. RangeError for a value that
 * is no number.
 */
export function censoredSeasonalSlope(
	{ observations, confidence }: { observations: readonly CensoredValue[]; confidence: number },
	widen = 1
): CensoredSlope {
	const z = zOf(openShare('confidence', confidence));
	const checked = listOf('observations', observations, (place, given) => {
		const o = given as CensoredValue;
		return {
			...o,
			year: finite(`${place}.year`, o.year),
			season: finite(`${place}.season`, o.season),
			value: finite(`${place}.value`, o.value)
		};
	});
	const turns: Turn[] = [];
	let [s, varS, before] = [0, 0, 0];
	for (const season of new Set(checked.map((o) => o.season))) {
		const values = checked.filter((o) => o.season === season).sort((a, b) => a.year - b.year);
		const n = values.length;
		varS += (n * (n - 1) * (2 * n + 5)) / 18;
		for (let i = 0; i < n; i++)
			for (let j = i + 1; j < n; j++) {
				const pair = turnOf(values[i]!, values[j]!);
				if (!pair) continue;
				turns.push(pair.turn);
				before += pair.before;
				s += pair.now;
			}
	}
	if (turns.length === 0) return { slopePerYear: null, lower: null, upper: null, s, varS };
	turns.sort((a, b) => a.at - b.at);
	const far = z * widen * Math.sqrt(varS);
	const left = (level: number): number => lastAbove(turns, before, level);
	const right = (level: number): number => firstBelow(turns, before, level);
	return { slopePerYear: (left(0) + right(0)) / 2, lower: left(far), upper: right(-far), s, varS };
}

/**
 * What a pair says before its slope is passed, and what it says as it is; null where its limits leave it open for
 * every slope.
 */
function turnOf(a: CensoredValue, b: CensoredValue): { turn: Turn; before: 0 | 1; now: number } | null {
	if (b.year === a.year || (a.qualifier !== null && a.qualifier === b.qualifier)) return null;
	const at = (b.value - a.value) / (b.year - a.year);
	const canRise = a.qualifier !== 'above' && b.qualifier !== 'below'; // b may be surely the larger
	const canFall = a.qualifier !== 'below' && b.qualifier !== 'above';
	if (!canRise && !canFall) return null;
	const now = signNow(at, canRise, canFall);
	return { turn: { at, by: canRise && canFall ? 2 : 1 }, before: canRise ? 1 : 0, now };
}

/** Which way a pair counts as it stands: 0 where it could go either way, or not the way it seems to. */
function signNow(at: number, canRise: boolean, canFall: boolean): -1 | 0 | 1 {
	if (at > 0) return canRise ? 1 : 0;
	if (at < 0) return canFall ? -1 : 0;
	if (canRise && canFall) return 0;
	return canRise ? 1 : -1;
}

/** The largest slope up to which S stays above a level. */
function lastAbove(turns: readonly Turn[], before: number, level: number): number {
	let s = before;
	for (const turn of turns) {
		s -= turn.by;
		if (s <= level) return turn.at;
	}
	return turns.at(-1)!.at;
}

/** The smallest slope from which on S stays below a level. */
function firstBelow(turns: readonly Turn[], before: number, level: number): number {
	let s = before;
	for (const turn of turns) {
		s -= turn.by;
		if (s < level) return turn.at;
	}
	return turns.at(-1)!.at;
}
