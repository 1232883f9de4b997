import { writeNumber } from './number-style';
import { convert, units, type Unit } from './unit';

/**
 * A measure as it was typed: a bare number in the unit that its place names, or a value with the unit that was read.
 */
export type AsTyped<U extends Unit = Unit> = number | { value: number; unit: U };

/** The number in the unit that its place names. */
export const inPlaceUnit = <U extends Unit>(typed: AsTyped<U>, unit: U): number =>
	typeof typed === 'number' ? typed : convert(typed.value, typed.unit, unit);

/**
 * Why this cannot stand where a measure is wanted, or null: no number, a unit of another kind, beyond what is
 * possible.
 */
export function whyNoMeasure(value: unknown, what: string, unit: Unit, low: number, high: number): string | null {
	const typed = value as Partial<{ value: unknown; unit: unknown }> | null;
	const parts = typeof value === 'number' ? { number: value, from: unit } : { number: typed?.value, from: typed?.unit };
	const strange =
		typeof value === 'object' && value !== null
			? Object.keys(value).find((key) => key !== 'value' && key !== 'unit')
			: undefined;
	if (strange !== undefined) return `${what} is a value and its unit; it has no “${strange.slice(0, 40)}”`;
	if (typeof parts.number !== 'number' || !Number.isFinite(parts.number)) return `${what} must be a number`;
	if (typeof parts.from !== 'string' || !Object.hasOwn(units, parts.from))
		return `${what} needs a known unit, or none where it is in ${units[unit].symbol}`;
	const from = parts.from as Unit;
	if (units[from].dimension !== units[unit].dimension) return `${what} is not measured in ${units[from].symbol}`;
	const number = convert(parts.number, from, unit);
	const { symbol } = units[unit];
	if (number < low) return `${what} under ${writeNumber(low)} ${symbol} is not possible`;
	return number > high ? `${what} over ${writeNumber(high)} ${symbol} is not possible` : null;
}
