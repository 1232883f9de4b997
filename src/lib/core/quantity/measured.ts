import type { Qualifier } from './figure';
import { asWritten, writeFixed } from './number-style';

/**
 * A number with how sure it is: expanded uncertainty (two standard uncertainties; null: not known), or only a limit.
 */
export interface Measured {
	number: number;
	qualifier: Qualifier;
	uncertainty: number | null;
}

export const measured = (number: number, uncertainty: number | null = null, qualifier: Qualifier = null): Measured => ({
	number,
	qualifier,
	uncertainty
});
/** A constant, or a figure whose doubt is not worth reckoning with. */
export const certain = (number: number): Measured => ({ number, qualifier: null, uncertainty: 0 });

/**
 * What follows from several figures by a formula, with what is known of each carried through. The uncertainty is
 * found by moving each figure by its own and seeing how the result moves, in quadrature (Kragten 1994, as JCGM
 * 100:2008); it is null where one is not known, or the result is only a limit. A "below" makes the result a "below"
 * where it rises with that figure, an "above" where it falls. Null when the limits leave the result open both ways,
 * or the formula does.
 */
export function follows(
	figures: readonly Measured[],
	formula: (...numbers: number[]) => number | null
): Measured | null {
	const numbers = figures.map((f) => f.number);
	const number = formula(...numbers);
	if (number === null || !Number.isFinite(number)) return null;
	const moved = (i: number, by: number) =>
		(formula(...numbers.map((x, k) => (k === i ? x + by : x))) ?? number) - number;

	let below = false;
	let above = false;
	for (const [i, { qualifier, number: x }] of figures.entries()) {
		if (qualifier === null) continue;
		const towards = (qualifier === 'below' ? -1 : 1) * (Math.abs(x) * PROBE || PROBE);
		const change = moved(i, towards);
		if (change < 0) below = true;
		if (change > 0) above = true;
	}
	if (below && above) return null;
	if (below || above) return { number, qualifier: below ? 'below' : 'above', uncertainty: null };

	let variance = 0;
	for (const [i, { uncertainty }] of figures.entries()) {
		if (uncertainty === null) return { number, qualifier: null, uncertainty: null };
		if (uncertainty > 0) variance += moved(i, uncertainty) ** 2;
	}
	return { number, qualifier: null, uncertainty: Math.sqrt(variance) };
}

const PROBE = 1e-4; // far enough to see which way a formula goes, near enough to stay where it holds

/** The sum; a non-detect among the parts makes it a "below", one over a range an "above". */
export const sumOf = (figures: readonly Measured[]): Measured | null =>
	follows(figures, (...numbers) => numbers.reduce((a, b) => a + b, 0));

/**
 * Decimals that an uncertainty bears: two digits of it where it begins with less than 355, else one (the Particle
 * Data Group's rule, within JCGM 100:2008 7.2.6). Negative where even tens are in doubt. Null where there is none to
 * go by.
 */
export function decimalsBorne(uncertainty: number | null): number | null {
	if (uncertainty === null || !(uncertainty > 0)) return null;
	const exponent = Math.floor(Math.log10(uncertainty));
	return uncertainty / 10 ** exponent < 3.55 ? 1 - exponent : -exponent;
}

/** The number rounded to so many decimals, which may be negative: 512.6 at −1 is 510. */
export function rounded(number: number, decimals: number): string {
	if (decimals >= 0) return writeFixed(number, Math.min(decimals, 12));
	const step = 10 ** -decimals;
	return asWritten(String(Math.round(number / step) * step));
}
