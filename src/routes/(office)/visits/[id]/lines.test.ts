import { expect, it } from 'vitest';
import { fold, type Entry } from '$lib/core/logbook';
import { aLine } from '../../../../../tests/a-line';
import { logLines } from './lines';

it('a struck signature says why it was struck, and is not drawn again', () => {
	const signed = aLine(1, 0, 'custody/a/signature', 'M1 1L2 2');
	const struck: Entry = { ...aLine(2, 1000, signed.path, 'not my hand', signed.id), op: 'strike' };
	expect(logLines(fold([signed, struck]), 'UTC')).toMatchObject([
		{ text: 'signed', drawing: 'M1 1L2 2' },
		{ text: 'not my hand', drawing: null }
	]);
});
