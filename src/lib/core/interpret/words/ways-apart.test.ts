import { describe, expect, it } from 'vitest';
import { waysApart } from '../../quality';
import { sayMethodLine, sayWaysApart } from './ways-apart';

const of = { name: 'E. coli', unit: 'cfu_100mL', decimals: 0, first: 'plates', second: 'lab' } as const;
const pairs = (values: readonly (readonly [number, number])[]) =>
	values.map(([first, second], i) => ({ at_ms: i, first, second }));

describe('two ways in words', () => {
	it('asks for more of few pairs', () => {
		expect(sayWaysApart(waysApart(pairs([[3, 2]]), 'ratio'), of)).toEqual([
			'1 pair so far: from 6 on something can be said.'
		]);
	});
	it('says which reads higher, by how much at least and at most, and what to do', () => {
		const told = sayWaysApart(
			// prettier-ignore
			waysApart(pairs([[120, 100], [250, 200], [62, 50], [480, 400], [90, 80], [330, 270]]), 'ratio'),
			of
		);
		expect(told[0]).toMatch(/^By plates, E\. coli reads 2\d % higher than by the lab, between 1\d and 2\d %\.$/);
		expect(told.at(-1)).toContain('Nothing is put right by it.');
	});
	it('says the slope of the line with its interval, of pairs enough', () => {
		const apart = waysApart(pairs([1, 2, 4, 8, 16, 32].map((v) => [1.2 * v, v] as const)), 'ratio');
		expect(sayMethodLine(apart)).toContain('(Deming) has a slope of 1.00, between 1.00 and 1.00.');
		expect(sayMethodLine(waysApart(pairs([[3, 2]]), 'ratio'))).toBeNull();
	});
	it('says that they are alike where chance explains the difference', () => {
		// prettier-ignore
		const alike = waysApart(pairs([[7.1, 7.2], [7.4, 7.3], [8, 8.1], [7.6, 7.5], [6.9, 7], [7.7, 7.6]]), 'difference');
		expect(sayWaysApart(alike, { ...of, name: 'pH', unit: 'pH', decimals: 1, first: 'kit', second: 'meter' })[0]).toBe(
			'By a colour kit and by a meter, pH reads alike as far as 6 pairs can tell: by a colour kit, between 0.1 pH ' +
				'lower and 0.1 pH higher.'
		);
	});
});
