import { doubt, type Flag } from './flags';
import { momentPairs } from './whole-visit/flags';

type Moments = { [Pair in keyof typeof momentPairs]?: readonly [string | undefined, string | undefined] };

/** Times of one thing that cannot lie so: of each pair the first must come before the second. */
export function timesInTurn(
	thing: 'bottle' | 'visit',
	label: string,
	at: Pick<Flag, 'path'>,
	moments: Moments
): Flag[] {
	return (Object.entries(moments) as [keyof typeof momentPairs, Moments[keyof Moments]][]).flatMap(([pair, times]) => {
		const [first, then] = times ?? [];
		if (first === undefined || then === undefined || Date.parse(then) >= Date.parse(first)) return [];
		return [doubt('time-order', { path: at.path, parameter: null }, { thing, label, moments: pair })];
	});
}
