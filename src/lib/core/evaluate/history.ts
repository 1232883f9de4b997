import type { Flag } from '../quality';
import type { Context } from './context';
import type { Outcome } from './outcome';
import { slipFlags } from './slips';
import { unusualFlags } from './unusual';

/**
 * A visit's doubts, and those that come from what its site has shown before: figures unlike it, and slips of unit that would explain
 * them. A figure that a slip explains is asked about once: the question that knows the slip says all that the plain one would.
 */
export function withHistory({ flags, results, folded }: Pick<Outcome, 'flags' | 'results' | 'folded'>, usual: NonNullable<Context['site']['usual']>): Flag[] {
	const slips = slipFlags(folded.sheet, usual);
	const isEcho = (f: Flag) =>
		(f.code === 'implausible' && slips.some((s) => s.path === f.path)) || (f.code === 'outside-history' && slips.some((s) => s.parameter === f.parameter));
	return [...flags, ...unusualFlags(results, usual)].filter((f) => !isEcho(f)).concat(slips);
}
