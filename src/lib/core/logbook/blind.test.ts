import { describe, expect, it } from 'vitest';
import type { Entry } from './entry';
import { seenBlind, typesBlind, wholeCopies } from './blind';

let n = 0;
const line = (by: string, path: string, value: unknown, op: Entry['op'] = 'set'): Entry => ({
	id: `01890000-0000-7000-8000-${String(++n).padStart(12, '0')}`,
	visitId: '01890000-0000-7000-8000-00000000aaaa',
	at: `2026-05-14T12:00:${String(n % 60).padStart(2, '0')}.000Z-0000`,
	by,
	device: 'd',
	path,
	op,
	value,
	was: null
});
const opening = (isOnPaper: boolean) =>
	line('ivo', 'opening', {
		siteId: 's',
		cardVersionId: 'c',
		startedAt: '2026-05-14T09:40:00Z',
		...(isOnPaper ? { isOnPaper } : {})
	});

describe('a sheet from paper that two people type', () => {
	const one = [
		opening(true),
		line('ivo', 'readings/ph/main', 7.1),
		line('ivo', 'photos/p/sha256', 'a'),
		line('ivo', 'copies/IQ/startedAt', 'x')
	];

	it('is typed blind by each until the own copy is whole', () => {
		expect(typesBlind(one, 'OT')).toBe(true);
		expect(typesBlind([...one, line('ivo', 'copies/IQ/doneAt', 'x')], 'OT')).toBe(true);
		expect(typesBlind([...one, line('orla', 'copies/OT/doneAt', 'x')], 'OT')).toBe(false);
	});

	it('shows the other which visit it is, the picture, and who is done, and nothing else', () => {
		expect(seenBlind(one, 'orla').map((e) => e.path)).toEqual(['opening', 'photos/p/sha256', 'copies/IQ/startedAt']);
		expect(seenBlind(one, 'ivo')).toEqual(one);
	});

	it('counts each copy that is whole once, however often that was said', () => {
		expect(wholeCopies(one)).toBe(0);
		const done = [...one, line('ivo', 'copies/IQ/doneAt', 'x'), line('ivo', 'copies/IQ/doneAt', 'y')];
		expect(wholeCopies(done)).toBe(1);
		expect(wholeCopies([...done, line('orla', 'copies/OT/doneAt', 'x')])).toBe(2);
	});

	it('that was logged at the stream is hidden from nobody', () => {
		expect(typesBlind([opening(false)], 'OT')).toBe(false);
		expect(typesBlind([], 'OT')).toBe(false);
	});
});
