import { describe, expect, it } from 'vitest';
import { countedBy, mayCountBlind } from './counted-by';

describe('who counted a plate', () => {
	it('says how far apart two people lie, in percent of their mean', () => {
		expect(countedBy({ counters: { a: 24, b: 30 } })).toEqual({ least: 24, most: 30, apart_percent: (100 * 6) / 27 });
		expect(countedBy({ counters: { a: 0, b: 0 } })?.apart_percent).toBe(0);
	});
	it('says nothing of one person, nor of a count that was struck', () => {
		expect(countedBy({})).toBeNull();
		expect(countedBy({ counters: { a: 24 } })).toBeNull();
		expect(countedBy({ counters: { a: 24, b: undefined } })).toBeNull();
	});
	it('lets a second person count blind, once, and only after a first', () => {
		expect(mayCountBlind({}, 'b')).toBe(false);
		expect(mayCountBlind({ counters: { a: 24 } }, 'b')).toBe(true);
		expect(mayCountBlind({ counters: { a: 24 } }, 'a')).toBe(false);
		expect(mayCountBlind({ counters: { a: 24, b: 25 } }, 'b')).toBe(false);
	});
});
