import { asWritten, decimalsBorne, rounded, type Step, type Working } from '../../quantity';

/** Figures put in stand as they were typed, which is never in more digits than this; results are given in fewer. */
const MOST_SHOWN = 6;
const MOST_DIGITS = 4;

/** A working as one line: `24 colonies × 100 ÷ 3 mL = 800 per 100 mL, between 510 and 1190 with 95 % confidence`. */
export function sayWorking({ step, unit, interval }: Working): string {
	const borne = interval && interval.upper !== null ? decimalsBorne((interval.upper - interval.lower) / 2) : null;
	const write = (n: number) => (borne === null ? trimmed(n) : rounded(n, borne));
	const line = `${saySteps(step)} = ${write(step.number)}${unit ? ` ${unit}` : ''}`;
	if (!interval) return line;
	const sure = `with ${trimmed(interval.confidence * 100)} % confidence`;
	return interval.upper === null
		? `${line}, at least ${write(interval.lower)} ${sure}`
		: `${line}, between ${write(interval.lower)} and ${write(interval.upper)} ${sure}`;
}

/** The left side alone: what was put in and what was done with it. */
function saySteps(step: Step): string {
	switch (step.kind) {
		case 'given':
			return `${asWritten(String(Number(step.number.toPrecision(MOST_SHOWN))))}${step.word ? ` ${step.word}` : ''}`;
		case 'named':
			return `${step.name} of ${step.of.map((s) => saySteps(s)).join(', ')}`;
		case 'joined': {
			const text = step.of
				.map((s, i) => (needsBrackets(s, step.sign, i === 0) ? `(${saySteps(s)})` : saySteps(s)))
				.join(` ${step.sign} `);
			return text;
		}
	}
}

const isSum = (step: Step) => step.kind === 'joined' && (step.sign === '+' || step.sign === '−');

/**
 * Whether a part would be read wrongly without brackets: a mean among signs, a sum beside × or ÷, anything joined
 * after ÷.
 */
function needsBrackets(part: Step, sign: '+' | '−' | '×' | '÷', isFirst: boolean): boolean {
	if (part.kind !== 'joined') return part.kind === 'named';
	if (isFirst) return isSum(part) && sign !== '+' && sign !== '−';
	if (sign === '÷') return true;
	if (sign === '−') return isSum(part);
	return sign === '×' && (isSum(part) || part.sign === '÷');
}

const trimmed = (n: number) => asWritten(String(Number.isInteger(n) ? n : Number(n.toPrecision(MOST_DIGITS))));
