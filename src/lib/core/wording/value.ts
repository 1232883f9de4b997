import {
	amount,
	asWritten,
	convert,
	decimalsBorne,
	decimalsShown,
	digitsMoved,
	Figure,
	figureIn,
	isRead,
	rounded,
	stepIn,
	writeExactly,
	writeFigure,
	writeFixed,
	type Unit,
	type Way
} from '../quantity';
import { sayDay, sayTime } from './time';

/** The limits between which the truth lies with 95 % confidence; `upper` null where nothing bounds it from above. */
export interface Limits95 {
	lower: number;
	upper: number | null;
}

/**
 * A figure with how sure it is: in the digits that the uncertainty bears and never fewer than were read; where none
 * is known, in the parameter's own. Apart, because a screen sets them apart. Limits that do not lie evenly about the
 * figure are said as they are. All are brought to `unit` where one is asked for. `way`: how it was found, where that is
 * known; a figure that was worked out has no digits that were read.
 */
export function saySure(
	found: Figure,
	uncertaintyAsFound: number | null,
	own: number,
	unit: Unit = found.unit,
	limits: Limits95 | null = null,
	way: Way | null = null
): { figure: string; uncertainty: string | null; limits: string | null } {
	const figure = figureIn(found, unit);
	// a unit larger by a factor of ten takes a digit more
	const shift = digitsMoved(found.unit, unit);
	const uncertainty = uncertaintyAsFound === null ? null : uncertaintyAsFound * stepIn(found.unit, unit);
	const { number, qualifier } = amount(figure);
	const between = limits === null ? null : sayLimits(limits, found.unit, unit);
	const borne = between === null ? decimalsBorne(uncertainty) : null;
	const asRead = way !== null && !isRead(way) ? null : decimalsRead(amount(found).number);
	if (borne === null || uncertainty === null || qualifier !== null) {
		const decimals = Math.max(0, own - shift, asRead === null ? 0 : asRead - shift);
		return {
			figure: writeExactly(figure, writeFixed(number, Math.min(decimals, 12))),
			uncertainty: null,
			limits: between
		};
	}
	const decimals = Math.max(borne, asRead === null ? borne : asRead - shift);
	return {
		figure: writeExactly(figure, rounded(number, decimals)),
		uncertainty: rounded(uncertainty, borne),
		limits: null
	};
}

/** Decimals of a number that somebody read; null for one that arithmetic left behind. */
function decimalsRead(number: number): number | null {
	if (Number.isInteger(number)) return 0;
	const decimals = decimalsShown(number, NONE_READ);
	return decimals === NONE_READ ? null : decimals;
}
const NONE_READ = -1;

/** Limits in digits that their width bears: `510 to 1190`, `at least 400`. */
function sayLimits({ lower, upper }: Limits95, from: Unit, to: Unit): string {
	const [low, high] = [convert(lower, from, to), upper === null ? null : convert(upper, from, to)];
	const borne = decimalsBorne(((high ?? 2 * low) - low) / 2) ?? 0;
	const write = (n: number) => rounded(n, borne);
	return high === null ? `at least ${write(low)}` : `${write(low)} to ${write(high)}`;
}

/**
 * An entry's value as a person reads it: a figure with its unit, an instant in the time zone, yes or no, the parts of
 * the rest.
 */
export function sayValue(value: unknown, timeZone = 'UTC'): string {
	if (value === null || value === undefined) return '';
	if (typeof value === 'string')
		return INSTANT.test(value)
			? `${sayTime(Date.parse(value), timeZone)} ${sayDay(Date.parse(value), timeZone)}`
			: value;
	if (typeof value === 'number') return asWritten(String(value));
	if (typeof value === 'boolean') return value ? 'yes' : 'no';
	if (Array.isArray(value)) return value.map((one) => sayValue(one, timeZone)).join(', ') || 'none';
	const figure = Figure.safeParse(value);
	if (figure.success) return writeFigure(figure.data);
	return Object.entries(value)
		.filter(([, part]) => part !== '')
		.map(([key, part]) => `${key} ${sayValue(part, timeZone)}`)
		.join(', ');
}

const INSTANT = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d/;
