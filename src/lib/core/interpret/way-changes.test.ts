import { describe, expect, it } from 'vitest';
import type { Way } from '../quantity';
import { changesDrawn, wayChanges, waysCounted } from '.';

const series = (...ways: Way[]) => ways.map((way, i) => ({ at_ms: 1000 * i, way }));

describe('ways in a series', () => {
	it('of one way never change', () => {
		expect(wayChanges(series('meter', 'meter', 'meter'))).toEqual([]);
		expect(wayChanges([])).toEqual([]);
	});
	it('are marked where one takes the place of another, and where it comes back', () => {
		expect(wayChanges(series('titration', 'titration', 'meter', 'titration'))).toEqual([
			{ at_ms: 2000, from: 'titration', to: 'meter' },
			{ at_ms: 3000, from: 'meter', to: 'titration' }
		]);
	});
	it('that take turns again and again are not drawn as lines', () => {
		const turns = Array.from({ length: 20 }, (_, i): Way => (i % 2 ? 'kit' : 'lab'));
		expect(changesDrawn(series(...turns))).toEqual([]);
		expect(changesDrawn(series('kit', 'kit', 'lab'))).toHaveLength(1);
	});
	it('are counted, the most frequent first', () => {
		expect(waysCounted(series('kit', 'lab', 'lab'))).toEqual([
			{ way: 'lab', points: 2 },
			{ way: 'kit', points: 1 }
		]);
	});
});
