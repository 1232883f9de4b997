import { describe, expect, it } from 'vitest';
import { shelfOrder, textsOf, type ShelfRow } from './shelf-order';

const row = (id: string, texts: Record<string, string>, endedOn: string | null = null): ShelfRow => ({
	id,
	name: id,
	texts,
	unit: '',
	endedOn,
	doubts: []
});
const rows = [
	row('a', { code: 'KE10', stream: 'Kell', km: '' }),
	row('b', { code: 'KE2', stream: 'Kell', km: '3.5' }),
	row('c', { code: 'MB1', stream: 'Moss Beck', km: '12' }, '2026-01-01')
];
const wanted = { search: '', filter: null, sort: { field: 'code', descending: false }, withEnded: true };
const ids = (list: readonly ShelfRow[]) => list.map((r) => r.id).join('');

describe('a shelf of the library', () => {
	it('is in the order a person counts in, whatever is empty last', () => {
		expect(ids(shelfOrder(rows, wanted))).toBe('bac');
		expect(ids(shelfOrder(rows, { ...wanted, sort: { field: 'code', descending: true } }))).toBe('cab');
		expect(ids(shelfOrder(rows, { ...wanted, sort: { field: 'km', descending: true } }))).toBe('cba');
	});

	it('sorts a field of numbers by what they are', () => {
		const depths = ['0.5', '0.05', '-2', '', '10'].map((depth, i) => row('abcde'[i]!, { depth }));
		const sort = { field: 'depth', descending: false, isNumber: true };
		expect(ids(shelfOrder(depths, { ...wanted, sort }))).toBe('cbaed');
	});

	it('is searched by every word, in any field', () => {
		expect(ids(shelfOrder(rows, { ...wanted, search: 'kell 3.5' }))).toBe('b');
		expect(ids(shelfOrder(rows, { ...wanted, search: 'kell 3,5' }))).toBe('b');
		expect(ids(shelfOrder(rows, { ...wanted, search: 'kell beck' }))).toBe('');
	});

	it('is filtered, and leaves out what has ended', () => {
		expect(ids(shelfOrder(rows, { ...wanted, filter: { field: 'stream', text: 'Kell' } }))).toBe('ba');
		expect(ids(shelfOrder(rows, { ...wanted, withEnded: false }))).toBe('ba');
		expect(textsOf(rows, 'stream')).toEqual(['Kell', 'Moss Beck']);
	});
});
