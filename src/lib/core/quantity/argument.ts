/*
 * Guards for the arguments of a formula. A formula called with a figure outside its range is a bug of the caller
 * (sheets are checked before they reach a formula), so it throws a RangeError that names the figure and what was seen.
 */

/** The number itself; RangeError when it is missing, not a number, or not finite. */
export function finite(name: string, value: unknown): number {
	if (typeof value !== 'number' || !Number.isFinite(value))
		throw new RangeError(`${name} must be a number: ${String(value)}`);
	return value;
}

/** A finite number from low to high, both included. */
export function inRange(name: string, value: unknown, low: number, high: number): number {
	const number = finite(name, value);
	if (number < low || number > high) throw new RangeError(`${name} must lie in ${low} to ${high}: ${number}`);
	return number;
}

/** A finite number not under `least`. */
export const atLeast = (name: string, value: unknown, least: number): number =>
	inRange(name, value, least, Number.MAX_VALUE);

/** A finite number above zero. */
export function positive(name: string, value: unknown): number {
	const number = finite(name, value);
	if (number <= 0) throw new RangeError(`${name} must be above 0: ${number}`);
	return number;
}

/** The value, or the default where it is absent or null. */
export const orDefault = <T>(value: T | null | undefined, otherwise: T): T => value ?? otherwise;

/** A whole number not under `least`. */
export function whole(name: string, value: unknown, least = 0): number {
	const number = finite(name, value);
	if (!Number.isInteger(number) || number < least)
		throw new RangeError(`${name} must be a whole number from ${least} up: ${number}`);
	return number;
}

/** A share above 0 and below 1, such as a confidence. */
export function openShare(name: string, value: unknown): number {
	const number = finite(name, value);
	if (number <= 0 || number >= 1) throw new RangeError(`${name} must lie between 0 and 1: ${number}`);
	return number;
}

/** The list itself, each entry checked under its own place: `counts[3]`. */
export function listOf<T>(name: string, list: unknown, check: (place: string, entry: unknown) => T): T[] {
	if (!Array.isArray(list)) throw new RangeError(`${name} must be a list: ${String(list)}`);
	return Array.from(list, (entry, i) => check(`${name}[${i}]`, entry));
}

/** RangeError unless lists that belong together are of one length. */
export function pairedLists(lists: Record<string, readonly unknown[]>): void {
	const lengths = Object.entries(lists).map(([name, list]) => `${name} ${list.length}`);
	if (new Set(Object.values(lists).map((list) => list.length)).size > 1)
		throw new RangeError(`lists that belong together must be of one length: ${lengths.join(', ')}`);
}
