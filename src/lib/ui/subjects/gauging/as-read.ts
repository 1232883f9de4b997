import { areAlike, convert, units, writeNumber, type AsTyped, type Unit } from '$lib/core/quantity';

/**
 * A measure of a section as it was read; with its unit where that is not the one of the column. Plain numbers are in
 * metres.
 */
export function sayAsRead(value: AsTyped, column: Unit): string {
	if (typeof value === 'object')
		return `${writeNumber(value.value)}${value.unit === column ? '' : ` ${units[value.unit].symbol}`}`;
	const placed: Unit = areAlike(column, 'm') ? 'm' : 'm_s';
	return `${writeNumber(value)}${placed === column ? '' : ` ${units[placed].symbol}`}`;
}

/** A length or speed that was worked out, in the unit of its column. */
export const inColumn = (si: number, column: 'm' | 'ft' | 'm_s' | 'ft_s'): string =>
	writeNumber(Number(convert(si, column === 'm' || column === 'ft' ? 'm' : 'm_s', column).toFixed(3)));
