import { describe, expect, it } from 'vitest';
import { OnTheWay } from './on-the-way.svelte';

const holding = (...ids: string[]) => {
	const way = new OnTheWay();
	ids.forEach((id) => way.add(id));
	return way;
};

describe('a line on its way to the disk', () => {
	it('counts until the store shows it as unsent, and is then not counted twice', () => {
		const way = holding('a', 'b');
		way.seen([]); // the store speaks of something else
		expect(way.ids).toEqual(['a', 'b']);
		way.seen([{ id: 'a' }]);
		expect(way.ids).toEqual(['b']);
		way.written('b');
		way.seen([{ id: 'a' }, { id: 'b' }]);
		expect(way.ids).toEqual([]);
	});
	it('does not stay where it was sent before the store spoke', () => {
		const way = holding('a');
		way.written('a');
		expect(way.ids).toEqual(['a']);
		way.seen([]);
		expect(way.ids).toEqual([]);
	});
	it('goes at once where the sheet cannot take it', () => {
		const way = holding('a', 'b');
		way.refused('a');
		expect(way.ids).toEqual(['b']);
	});
});
