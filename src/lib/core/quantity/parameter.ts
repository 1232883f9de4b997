import { z } from 'zod';
import { amount, figureIn, type Figure } from './figure';
import { writeNumber } from './number-style';
import { isOwnCode, OwnCode, type OwnParameters } from './own-parameter';
import { areAlike, ionOf, units, type Ion, type Unit } from './unit';

/**
 * What is measured, in which unit it is kept and judged, how finely it is shown, and two ranges:
 * `possible` (outside it a figure is a slip of the pen and refused) and `plausible` (outside it the person is asked).
 */
export interface Parameter {
	readonly name: string;
	readonly unit: Unit;
	/** The ion it is a concentration of, where a unit could name another. */
	readonly ion?: Ion;
	readonly decimals: number;
	readonly possible: readonly [number, number];
	readonly plausible: readonly [number, number];
	/** A method finds it or finds it below its limit; "0" is neither. */
	readonly isNeverNought?: boolean | undefined;
	/** It is read in a way of its own, by a subject of its own, and not off any instrument. */
	readonly hasOwnSubject?: boolean;
}

export const parameters = {
	'air-temperature': { name: 'Air temperature', unit: 'degC', decimals: 1, possible: [-60, 60], plausible: [-25, 40] },
	'water-temperature': {
		name: 'Water temperature',
		unit: 'degC',
		decimals: 1,
		possible: [-2, 45],
		plausible: [-0.5, 30]
	},
	'dissolved-oxygen': { name: 'Dissolved oxygen', unit: 'mg_L', decimals: 1, possible: [0, 40], plausible: [1, 18] },
	'oxygen-saturation': {
		name: 'Oxygen saturation',
		unit: 'percent',
		decimals: 0,
		possible: [0, 400],
		plausible: [20, 140]
	},
	// brines of salt lakes and evaporation ponds reach 250 mS/cm
	conductivity: {
		name: 'Conductivity, as read',
		unit: 'uS_cm',
		decimals: 0,
		possible: [0, 250_000],
		plausible: [10, 3000]
	},
	conductance25: {
		name: 'Specific conductance',
		unit: 'uS_cm',
		decimals: 0,
		possible: [0, 300_000],
		plausible: [10, 3500]
	},
	salinity: { name: 'Salinity', unit: 'PSU', decimals: 1, possible: [0, 120], plausible: [0, 42] },
	ph: { name: 'pH', unit: 'pH', decimals: 1, possible: [0, 14], plausible: [5, 9.5] },
	'tube-depth': {
		name: 'Clarity in the tube',
		unit: 'cm',
		decimals: 0,
		possible: [0, 200],
		plausible: [3, 120],
		hasOwnSubject: true
	},
	// on a board whose zero lies anywhere
	'water-level': {
		name: 'Water level',
		unit: 'm',
		decimals: 2,
		possible: [-10, 30],
		plausible: [-0.5, 6],
		hasOwnSubject: true
	},
	'disc-depth': {
		name: 'Secchi depth',
		unit: 'm',
		decimals: 2,
		possible: [0, 40],
		plausible: [0.1, 8],
		hasOwnSubject: true
	},
	turbidity: { name: 'Turbidity from the tube', unit: 'NTU', decimals: 0, possible: [0, 10_000], plausible: [0, 500] },
	discharge: { name: 'Discharge', unit: 'm3_s', decimals: 3, possible: [-100, 1000], plausible: [0, 20] },
	'e-coli': {
		name: 'E. coli',
		unit: 'cfu_100mL',
		decimals: 0,
		possible: [0, 1e8],
		plausible: [0, 50_000],
		isNeverNought: true
	},
	'taxa-richness': {
		name: 'Taxa richness',
		unit: 'one',
		decimals: 0,
		possible: [0, 300],
		plausible: [1, 60],
		hasOwnSubject: true
	},
	'ept-richness': {
		name: 'EPT richness',
		unit: 'one',
		decimals: 0,
		possible: [0, 200],
		plausible: [0, 35],
		hasOwnSubject: true
	},
	'biotic-index': {
		name: 'Family biotic index',
		unit: 'one',
		decimals: 2,
		possible: [0, 10],
		plausible: [0.5, 9.5],
		hasOwnSubject: true
	},
	'score-per-taxon': {
		name: 'Average score per taxon',
		unit: 'one',
		decimals: 2,
		possible: [0, 10],
		plausible: [1, 9],
		hasOwnSubject: true
	},
	'rarefied-richness': {
		name: 'Rarefied richness',
		unit: 'one',
		decimals: 1,
		possible: [0, 300],
		plausible: [1, 45],
		hasOwnSubject: true
	},
	'animals-in-sample': {
		name: 'Animals in the sample',
		unit: 'one',
		decimals: 0,
		possible: [0, 1e6],
		plausible: [0, 50_000],
		hasOwnSubject: true
	},
	nitrate: {
		name: 'Nitrate',
		unit: 'mg_L_N',
		ion: 'nitrate',
		decimals: 2,
		possible: [0, 500],
		plausible: [0, 15],
		isNeverNought: true
	},
	nitrite: {
		name: 'Nitrite',
		unit: 'mg_L_N',
		ion: 'nitrite',
		decimals: 3,
		possible: [0, 50],
		plausible: [0, 0.5],
		isNeverNought: true
	},
	'nitrate-nitrite': {
		name: 'Nitrate and nitrite',
		unit: 'mg_L_N',
		decimals: 2,
		possible: [0, 500],
		plausible: [0, 15],
		isNeverNought: true
	},
	ammonium: {
		name: 'Ammonium',
		unit: 'mg_L_N',
		ion: 'ammonium',
		decimals: 2,
		possible: [0, 200],
		plausible: [0, 2],
		isNeverNought: true
	},
	phosphate: {
		name: 'Phosphate',
		unit: 'mg_L_P',
		ion: 'phosphate',
		decimals: 2,
		possible: [0, 100],
		plausible: [0, 1],
		isNeverNought: true
	},
	'total-phosphorus': {
		name: 'Total phosphorus',
		unit: 'mg_L_P',
		decimals: 2,
		possible: [0, 200],
		plausible: [0, 2],
		isNeverNought: true
	}
} as const satisfies Record<string, Parameter>;

export type KnownCode = keyof typeof parameters;
export const parameterCodes = Object.keys(parameters) as [KnownCode, ...KnownCode[]];

/** What names a parameter in a path, a card, a file: one known here, or one of the program's own. */
export const ParameterCode = z.union([z.enum(parameterCodes), OwnCode], { error: 'not the name of a parameter' });
export type ParameterCode = KnownCode | OwnCode;
export const isKnownCode = (word: string): word is KnownCode => Object.hasOwn(parameters, word);
export const isParameterCode = (word: string): word is ParameterCode => isKnownCode(word) || isOwnCode(word);

/** All parameters there are for a card or a program: those known here, then its own. */
export const codesWith = (own: OwnParameters | undefined): ParameterCode[] => [
	...parameterCodes,
	...(Object.keys(own ?? {}) as OwnCode[])
];

/** Parameters in the order in which they are listed: as known here, then the program's own by their codes. */
export const inUsualOrder = (codes: readonly ParameterCode[]): ParameterCode[] => [
	...parameterCodes.filter((code) => codes.includes(code)),
	...[...new Set(codes.filter((code) => !isKnownCode(code)))].sort()
];

/**
 * A parameter by its code, one of the program's own among the definitions given. Where those lack it (a card that
 * does not read it any more) it goes by its code: figures of it are still shown, and none is judged.
 */
export function parameterOf(code: ParameterCode, own: OwnParameters | undefined): Parameter {
	if (isKnownCode(code)) return parameters[code];
	return own?.[code] ?? unknownParameter(code);
}

const EVERYTHING = [-Infinity, Infinity] as const;
const unknownParameter = (code: OwnCode): Parameter => ({
	name: code.slice('own-'.length).replaceAll('-', ' '),
	unit: 'one',
	decimals: 2,
	possible: EVERYTHING,
	plausible: EVERYTHING
});

const span = ([low, high]: readonly [number, number], symbol: string) =>
	`${writeNumber(low)} to ${writeNumber(high)} ${symbol}`.trim();

/** Whether a parameter's figures can be typed or shown in a unit: of its dimension, and not of another ion. */
export function isUnitOf(parameter: Pick<Parameter, 'unit' | 'ion'>, unit: Unit): boolean {
	const ion = ionOf(unit);
	return areAlike(unit, parameter.unit) && (ion === null || parameter.ion === undefined || ion === parameter.ion);
}

/** A figure in a parameter's own unit; null where it is in a unit of another kind. */
export const figureOf = (parameter: Parameter, figure: Figure): Figure | null =>
	isUnitOf(parameter, figure.unit) ? figureIn(figure, parameter.unit) : null;

/** Why this figure cannot be one of this parameter (a wrong unit, a number no stream has), or null. */
export function whyImpossible(parameter: Parameter, figure: Figure): string | null {
	if (!isUnitOf(parameter, figure.unit))
		return (
			`${parameter.name} is kept in ${units[parameter.unit].symbol}; ${units[figure.unit].symbol} is another ` +
			'kind of unit'
		);
	const { number } = amount(figureIn(figure, parameter.unit));
	if (parameter.isNeverNought && number === 0)
		return (
			`${parameter.name} of 0 says nothing: not detected is “below” the limit of the method. Put < ` +
			'before the limit'
		);
	const [low, high] = parameter.possible;
	if (number >= low && number <= high) return null;
	return (
		`${parameter.name} of ${writeNumber(number)} ${units[parameter.unit].symbol} is not possible: ` +
		span(parameter.possible, units[parameter.unit].symbol)
	);
}

/** True when a possible figure is still unlikely enough to ask the person about. */
export function isImplausible(parameter: Parameter, figure: Figure): boolean {
	const { number } = amount(figureIn(figure, parameter.unit));
	return number < parameter.plausible[0] || number > parameter.plausible[1];
}

/** The usual range in words, for the question that follows an unlikely figure. */
export const plausibleRange = (parameter: Parameter): string => span(parameter.plausible, units[parameter.unit].symbol);
