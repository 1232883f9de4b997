import { describe, expect, it } from 'vitest';
import { sayBlanks } from '..';

const limits = { mean: 0.003, blank: 0.0045, detection: 0.0062 };
const say = (more: Partial<Parameters<typeof sayBlanks>[0]>, under = 0) =>
	sayBlanks({ n: 12, below: 0, limits, ...more }, { under, symbol: 'mg/L as N' });

describe('what blanks say', () => {
	it('is under how much a figure may be nothing, and how many are', () => {
		expect(say({})).toBe(
			'What is found under 0.0062 mg/L as N may be nothing at all. None of the figures of the lab lies under it.'
		);
		expect(say({}, 1)).toMatch(/1 figure of the lab lies under it/);
		expect(say({}, 14)).toMatch(/14 figures of the lab lie under it: they cannot be told from nothing/);
	});
	it('is that more are needed, or that they are clean', () => {
		expect(say({ n: 3, limits: null })).toMatch(/^3 blanks so far: from 7 on/);
		expect(say({ n: 2, below: 9, limits: null })).toMatch(/^Most blanks lie under the lab’s own reporting limit/);
	});
});
