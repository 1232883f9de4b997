/*
 * A figure worked out so that its working can be shown. Each step is made by one of the builders below, which reckon
 * its number as they make it; a formula takes its result from the last step. So what is shown and what is used cannot
 * differ.
 */

/** A number put in: `24 colonies`, `3 mL`. Unit or name stand after it, as a person would write them. */
export interface Given {
	kind: 'given';
	number: number;
	word: string;
}

/** Two or more steps put together by one sign. */
export interface Joined {
	kind: 'joined';
	sign: '+' | '−' | '×' | '÷';
	of: Step[];
	number: number;
}

/** Something done to steps that has a name and no sign: the mean of several. */
export interface Named {
	kind: 'named';
	name: 'mean' | 'geometric mean';
	of: Step[];
	number: number;
}

export type Step = Given | Joined | Named;

/** The whole of it: the last step, the unit of its number, and its interval where the method gives one. */
export interface Working {
	step: Step;
	unit: string;
	interval?: { lower: number; upper: number | null; confidence: number };
}

export const given = (number: number, word = ''): Given => ({ kind: 'given', number, word });

function joined(sign: Joined['sign'], of: Step[], reckon: (a: number, b: number) => number): Joined {
	let number = of[0]!.number;
	for (let i = 1; i < of.length; i++) number = reckon(number, of[i]!.number);
	return { kind: 'joined', sign, of, number };
}

export const plus = (...of: [Step, ...Step[]]): Joined => joined('+', of, (a, b) => a + b);
export const minus = (a: Step, b: Step): Joined => joined('−', [a, b], (x, y) => x - y);
export const times = (...of: [Step, ...Step[]]): Joined => joined('×', of, (a, b) => a * b);
export const over = (a: Step, b: Step): Joined => joined('÷', [a, b], (x, y) => x / y);

/** The mean of several; of one, that one. */
export const meanOf = (of: [Step, ...Step[]]): Step =>
	of.length === 1
		? of[0]
		: { kind: 'named', name: 'mean', of, number: of.reduce((sum, step) => sum + step.number, 0) / of.length };

export const geometricMeanOf = (of: [Step, ...Step[]]): Step => ({
	kind: 'named',
	name: 'geometric mean',
	of,
	number: 10 ** (of.reduce((sum, step) => sum + Math.log10(step.number), 0) / of.length)
});

/** Several numbers of one kind added up; the number itself where there is one. */
export function addedUp(numbers: readonly number[], word: string): Step {
	const [first, ...rest] = numbers.map((n) => given(n, word));
	if (!first) throw new RangeError(`nothing to add up: no ${word}`);
	return rest.length === 0 ? first : plus(first, ...rest);
}
