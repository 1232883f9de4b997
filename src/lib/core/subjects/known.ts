import { amount, measured, type Measured, type ParameterCode } from '../quantity';
import type { Determination } from './determination';

/** A figure that others are worked out from. */
export interface Known {
	value: Measured;
	isSimulated: boolean;
}

/** What is reported of a parameter, to be reckoned with; null where there is none. */
export function knownOf(results: readonly Determination[], code: ParameterCode): Known | null {
	const known = results.find((f) => f.parameter === code);
	if (!known) return null;
	const { number, qualifier } = amount(known.figure);
	return { value: measured(number, known.uncertainty, qualifier), isSimulated: known.isSimulated };
}
