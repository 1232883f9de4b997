import { convert, type Parameter, type Unit } from '../quantity';

/** A figure that would lie where it belongs if one usual slip had been made. */
export interface SlipGuess {
	/** What it would be then, in the unit the figure was typed in. */
	instead: number;
	/** The same as it would be typed after striking: the unit that was read, or the point moved. */
	retype: { value: number; unit: Unit };
}

export interface Range {
	low: number;
	high: number;
}

/** Units that people type where another was asked for. */
const mistakenFor: Partial<Record<Unit, readonly Unit[]>> = {
	degC: ['degF'],
	degF: ['degC'],
	m: ['cm', 'ft'],
	cm: ['m', 'inch'],
	ft: ['m'],
	m_s: ['ft_s'],
	ft_s: ['m_s'],
	uS_cm: ['mS_cm'],
	mS_cm: ['uS_cm'],
	mg_L: ['ug_L'],
	mg_L_N: ['mg_L_NO3', 'mg_L_NO2'],
	mg_L_P: ['mg_L_PO4']
};

/**
 * Far enough outside a range that a slip is likelier than a strange day: half as much again as its top, half its
 * bottom, or half its width away.
 */
function isFarOutside(number: number, { low, high }: Range): boolean {
	const width = high - low;
	if (number > high) return number > high * 1.5 || number > high + width / 2;
	return number < low && (low > 0 ? number < low / 2 : number < low - width / 2);
}

/** A number with its point so many places further to the right, without the crumbs of binary arithmetic. */
const moved = (number: number, places: number) => Number((number * 10 ** places).toPrecision(12));

/**
 * Usual slips that would explain a figure which lies far outside a range: each brings it inside. The likeliest first:
 * a wrong unit before a lost point. Empty where the figure does not lie far out, or no slip explains it. Never a
 * correction: the person looks again.
 */
export function slipGuesses(number: number, unit: Unit, { low, high }: Range): SlipGuess[] {
	if (!isFarOutside(number, { low, high })) return [];
	const guesses: SlipGuess[] = [
		...(mistakenFor[unit] ?? []).map((typed) => ({
			instead: convert(number, typed, unit),
			retype: { value: number, unit: typed }
		})),
		...[-1, 1].map((places) => ({
			instead: moved(number, places),
			retype: { value: moved(number, places), unit }
		}))
	];
	return guesses.filter((g) => g.instead >= low && g.instead <= high);
}

/** The same for a parameter's reading, its range given in the parameter's own unit. */
export function readingSlips({ unit: own }: Parameter, number: number, unit: Unit, range: Range): SlipGuess[] {
	const [a, b] = [convert(range.low, own, unit), convert(range.high, own, unit)];
	return slipGuesses(number, unit, { low: Math.min(a, b), high: Math.max(a, b) });
}
