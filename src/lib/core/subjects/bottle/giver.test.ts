import { describe, expect, it } from 'vitest';
import { giverOf, NOT_SAID } from './giver';

const people = [
	{ initials: 'IQ', name: 'Ivo Quennick' },
	{ initials: 'OT', name: 'Orla Tamberly' }
];
const arrival = { crew: { IQ: {}, OT: {}, ZZ: {} } };
const fromCrew = { from: 'Ivo Quennick', to: 'Tam Ferrow', at: '2026-05-14T12:00:00.000Z' };
const toBench = { from: 'Tam Ferrow', to: 'Bede Orlinck', at: '2026-05-14T13:00:00.000Z' };

describe('who gives the bottles', () => {
	it('is the crew where nobody had them in between', () => {
		expect(giverOf({ arrival }, 'Bede Orlinck', people)).toBe('Ivo Quennick, Orla Tamberly, ZZ');
		expect(giverOf({}, 'Bede Orlinck', people)).toBe('');
		const many = Array.from({ length: 5 }, (_, i) => ({ initials: `C${i}`, name: `Camilla-Corisande ${i}` }));
		const crew = Object.fromEntries(many.map((p) => [p.initials, {}]));
		expect(giverOf({ arrival: { crew } }, 'Bede Orlinck', many)).toBe('C0, C1, C2, C3, C4');
	});

	it('is whoever had them last, in the order of the clock', () => {
		expect(giverOf({ arrival, custody: { b: toBench, a: fromCrew } }, 'Runa Halstow', people)).toBe('Bede Orlinck');
	});

	it('is not who takes them: the second bottle comes from the hands that gave the first', () => {
		expect(giverOf({ arrival, custody: { a: fromCrew, b: toBench } }, 'Bede Orlinck', people)).toBe('Tam Ferrow');
		const alone = { from: 'Ivo Quennick', to: 'Bede Orlinck', at: '2026-05-14T13:00:00.000Z' };
		expect(giverOf({ arrival, custody: { b: alone } }, 'Bede Orlinck', people)).toBe('Ivo Quennick');
	});

	it('is asked anew where nobody said whom the first came from', () => {
		const unsaid = { from: NOT_SAID, to: 'Bede Orlinck', at: '2026-05-14T13:00:00.000Z' };
		expect(giverOf({ arrival: { crew: { IQ: {} } }, custody: { b: unsaid } }, 'Bede Orlinck', people)).toBe(
			'Ivo Quennick'
		);
		expect(giverOf({ custody: { b: unsaid } }, 'Bede Orlinck', people)).toBe('');
	});
});
