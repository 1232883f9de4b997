import { relativePercentDifference } from '../../bacteria';
import { sagTooLong_percent } from '../../discharge';
import type { Limits } from '../../method';
import { amount } from '../../quantity';
import { doubt, type Flag } from '../flags';
import type { GaugingSheet } from './how';
import { metresOrNull } from './verticals';
import type { Flow } from './view';

const placeOf = (id: string) => ({ path: `gaugings/${id}`, parameter: 'discharge' });

/** Gaugings of one flow that lie further apart than the card allows; those that run backwards are not compared. */
export function gaugingsApart([first, ...again]: readonly Flow[], limit_percent: number): Flag[] {
	const flow_m3_s = (f: Flow) => amount(f.finding.figure).number;
	return again.flatMap((other): Flag[] => {
		const [first_m3_s, second_m3_s] = [flow_m3_s(first!), flow_m3_s(other)];
		if (first_m3_s < 0 || second_m3_s < 0) return [];
		const { percent: apart_percent } = relativePercentDifference({ first: first_m3_s, second: second_m3_s });
		if (apart_percent <= limit_percent) return [];
		return [doubt('gaugings-apart', placeOf(other.id), { first_m3_s, second_m3_s, apart_percent, limit_percent })];
	});
}

/** What spoils the tape of a gauging: it hung through, or two widths of one water do not go together. */
export function tapeFlags(id: string, gauging: GaugingSheet, limits: Limits): Flag[] {
	const { edges } = gauging;
	const [start_m, end_m] = [metresOrNull(edges?.startDistance_m), metresOrNull(edges?.endDistance_m)];
	const section_m = start_m !== null && end_m !== null ? Math.abs(end_m - start_m) : null;
	const wetted_m = metresOrNull(gauging.wettedWidth_m);
	return [
		...sagging(id, metresOrNull(gauging.tapeSag_m), wetted_m ?? section_m, limits.tapeTooLong_percent),
		...widthsApart(id, wetted_m, section_m, limits.widths_percent),
		...bankfullNarrow(id, metresOrNull(gauging.bankfullWidth_m), wetted_m ?? section_m)
	];
}

function sagging(id: string, sag_m: number | null, width_m: number | null, limit_percent: number): Flag[] {
	if (sag_m === null || width_m === null || width_m <= 0) return [];
	const tooLong_percent = sagTooLong_percent({ sag_m, width_m });
	if (tooLong_percent <= limit_percent || !Number.isFinite(tooLong_percent)) return [];
	return [doubt('tape-sags', placeOf(id), { sag_m, tooLong_percent, limit_percent })];
}

function widthsApart(id: string, wetted_m: number | null, section_m: number | null, limit_percent: number): Flag[] {
	if (wetted_m === null || section_m === null || section_m <= 0) return [];
	if ((100 * Math.abs(wetted_m - section_m)) / section_m <= limit_percent) return [];
	return [doubt('widths-apart', placeOf(id), { wetted_m, section_m, limit_percent })];
}

function bankfullNarrow(id: string, bankfull_m: number | null, wetted_m: number | null): Flag[] {
	if (bankfull_m === null || wetted_m === null || bankfull_m >= wetted_m) return [];
	return [doubt('bankfull-narrow', placeOf(id), { bankfull_m, wetted_m })];
}
