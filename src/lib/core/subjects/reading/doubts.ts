import {
	amount,
	figureIn,
	isImplausible,
	type Figure,
	type Parameter,
	type ParameterCode,
	type Unit
} from '../../quantity';
import { instrumentOf, type Context } from '../context';
import { doubt, type Flag } from '../flags';
import type { Bounds } from './flags';

const DAY_ms = 86_400_000;
const boundsOf = (range: readonly [number, number], unit: Unit): Bounds => ({ low: range[0], high: range[1], unit });

/** What is doubtful about one reading by itself and by its instrument as it stood when it was read. */
export function doubtsOf(
	code: ParameterCode,
	known: Parameter,
	path: string,
	figure: Figure,
	read_ms: number,
	instruments: Context['instruments']
): Flag[] {
	const flags: Flag[] = [];
	const { unit, plausible } = known;
	const at = { path, parameter: code };
	if (isImplausible(known, figure))
		flags.push(doubt('implausible', at, { parameter: code, seen: figure, usual: boundsOf(plausible, unit) }));
	const instrument = instrumentOf(instruments, figure.instrument);
	const measures = instrument?.measures[code];
	if (!instrument || !measures) return flags;
	const { number } = amount(figureIn(figure, unit));
	if (number < measures.low || number > measures.high)
		flags.push(
			doubt('beyond-meter', at, {
				parameter: code,
				seen: figure,
				instrument: instrument.code,
				measures: { low: measures.low, high: measures.high, unit }
			})
		);
	if (measures.resolution !== undefined && isFiner(figure, unit, measures.resolution))
		flags.push(
			doubt('finer-than-instrument', at, {
				parameter: code,
				seen: figure,
				instrument: instrument.code,
				step: measures.resolution
			})
		);
	if (measures.calibrationDays !== undefined)
		flags.push(...calibrationDoubt(code, path, instrument, measures.calibrationDays, read_ms));
	return flags;
}

/** Whether a figure, read in the parameter's own unit, falls between the marks of its instrument. */
function isFiner(figure: Figure, unit: Unit, step: number): boolean {
	if (figure.unit !== unit) return false; // what another unit leaves behind the point is no fault of the reader
	const { number, qualifier } = amount(figure);
	if (qualifier !== null) return false; // a limit says where a method ends, not what was read
	const marks = number / step;
	return Math.abs(marks - Math.round(marks)) > 1e-6;
}

function calibrationDoubt(
	code: ParameterCode,
	path: string,
	instrument: Context['instruments'][string],
	limit_days: number,
	at_ms: number
): Flag[] {
	const last = instrument.calibratedAt[code];
	const at = { path, parameter: code };
	const evidence = { instrument: instrument.code, parameter: code };
	if (last === undefined) return [doubt('calibration-missing', at, evidence)];
	const days = Math.floor((at_ms - Date.parse(last)) / DAY_ms);
	return days > limit_days ? [doubt('calibration-old', at, { ...evidence, days, limit_days })] : [];
}
