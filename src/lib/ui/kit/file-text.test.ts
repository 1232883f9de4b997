import { describe, expect, it } from 'vitest';
import { textOf } from './file-text';

describe('the text of a file', () => {
	it.each([
		['UTF-8', Buffer.from('µg/L;Föhr', 'utf8')],
		['UTF-8 with its mark', Buffer.from('\uFEFFµg/L;Föhr', 'utf8')],
		['UTF-16', Buffer.from('\uFEFFµg/L;Föhr', 'utf16le')],
		['western Windows', Buffer.from('µg/L;Föhr', 'latin1')]
	])('is the same in %s', async (_, bytes) => {
		expect(await textOf(new Blob([new Uint8Array(bytes)]))).toBe('µg/L;Föhr');
	});
});
