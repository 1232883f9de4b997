import { describe, expect, it } from 'vitest';
import { sayWanted } from './wanted';

describe('what was asked for and needs a network', () => {
	it.each([
		['/today', 'Today'],
		['/sites/TE4', 'The page of a site'],
		['/', 'That page'],
		['https://elsewhere', 'That page']
	])('%s is called %s', (path, said) => expect(sayWanted(path)).toBe(said));

	it('is nothing where nothing was asked for', () => expect(sayWanted(null)).toBeNull());
});
