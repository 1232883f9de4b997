import type { Abundance } from '../subjects/tray/branch';
import type { PlannedSample } from './plan-counts';

/** A line for the logbook of a sample's visit. */
export interface CountWrite {
	path: string;
	op: 'set' | 'add';
	value: unknown;
}

/** What a sample writes at its tray: each kind as the card sorts it, where it came from, and that it is all. */
export function writesOf(
	{ kinds, school, isEnded }: Pick<PlannedSample, 'kinds' | 'school' | 'isEnded'>,
	step: string,
	{ from, at }: { from: string; at: string }
): CountWrite[] {
	const set = (path: string, value: unknown): CountWrite => ({ path: `trays/${step}/${path}`, op: 'set', value });
	const one = ({ code, count }: PlannedSample['kinds'][number]): CountWrite => {
		if (school === 'presence') return set(`present/${code}`, true);
		if (school === 'classes') return set(`classes/${code}`, abundanceOf(count));
		return { path: `tallies/${step}/taxa/${code}`, op: 'add', value: count };
	};
	return [set('countedElsewhere', from), ...kinds.map(one), ...(isEnded ? [] : [set('endedAt', at)])];
}

function abundanceOf(count: number): Abundance {
	if (count <= 1) return '1';
	if (count <= 10) return '2-10';
	if (count <= 100) return '11-100';
	return count <= 1000 ? '101-1000' : 'over-1000';
}
