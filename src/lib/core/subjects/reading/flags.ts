import {
	convert,
	parameterOf,
	significant,
	units,
	writeFigure,
	writeFixed,
	writeNumber,
	type Figure,
	type ParameterCode,
	type Unit
} from '../../quantity';
import { doubtKind } from '../flag';
import { lower, nameOf, sayShown, type SaidIn } from '../say';

/** Bounds in a unit. */
export interface Bounds {
	low: number;
	high: number;
	unit: Unit;
}
/**
 * What a figure is held against: what visits here have seen, what is usual anywhere, or what the other verticals of
 * its section show.
 */
export type HeldAgainst = { visits: number } | { verticals: number } | 'usual' | 'places';

export interface UnitSlip {
	/** What was measured: a parameter, or a field of a vertical. */
	of: ParameterCode | 'depth' | 'velocity' | 'distance';
	seen: Figure;
	/** What it would be without the slip, in the unit that it was typed in. */
	instead: { value: number; unit: Unit };
	within: Bounds;
	from: HeldAgainst;
	/** The same as it would be typed. */
	retype: { value: number; unit: Unit };
	/** Which field of a vertical is meant. */
	field?: string;
}

const verticalWords = { depth: 'Depth', velocity: 'Velocity', distance: 'Tape' } as const;
const sayOf = (of: UnitSlip['of'], units: SaidIn) =>
	of in verticalWords ? verticalWords[of as 'depth'] : nameOf(of as ParameterCode, units);
const bare = (n: number, unit: Unit, digits = 3) => `${significant(n, digits)} ${units[unit].symbol}`.replace('-', '−');

/** The unit that was read where another was asked for, inside a sentence. */
const unitRead: Partial<Record<Unit, string>> = {
	degC: 'it was read in Celsius',
	degF: 'it was read in Fahrenheit',
	m: 'it was read in metres',
	cm: 'it was typed in centimetres',
	ft: 'it was read in feet',
	inch: 'it was read in inches',
	m_s: 'it was read in metres a second',
	ft_s: 'it was read in feet a second',
	mS_cm: 'the meter had gone over to mS/cm',
	uS_cm: 'the meter had gone over to µS/cm',
	ug_L: 'it was read in µg/L',
	mg_L_NO3: 'it was read as nitrate and not as N',
	mg_L_NO2: 'it was read as nitrite and not as N',
	mg_L_PO4: 'it was read as phosphate and not as P'
};
function saySlip({ instead, retype, seen }: UnitSlip): string {
	if (retype.unit !== instead.unit)
		return `If ${unitRead[retype.unit] ?? `it was read in ${units[retype.unit].symbol}`},`;
	const was = 'value' in seen ? seen.value : Infinity;
	return `With the point one place to the ${Math.abs(retype.value) < Math.abs(was) ? 'left' : 'right'},`;
}

function sayFrom(from: HeldAgainst): string {
	if (from === 'usual') return 'the usual range';
	if (from === 'places') return 'where the other verticals stand';
	return 'visits' in from
		? `what ${from.visits} visits here have seen`
		: `what the other ${from.verticals} verticals show`;
}

/** A bound of what visits to a site have seen, in the unit that the program shows and the digits of the parameter. */
function sayBound(n: number, code: ParameterCode, { shown, own }: SaidIn): string {
	const { unit: kept, decimals } = parameterOf(code, own);
	const unit = shown?.[code] ?? kept;
	const there = convert(n, kept, unit);
	return `${decimals > 2 ? significant(there, 3) : writeFixed(there, decimals)} ${units[unit].symbol}`;
}
function sayApart(n: number, code: ParameterCode, { own }: SaidIn): string {
	const { unit, decimals } = parameterOf(code, own);
	return `${writeFixed(n, decimals)} ${units[unit].symbol}`.trim();
}

export const readingFlags = {
	implausible: doubtKind<{ parameter: ParameterCode; seen: Figure; usual: Bounds }>(
		'ask',
		(e, said) =>
			`${nameOf(e.parameter, said)} of ${writeFigure(e.seen)} is possible but rare; usual is ` +
			`${writeNumber(e.usual.low)} to ${writeNumber(e.usual.high)} ${units[e.usual.unit].symbol}. Read it again, ` +
			'or keep it if it stands.'
	),
	'outside-history': doubtKind<{ parameter: ParameterCode; seen: Figure; low: number; high: number; visits: number }>(
		'ask',
		(e, said) =>
			`${nameOf(e.parameter, said)} of ${sayShown(e.seen, e.parameter, said)} lies outside what ${e.visits} visits ` +
			`here have seen (${sayBound(e.low, e.parameter, said)} to ${sayBound(e.high, e.parameter, said)}). Read it ` +
			'again, or keep it if it stands.'
	),
	'replicates-apart': doubtKind<{
		parameter: ParameterCode;
		spread: number;
		limit: number;
		readings: number;
		isByPlace: boolean;
	}>(
		'ask',
		(e, said) =>
			`The ${e.readings} readings of ${lower(nameOf(e.parameter, said))} lie ${sayApart(e.spread, e.parameter, said)} apart; within ${sayApart(e.limit, e.parameter, said)} is usual. ${
				e.isByPlace
					? 'Do they differ by place? Go back to the first: if it reads as before, the stream differs, and all of ' +
						'them stand. If not, wait until the figure stands still.'
					: 'Wait until the figure stands still, and read once more.'
			}`
	),
	'open-both-ways': doubtKind<{ parameter: ParameterCode }>(
		'spoils',
		(e, said) => `${nameOf(e.parameter, said)}: one reading is below a limit and one above, so no mean can be given.`
	),
	'unit-slip': doubtKind<UnitSlip>('ask', (e, said) => {
		const digits = e.of in verticalWords ? 2 : 3;
		const [low, high] = [bare(e.within.low, e.within.unit, digits), bare(e.within.high, e.within.unit, digits)];
		return (
			`${sayOf(e.of, said)} of ${writeFigure(e.seen)} lies outside ${low} to ${high}, ${sayFrom(e.from)}. ` +
			`${saySlip(e)} it would be ${bare(e.instead.value, e.instead.unit, digits)}, which lies within. Look again; if ` +
			'so, strike it and type it anew.'
		);
	}),
	'beyond-meter': doubtKind<{
		parameter: ParameterCode | 'velocity';
		seen: Figure;
		instrument: string;
		measures: Bounds;
	}>(
		'ask',
		(e, said) =>
			`${e.parameter === 'velocity' ? 'Velocity' : nameOf(e.parameter, said)} of ${writeFigure(e.seen)} lies ` +
			`outside what ${e.instrument} can measure (${writeNumber(e.measures.low)} to ${writeNumber(e.measures.high)} ` +
			`${units[e.measures.unit].symbol}).`
	),
	'finer-than-instrument': doubtKind<{ parameter: ParameterCode; seen: Figure; instrument: string; step: number }>(
		'ask',
		(e, said) =>
			`${nameOf(e.parameter, said)} of ${writeFigure(e.seen)} is finer than ${e.instrument} can show; it reads to ` +
			`the nearest ${writeNumber(e.step)} ${units[parameterOf(e.parameter, said.own).unit].symbol}.`
	),
	'calibration-missing': doubtKind<{ instrument: string; parameter: ParameterCode }>(
		'ask',
		(e, said) =>
			`${e.instrument} has no calibration for ${lower(nameOf(e.parameter, said))} on record. Calibrate it, or name ` +
			'another instrument.'
	),
	'calibration-old': doubtKind<{ instrument: string; parameter: ParameterCode; days: number; limit_days: number }>(
		'ask',
		(e, said) =>
			`${e.instrument} was calibrated for ${lower(nameOf(e.parameter, said))} ` +
			`${e.days === 1 ? 'a day' : `${writeFixed(e.days, 0)} days`} before this reading; ${e.limit_days} is the ` +
			'most. Calibrate it again.'
	)
};
