import { finite, pairedLists } from '../quantity';

/** A sample as it comes from outside: a value that is missing is null. */
export type Gappy = readonly (number | null | undefined)[];

/**
 * Each entry a number or null; RangeError, saying which, for one that is neither. Long records pass here: no work for
 * each entry but the look.
 */
export function gappy(name: string, values: Gappy): (number | null)[] {
	if (!Array.isArray(values)) throw new RangeError(`${name} must be a list: ${String(values)}`);
	const checked: (number | null)[] = [];
	for (let i = 0; i < values.length; i++) {
		const value: unknown = values[i];
		if (value == null) checked.push(null);
		else checked.push(Number.isFinite(value) ? (value as number) : finite(`${name}[${i}]`, value));
	}
	return checked;
}

/** The values that are there; RangeError for one that is not a number. */
export const present = (name: string, values: Gappy): number[] => gappy(name, values).filter((v) => v !== null);

/** The pairs of which both are there; RangeError when the two lists differ in length. */
export function presentPairs({ x, y }: { x: Gappy; y: Gappy }): { x: number[]; y: number[] } {
	const xs = gappy('x', x);
	const ys = gappy('y', y);
	pairedLists({ x: xs, y: ys });
	const pairs = xs.flatMap((a, i) => (a === null || ys[i] == null ? [] : [[a, ys[i]] as const]));
	return { x: pairs.map(([a]) => a), y: pairs.map(([, b]) => b) };
}

/** A copy in ascending order. */
export const ascending = (values: ArrayLike<number>): Float64Array => Float64Array.from(values).sort();
