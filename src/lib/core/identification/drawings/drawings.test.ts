import { describe, expect, it } from 'vitest';
import { coarserNames, describedAnimals, questions } from '../animal-key';
import { drawingNames, drawingOf } from '.';

/** All places that the strokes of a drawing pass, as a path names them. */
const placesIn = (d: string): [number, number][] => {
	const numbers = d.match(/-?\d+(\.\d+)?/g)!.map(Number);
	if (/[acqt]/.test(d)) return []; // steps from the last place, not places
	return numbers.flatMap((x, i) => (i % 2 === 0 ? [[x, numbers[i + 1]!] as [number, number]] : []));
};

describe('drawings of the animals', () => {
	const used = new Set([
		...describedAnimals.flatMap((t) => [t.drawing, ...(t.forms ?? []).map((f) => f.drawing)]),
		...coarserNames.map((c) => c.drawing)
	]);
	it('are there for every kind and form of the key, and none for nothing', () => {
		expect([...used].filter((name) => !drawingNames.includes(name))).toEqual([]);
		expect(drawingNames.filter((name) => !used.has(name))).toEqual([]);
		expect(() => drawingOf('unicorn')).toThrow(RangeError);
	});
	it('stay within their field', () => {
		const isOutside = ([x, y]: [number, number]) => Math.min(x, y) < 0 || Math.max(x, y) > 100;
		const outside = drawingNames.filter((name) => drawingOf(name).strokes.some(({ d }) => placesIn(d).some(isOutside)));
		expect(outside).toEqual([]);
	});
	it('show one thing to look at, by a character of the key, and say it in words', () => {
		for (const name of drawingNames) {
			const { strokes, tells } = drawingOf(name);
			const shown = strokes.flatMap(({ shows }) => shows ?? []);
			expect(shown.length, name).toBeGreaterThan(0);
			expect(
				shown.filter((id) => !questions.some((q) => q.id === id)),
				name
			).toEqual([]);
			expect(tells, name).toMatch(/^[A-Z].{10,}\.$/);
		}
	});
	it('are no two the same', () => {
		const all = drawingNames.map((name) => JSON.stringify(drawingOf(name).strokes));
		expect(new Set(all).size).toBe(all.length);
	});
});
