import { describe, expect, it } from 'vitest';
import { shareCounted, typedGrid } from './squares';

describe('a plate counted in squares', () => {
	it('is counted whole without a grid, and not at all where more squares were counted than there are', () => {
		expect(shareCounted({})).toBe(1);
		expect(shareCounted({ squares: 60 })).toBe(1);
		expect(shareCounted({ squares: 60, squaresCounted: 12 })).toBe(0.2);
		expect(shareCounted({ squares: 10, squaresCounted: 12 })).toBeNull();
	});
	it.each<[string, string, ReturnType<typeof typedGrid>]>([
		['', '', 'none'],
		['60', '', 'begun'],
		['', '12', 'begun'],
		['60', '12', { squares: 60, squaresCounted: 12 }],
		['10', '12', { why: 'More squares than the grid has.' }],
		['0', '', { why: 'Whole squares, from 1 to 400.' }],
		['401', '10', { why: 'Whole squares, from 1 to 400.' }],
		['60', '3.5', { why: 'Whole squares, from 1 to 400.' }],
		['some', '', { why: 'Whole squares, from 1 to 400.' }]
	])('is told from %j and %j as they are typed', (squares, counted, told) => {
		expect(typedGrid(squares, counted)).toEqual(told);
	});
});
