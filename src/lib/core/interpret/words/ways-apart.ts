import { units, writeFixed, type Unit, type Way } from '../../quantity';
import { LEAST_PAIRS, type WaysApart } from '../../quality';
import { counted, wayWords } from '../../wording';

/** How far apart two ways of a parameter are, in sentences that a person can act on. */
export function sayWaysApart(
	{ bias, limits, growth, scale, isTold, n }: WaysApart,
	{ name, unit, decimals, first, second }: { name: string; unit: Unit; decimals: number; first: Way; second: Way }
): string[] {
	if (bias === null || n < LEAST_PAIRS)
		return [`${counted(n, 'pair')} so far: from ${LEAST_PAIRS} on something can be said.`];
	const symbol = scale === 'ratio' ? '%' : units[unit].symbol;
	const digits = (value: number) => writeFixed(Math.abs(value), scale === 'ratio' ? 0 : decimals);
	const range = (values: readonly number[]) => `${values.map(digits).join(' and ')} ${symbol}`;
	const side = (value: number) => `${digits(value)} ${symbol} ${value < 0 ? 'lower' : 'higher'}`;
	const [a, b] = [wayWords[first], wayWords[second]];
	const between =
		Math.sign(bias.lower) === Math.sign(bias.upper)
			? `between ${range([bias.lower, bias.upper].map(Math.abs).sort((x, y) => x - y))}`
			: `between ${side(bias.lower)} and ${side(bias.upper)}`;
	return [
		isTold
			? `By ${a}, ${name} reads ${side(bias.value)} than by ${b}, ${between}.`
			: `By ${a} and by ${b}, ${name} reads alike as far as ${counted(n, 'pair')} can tell: by ${a}, ${between}.`,
		...(limits === null
			? []
			: [`Of single pairs 19 in 20 lie between ${side(limits.lower)} and ${side(limits.upper)}.`]),
		...(growth === null ? [] : [`The higher the figures, the ${growth} is found by ${a}.`]),
		...(isTold ? [NEXT] : [])
	];
}

const NEXT =
	'Nothing is put right by it. Look for the reason (volume, temperature, time until it was read), and say it beside ' +
	'the figures.';

/** The line through the pairs, for whoever reads such lines; nothing where there are too few for its interval. */
export function sayMethodLine({ line, scale, n }: WaysApart): string | null {
	const { slope, slopeLower, slopeUpper } = line;
	if (n < LEAST_PAIRS || slope === null || slopeLower === null || slopeUpper === null) return null;
	const of = scale === 'ratio' ? 'Through the logarithms' : 'Through the figures';
	return (
		`${of} the line that allows for errors of both (Deming) has a slope of ${writeFixed(slope, 2)}, between ` +
		`${writeFixed(slopeLower, 2)} and ${writeFixed(slopeUpper, 2)}.`
	);
}
