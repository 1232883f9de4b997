import { describe, expect, it } from 'vitest';
import { keyOf, meantBy } from './tray-keys';

const press = (key: string, over: Partial<KeyboardEvent> = {}) =>
	meantBy({ key, repeat: false, ctrlKey: false, metaKey: false, altKey: false, ...over });

describe('keys at the tray', () => {
	it('tap the compartment that shows them, also with the shift key down', () => {
		for (let i = 0; keyOf(i) !== null; i++) expect(press(keyOf(i)!)).toEqual({ tap: i });
		expect(press('A')).toEqual(press('a'));
		expect(keyOf(35)).toBe(null);
	});
	it('strike the last tap, and ask for another kind', () => {
		expect(press('Backspace')).toBe('undo');
		expect(press('+')).toBe('other');
	});
	it('mean nothing when held down, with a control key, or elsewhere on the board', () => {
		expect(press('1', { repeat: true })).toBe(null);
		for (const with_ of ['ctrlKey', 'metaKey', 'altKey'] as const) expect(press('1', { [with_]: true })).toBe(null);
		for (const key of ['Tab', 'Enter', ' ', 'ArrowDown', 'ß', '']) expect(press(key)).toBe(null);
	});
});
