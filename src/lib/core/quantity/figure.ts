import { z } from 'zod';
import { asWritten, writeFixed } from './number-style';
import { convert, unitCodes, units, type Unit } from './unit';

const common = {
	unit: z.enum(unitCodes),
	/** Code of the instrument that gave the figure. */
	instrument: z.string().min(1).max(40).optional(),
	/** How it was read, in the method card's word. */
	method: z.string().min(1).max(40).optional(),
	/** It comes from a stand-in for a device and says nothing of any stream. */
	isSimulated: z.literal(true).optional()
};
const number = z.number({ error: 'a number is needed here' });

/**
 * A figure as it was read: a value, or only known to lie below or above a limit, with its unit.
 * "Not detected below 0.05" and "over 120" are values, never 0 and never a note.
 */
export const Figure = z.union(
	[
		z.strictObject({ value: number, ...common }),
		z.strictObject({ below: number, ...common }),
		z.strictObject({ above: number, ...common })
	],
	{ error: 'a figure is { value | below | above, unit }, with a number and a known unit' }
);
export type Figure = z.infer<typeof Figure>;

export type Qualifier = 'below' | 'above' | null;

/** The number a figure carries and on which side of it the truth lies (null: at it). */
export function amount(figure: Figure): { number: number; qualifier: Qualifier } {
	if ('below' in figure) return { number: figure.below, qualifier: 'below' };
	if ('above' in figure) return { number: figure.above, qualifier: 'above' };
	return { number: figure.value, qualifier: null };
}

export const exactly = (value: number, unit: Unit): Figure => ({ value, unit });
export const lessThan = (below: number, unit: Unit): Figure => ({ below, unit });
export const moreThan = (above: number, unit: Unit): Figure => ({ above, unit });
export function withQualifier(number: number, qualifier: Qualifier, unit: Unit): Figure {
	if (qualifier === 'below') return lessThan(number, unit);
	return qualifier === 'above' ? moreThan(number, unit) : exactly(number, unit);
}

/**
 * The same figure in another unit of its dimension; instrument and method stay. Throws RangeError across dimensions.
 */
export function figureIn(figure: Figure, unit: Unit): Figure {
	const { number, qualifier } = amount(figure);
	const { instrument, method, isSimulated } = figure;
	return {
		...withQualifier(convert(number, figure.unit, unit), qualifier, unit),
		...(instrument === undefined ? {} : { instrument }),
		...(method === undefined ? {} : { method }),
		...(isSimulated === undefined ? {} : { isSimulated })
	};
}

/** Whether a figure comes from a stand-in. Before it had a field of its own, its method said so in words. */
export const isFromStandIn = ({ isSimulated, method }: Pick<Figure, 'isSimulated' | 'method'>): boolean =>
	isSimulated === true || method?.endsWith(', simulated') === true;

/** The number to so many significant digits, with no exponent and no digits that the uncertainty does not bear. */
export function significant(number: number, digits: number): string {
	if (number === 0) return '0';
	const decimals = Math.max(0, digits - 1 - Math.floor(Math.log10(Math.abs(number))));
	const scale = 10 ** Math.max(0, Math.floor(Math.log10(Math.abs(number))) + 1 - digits);
	return writeFixed(scale > 1 ? Math.round(number / scale) * scale : number, Math.min(decimals, 12));
}

/** More digits than this are not read off anything: they come from arithmetic. */
const MOST_READ_DIGITS = 6;

/**
 * Decimals in which a number is shown: those asked for, and never fewer than were read. A number with more digits
 * than anybody reads was worked out, and is shown in those asked for.
 */
export function decimalsShown(number: number, asked: number): number {
	const text = String(Math.abs(number));
	if (!/^\d+\.\d+$/.test(text) || text.replace('.', '').replace(/^0+/, '').length > MOST_READ_DIGITS) return asked;
	return Math.max(asked, text.length - text.indexOf('.') - 1);
}

/**
 * A figure as it is written: `11.2 °C`, `below 0.05 mg/L`, `over 120 cm`, in so many decimals and never fewer than
 * were read. `decimals` absent: as typed.
 */
export const writeFigure = (figure: Figure, decimals?: number): string =>
	writeExactly(figure, digitsShown(figure, decimals));

/** A figure with these digits. */
export const writeExactly = (figure: Figure, digits: string): string => withSideAndUnit(figure, asWritten(digits));

/** A figure as a text that is kept and compared: the same, whoever wrote it. */
export const keptText = (figure: Figure, decimals: number, digits = digitsShown(figure, decimals)): string =>
	withSideAndUnit(figure, digits.replace('-', '−'));

function digitsShown(figure: Figure, decimals?: number): string {
	const { number } = amount(figure);
	return decimals === undefined ? String(number) : number.toFixed(decimalsShown(number, decimals));
}

const withSideAndUnit = (figure: Figure, digits: string): string =>
	`${saySide(amount(figure).qualifier)}${digits} ${units[figure.unit].symbol}`;

/** The side on which the truth lies, as it stands before a number. */
export function saySide(qualifier: Qualifier): string {
	if (qualifier === 'below') return 'below ';
	return qualifier === 'above' ? 'over ' : '';
}
