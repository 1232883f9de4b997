import { ways } from '../quality';
import type { Finding } from './outcome';

/*
 * A determination is one parameter, found in one way, from one thing. A visit keeps all of them; which one of a parameter is
 * reported is chosen by the rule below, or by a reviewer.
 */

/**
 * Where a finding stands in the order of reporting, the lowest first: an accredited lab before what is done at a table
 * or at the stream; for flow a section before what needs a coefficient; a meter before drops that are counted, and both before
 * a colour that is compared; what follows from another figure comes last. A meter whose calibration is out stands back behind
 * the titration.
 */
export function rankOf({ way }: Pick<Finding, 'way'>, isCalibrationOut: boolean): number {
	const rank = ways.indexOf(way);
	return way === 'meter' && isCalibrationOut ? ways.indexOf('titration') + 0.5 : rank;
}

/** What tells the determinations of one parameter apart, for ever: the place in the sheet where each comes from, as one word. */
export const sourceOf = (place: string): string => place.replaceAll('/', '.');
