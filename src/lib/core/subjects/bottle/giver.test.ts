import { describe, expect, it } from 'vitest';
import { giverOf } from './giver';

const arrival = { crew: { 'Ivo Quennick': {}, 'Orla Tamberly': {} } };
const fromCrew = { from: 'Ivo Quennick', to: 'Tam Ferrow', at: '2026-05-14T12:00:00.000Z' };
const toBench = { from: 'Tam Ferrow', to: 'Bede Orlinck', at: '2026-05-14T13:00:00.000Z' };

describe('who gives the bottles', () => {
	it('is the crew where nobody had them in between', () => {
		expect(giverOf({ arrival }, 'Bede Orlinck')).toBe('Ivo Quennick, Orla Tamberly');
		expect(giverOf({}, 'Bede Orlinck')).toBe('');
	});

	it('is whoever had them last, in the order of the clock', () => {
		expect(giverOf({ arrival, custody: { b: toBench, a: fromCrew } }, 'Runa Halstow')).toBe('Bede Orlinck');
	});

	it('is not who takes them: the second bottle comes from the hands that gave the first', () => {
		expect(giverOf({ arrival, custody: { a: fromCrew, b: toBench } }, 'Bede Orlinck')).toBe('Tam Ferrow');
		const alone = { from: 'Ivo Quennick', to: 'Bede Orlinck', at: '2026-05-14T13:00:00.000Z' };
		expect(giverOf({ arrival, custody: { b: alone } }, 'Bede Orlinck')).toBe('Ivo Quennick');
	});
});
