import { describe, expect, it } from 'vitest';
import { contract, inCode } from './contract';
import { readReferenceFolder } from './reference-file';

/*
 * Every number of every formula's input, put out of order: a figure that is not one is refused, by name and place,
 * and never comes out as NaN, Infinity or a figure like any other. Inputs come from the reference figures.
 */

const files = readReferenceFolder(new URL('./reference', import.meta.url).pathname);
const CASES_LOOKED_AT = 24;

type Path = (string | number)[];

/** Places of the numbers in an input. */
function numbersIn(value: unknown, path: Path = []): Path[] {
	if (typeof value === 'number') return [path];
	if (typeof value !== 'object' || value === null) return [];
	return Object.entries(value).flatMap(([key, inner]) =>
		numbersIn(inner, [...path, Array.isArray(value) ? Number(key) : key])
	);
}

function replaced(value: unknown, [key, ...rest]: Path, by: unknown): unknown {
	if (key === undefined) return by;
	if (Array.isArray(value)) return value.map((v: unknown, i) => (i === key ? replaced(v, rest, by) : v));
	return { ...(value as object), [key]: replaced((value as Record<string, unknown>)[key as string], rest, by) };
}

/** Names by which a place may be called: the last key of the path that is a word. */
const nameOf = (path: Path) => inCode(path.findLast((k) => typeof k === 'string') as string);

/** Numbers that a function does not look at in some case: the contract says so. */
const notLookedAt = new Set([
	'turbidityFromTube.depth_cm', // still visible when full
	'cfuPer100mL.count' // of a plate that is not counted
]);

const leaves = (value: unknown): unknown[] =>
	typeof value === 'object' && value !== null ? Object.values(value).flatMap(leaves) : [value];

describe.each(files.map((f) => [f.topic, f] as const))('%s', (topic, file) => {
	// a topic may have a second file, with functions of its own
	const names = Object.keys(contract[topic]!).filter((name) => file.cases.some((c) => c.fn === name));

	it.each(names)('%s refuses what is not a number, and says where', (name) => {
		const fn = contract[topic]![name]! as (input: unknown) => object;
		const all = file.cases.filter((c) => c.fn === name && c.expected['error'] !== true);
		// spread over all, so that every school of a function is met
		const cases = all.filter((_, i) => i % Math.ceil(all.length / CASES_LOOKED_AT) === 0);
		const silent = new Set<string>();
		for (const { input } of cases)
			for (const path of numbersIn(input).slice(0, 60))
				for (const wrong of [NaN, Infinity, 'abc']) {
					let got: object;
					try {
						got = fn(replaced(input, path, wrong));
					} catch (error) {
						expect(error).toBeInstanceOf(RangeError);
						expect((error as RangeError).message).toContain(nameOf(path));
						continue;
					}
					silent.add(`${name}.${nameOf(path)}`);
					expect(leaves(got).every((leaf) => typeof leaf !== 'number' || Number.isFinite(leaf))).toBe(true);
				}
		expect([...silent].filter((place) => !notLookedAt.has(place))).toEqual([]);
		expect(cases.length).toBeGreaterThan(0);
	});
});
