import { round } from '../water-model';
import type { Script } from './script';

/** Sites that have a board in the stream. */
const BOARDED = ['TE4'];
/** Level over the zero of the board: a rating of our own, from which nobody should read a flow. */
const level_m = (discharge_m3_s: number) => 0.18 + 0.52 * discharge_m3_s ** 0.42;

/** The level on the board, to half a mark; in high water waves run up it. */
export function staffGauge({ plan, first, write, read, isHigh }: Script): void {
	if (!BOARDED.includes(plan.site.code)) return;
	const level = Math.round(level_m(plan.truth.discharge_m3_s) * 200) / 200;
	read(first, 4.4, 'water-level/board', { value: round(level, 3), unit: 'm' });
	if (isHigh) write(first, 4.6, 'staff/spoilers/waves', true);
}
