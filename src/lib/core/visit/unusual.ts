import { amount, type ParameterCode } from '../quantity';
import { ENOUGH_VISITS, type Usual } from '../subjects/context';
import type { Finding } from '../subjects/determination';
import { doubt, type Flag } from '../subjects/flags';

/** How far beyond the range seen so far a figure may lie unasked, as a share of that range. */
const MARGIN = 0.1;

/**
 * Results beyond anything that earlier visits to this site have seen: asked about, each with the range it is held
 * against.
 */
export const unusualFlags = (
	results: readonly Pick<Finding, 'parameter' | 'figure'>[],
	usual: Partial<Record<ParameterCode, Usual>>
): Flag[] =>
	results.flatMap(({ parameter, figure }): Flag[] => {
		const seen = usual[parameter];
		if (!seen || seen.visits < ENOUGH_VISITS) return [];
		const { low, high, visits } = seen;
		const { number } = amount(figure);
		const margin = (high - low) * MARGIN;
		if (number >= low - margin && number <= high + margin) return [];
		const at = { path: `readings/${parameter}`, parameter };
		return [doubt('outside-history', at, { parameter, seen: figure, low, high, visits })];
	});
