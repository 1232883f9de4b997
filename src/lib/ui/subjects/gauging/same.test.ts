import { expect, it } from 'vitest';
import { Same } from './same';

it('gives the object of before where nothing changed, and a new one where something did', () => {
	const same = new Same<{ id: string; text: string }>();
	const [a, b] = same.of([
		{ id: 'a', text: '1' },
		{ id: 'b', text: '2' }
	]);
	const again = same.of([
		{ id: 'b', text: '3' },
		{ id: 'a', text: '1' },
		{ id: 'c', text: '4' }
	]);
	expect(again[1]).toBe(a);
	expect(again[0]).not.toBe(b);
	expect(again.map((x) => x.text)).toEqual(['3', '1', '4']);
});
