import {
	convert,
	figureIn,
	parameterOf,
	units,
	writeFigure,
	writeFixed,
	writeNumber,
	type Figure,
	type OwnParameters,
	type ParameterCode,
	type Unit
} from '../quantity';
import type { WaterUnits } from '../safety';

/**
 * The units in which sentences speak: of tape and meter, and of figures where they are not shown in the parameter's
 * own.
 */
export interface SaidIn extends WaterUnits {
	shown?: Partial<Record<ParameterCode, Unit>> | undefined;
	/** What the card says of parameters that are the program's own. */
	own?: OwnParameters | undefined;
}
export const METRIC: SaidIn = { tape: 'm', velocity: 'm_s' };

/** A name inside a sentence; pH and E. coli stay as they are. */
export const lower = (name: string): string =>
	/^[A-Z][a-z]/.test(name) ? name.charAt(0).toLowerCase() + name.slice(1) : name;

export const nameOf = (code: ParameterCode, { own }: Pick<SaidIn, 'own'>): string => parameterOf(code, own).name;

/** A distance or depth, given in metres. */
export const sayLength = (m: number, { tape }: SaidIn, decimals = 3): string =>
	`${writeNumber(Number(convert(m, 'm', tape).toFixed(decimals)))} ${units[tape].symbol}`;

/** A velocity, given in metres a second. */
export const saySpeed = (m_s: number, { velocity }: SaidIn, decimals = 3): string =>
	`${writeNumber(Number(convert(m_s, 'm_s', velocity).toFixed(decimals)))} ${units[velocity].symbol}`;

export const sayPercent = (percent: number, decimals = 0): string => `${writeFixed(percent, decimals)} %`;

/** A time that passed: seconds, minutes, hours, whichever is short. */
export function saySeconds(s: number): string {
	if (s < 120) return `${writeFixed(s, 0)} s`;
	return s < 7200 ? `${writeFixed(s / 60, 0)} min` : `${writeFixed(s / 3600, 1)} h`;
}

/**
 * A figure of a parameter in the unit in which the program shows it, in the parameter's own decimals and never fewer
 * than read.
 */
export function sayShown(figure: Figure, code: ParameterCode, { shown, own }: SaidIn): string {
	const unit = shown?.[code];
	return writeFigure(unit === undefined ? figure : figureIn(figure, unit), parameterOf(code, own).decimals);
}

/** As often as it was done. */
export function sayTimes(n: number): string {
	if (n === 0) return 'not at all';
	return n === 1 ? 'once' : `${n} times`;
}
