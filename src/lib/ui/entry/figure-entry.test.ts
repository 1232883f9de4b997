import { describe, expect, it, vi } from 'vitest';
import { parameters, type KnownCode } from '$lib/core/quantity';
import { FigureEntry } from './figure-entry.svelte';
import { pressed } from './keypad-text';

const LEFT = 'readings/dissolved-oxygen/left';
const RIGHT = 'readings/dissolved-oxygen/right';
function entry(code: KnownCode = 'dissolved-oxygen', unit: ConstructorParameters<typeof FigureEntry>[1] = 'mg_L') {
	const drafted = vi.fn();
	const typing = new FigureEntry(parameters[code], unit, drafted);
	typing.choose(LEFT);
	return { typing, drafted };
}

describe('typing a figure', () => {
	it('keeps what was read, with the instrument that gave it', () => {
		const { typing } = entry();
		typing.type('9,8');
		expect(typing.take('M-2')).toEqual({ value: 9.8, unit: 'mg_L', instrument: 'M-2' });
		expect(typing.take(null)).toEqual({ value: 9.8, unit: 'mg_L' });
	});
	it('knows below and over', () => {
		const { typing } = entry();
		typing.type('<0.5');
		typing.take(null); // it is asked about, being rare
		expect(typing.take(null)).toEqual({ below: 0.5, unit: 'mg_L' });
	});
	it.each([
		['', /Type a number/],
		['cold', /Only digits/],
		['1..2', /two decimal points/],
		['9 8', /not a number/],
		['−3', /not possible/],
		['98', /not possible/]
	])('“%s” is met with words, and stays', (text, words) => {
		const { typing } = entry();
		typing.type(text);
		expect(typing.take(null)).toBeNull();
		expect(typing.said).toMatch(words);
		expect(typing.text).toBe(text);
	});
	it('asks once about a figure that is rare, and takes it the second time', () => {
		const { typing } = entry();
		typing.type('22');
		expect(typing.take(null)).toBeNull();
		expect(typing.said).not.toBeNull();
		expect(typing.take(null)).toMatchObject({ value: 22 });
	});
	it('asks anew where the text has changed since', () => {
		const { typing } = entry();
		typing.type('22');
		typing.take(null);
		typing.type('23');
		expect(typing.said).toBeNull();
		expect(typing.take(null)).toBeNull();
	});
	it('judges in the unit that is being read in', () => {
		const { typing } = entry('water-temperature', 'degC');
		typing.type('52');
		expect(typing.take(null)).toBeNull();
		typing.unit = 'degF';
		expect(typing.take(null)).toEqual({ value: 52, unit: 'degF' });
	});
	it('hands every letter on, so that none is lost', () => {
		const { typing, drafted } = entry();
		typing.press('9');
		typing.press('.');
		typing.press('8');
		expect(drafted.mock.calls).toEqual([
			[LEFT, '9'],
			[LEFT, '9.'],
			[LEFT, '9.8']
		]);
	});
	it('goes from place to place, each with its own text', () => {
		const { typing } = entry();
		typing.type('9.8');
		typing.choose(RIGHT);
		expect(typing.text).toBe('');
		typing.type('9.6');
		typing.choose(LEFT);
		expect(typing.text).toBe('9.8');
	});
	it('shows what another tab types until a hand types here', () => {
		const { typing } = entry();
		typing.resume({ [LEFT]: '9.' }, [LEFT, RIGHT]);
		expect(typing.text).toBe('9.');
		typing.resume({}, [LEFT, RIGHT]);
		expect(typing.text).toBe('');
		typing.type('9.8');
		typing.resume({ [LEFT]: '7' }, [LEFT, RIGHT]);
		expect(typing.text).toBe('9.8');
	});
});

describe('the keys of the pad', () => {
	it.each([
		['9', '8', '98'],
		['98', 'back', '9'],
		['', 'back', ''],
		['9', '.', '9.'],
		['9.8', '.', '9.8'],
		['9,8', '.', '9,8'],
		['9', '<', '<9'],
		['<9', '<', '9'],
		['<9', '>', '>9'],
		['9', '−', '−9'],
		['−9', '−', '9'],
		['-9', '−', '9'],
		['<9', '−', '<−9'],
		['123456789', '0', '123456789']
	])('“%s” and %s make “%s”', (text, key, made) => expect(pressed(text, key)).toBe(made));
});
