import { readTyped, type Typed } from '../quantity';

/** What parts the whole from its decimals in a file. */
export type DecimalMark = 'point' | 'comma';

const NUMBER = /^[<>]?\s*[-−]?[\d.,\s]+$/;
/** A comma with three digits behind it parts thousands in one country and decimals in another. */
const EITHER = /^[<>]?\s*[-−]?\d{1,3},\d{3}$/;

/**
 * The mark that the figures of a file show by themselves: `0,12` is a comma's, `0.12` and `1,240.5` a point's. Null
 * where they show none, or both.
 */
export function decimalMarkOf(figures: readonly string[]): DecimalMark | null {
	const numbers = figures.map((f) => f.trim()).filter((f) => NUMBER.test(f));
	const isComma = numbers.some((n) => n.includes(',') && !EITHER.test(n) && n.lastIndexOf(',') > n.lastIndexOf('.'));
	const isPoint = numbers.some((n) => n.includes('.') && n.lastIndexOf('.') > n.lastIndexOf(','));
	if (isComma === isPoint) return null;
	return isComma ? 'comma' : 'point';
}

/** Whether a figure cannot be read before somebody says what its comma parts. */
export const isEither = (text: string): boolean => EITHER.test(text.trim());

/** A figure by its file's mark; without one a comma is a decimal one, except where it may part thousands. */
export function readReported(text: string, mark: DecimalMark | null): Typed {
	const given = text.trim().replace(/\s/g, '');
	if (given.startsWith('=')) return { why: `“${given.slice(0, 40)}” is a formula, not a figure.` };
	if (mark === null && isEither(given))
		return {
			why: `“${given}” may be ${given.replace(',', '.')} or ${given.replace(',', '')}: say what the comma parts`
		};
	return readTyped(mark === 'point' ? given.replaceAll(',', '') : given.replaceAll(mark === 'comma' ? '.' : ' ', ''));
}
