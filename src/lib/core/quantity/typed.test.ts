import { describe, expect, it } from 'vitest';
import { readPlain, readWhole } from '.';

describe('a number that stands for itself', () => {
	it.each([
		['2,5', 2.5],
		[' 0.25 ', 0.25],
		['−4', -4],
		['', null],
		['<3', null],
		['4 mL', null],
		['1.2.3', null]
	])('“%s” is %s', (text, number) => expect(readPlain(text)).toBe(number));
});

describe('so many of something', () => {
	it.each([
		['31', 31],
		[' 0 ', 0],
		['3,5', null],
		['-1', null],
		['1234567', null],
		['', null]
	])('“%s” is %s', (text, number) => expect(readWhole(text)).toBe(number));
});
