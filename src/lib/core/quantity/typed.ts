import type { Qualifier } from './figure';
import { withPoint } from './number-style';

export type Typed = { number: number; qualifier: Qualifier } | { why: string };

/**
 * The number that a person typed: decimal point or comma, a minus of either kind, `<` or `>` before it for below and
 * over. What cannot be read comes back with the reason, in words for the person who typed it.
 */
export function readTyped(text: string): Typed {
	const trimmed = text.trim();
	const above = trimmed.startsWith('>') ? 'above' : null;
	const side = trimmed.startsWith('<') ? 'below' : above;
	const digits = withPoint((side ? trimmed.slice(1) : trimmed).trim());
	if (digits === '' || digits === '-' || digits === '.') return { why: 'Type a number.' };
	if (/[a-z]/i.test(digits)) return { why: 'Only digits, please; the unit is already set.' };
	if ((digits.match(/[.,]/g)?.length ?? 0) > 1) return { why: 'There are two decimal points.' };
	if (!/^-?(\d+\.?\d*|\.\d+)$/.test(digits)) return { why: `“${trimmed}” is not a number.` };
	return { number: Number(digits), qualifier: side };
}

/** The same where nothing may stand before it; null where it is no number. */
export function readPlain(text: string): number | null {
	const read = readTyped(text);
	return 'why' in read || read.qualifier !== null ? null : read.number;
}

/** So many of something that is not halved; null where it is no such number. */
export const readWhole = (text: string): number | null => (/^\d{1,6}$/.test(text.trim()) ? Number(text) : null);
