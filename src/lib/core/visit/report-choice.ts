import { ways, type Way } from '../quantity';
import type { Finding } from '../subjects/determination';
import type { Flag } from '../subjects/flags';

/*
 * Which of a parameter's determinations is reported: the rule, as data that can be read. A reviewer may choose another
 * (reviews.ts), and what a reviewer rejected is never reported while there is another.
 */

/** A gauging that was made again stands behind everything. */
const AGAIN = 1000;

/**
 * Where a finding stands in the order of reporting, the lowest first: an accredited lab before what is done at a
 * table or at the stream; for flow a section before what needs a coefficient; a meter before drops that are counted,
 * and both before a colour that is compared; what follows from another figure comes last. A meter whose calibration
 * is out stands back behind the titration. A card may set another order (`ways`).
 */
export function rankOf({ way }: Pick<Finding, 'way'>, isCalibrationOut: boolean, order: readonly Way[] = ways): number {
	const rank = order.indexOf(way);
	return way === 'meter' && isCalibrationOut ? order.indexOf('titration') + 0.5 : rank;
}

/**
 * Determinations in the order in which they would be reported, whatever their parameter; of one way the first stays
 * first.
 */
export function inOrder(findings: readonly Finding[], flags: readonly Flag[], order: readonly Way[] = ways): Finding[] {
	const outdated = flags.filter((f) => f.code === 'calibration-old' || f.code === 'calibration-missing');
	const isOut = ({ place }: Finding) => outdated.some((f) => f.path.startsWith(`${place}/`));
	const firstFlow = findings.find((f) => f.parameter === 'discharge')?.place;
	const isSecondGauging = ({ parameter, place }: Finding) =>
		parameter === 'discharge' && place !== firstFlow && place.startsWith('gaugings/');
	const rank = new Map(findings.map((f) => [f, isSecondGauging(f) ? AGAIN : rankOf(f, isOut(f), order)]));
	return [...findings].sort((a, b) => rank.get(a)! - rank.get(b)!);
}
