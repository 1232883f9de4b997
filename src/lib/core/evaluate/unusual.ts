import { amount, parameters, significant, units, writeFigure, type Parameter, type ParameterCode } from '../quantity';
import type { Flag } from '../quality';
import type { Usual } from './context';
import type { Finding } from './outcome';

/** Fewer visits than this have not seen enough to call anything unusual. */
export const ENOUGH_VISITS = 12;
/** How far beyond the range seen so far a figure may lie unasked, as a share of that range. */
const MARGIN = 0.1;

/** Results beyond anything that earlier visits to this site have seen: asked about, each with the range it is held against. */
export function unusualFlags(
	results: readonly Pick<Finding, 'parameter' | 'figure'>[],
	usual: Partial<Record<ParameterCode, Usual>>
): Flag[] {
	return results.flatMap(({ parameter, figure }): Flag[] => {
		const seen = usual[parameter];
		if (!seen || seen.visits < ENOUGH_VISITS) return [];
		const { number } = amount(figure);
		const margin = (seen.high - seen.low) * MARGIN;
		if (number >= seen.low - margin && number <= seen.high + margin) return [];
		const { name, unit, decimals }: Parameter = parameters[parameter];
		const say = (n: number) => `${decimals > 2 ? significant(n, 3) : n.toFixed(decimals)} ${units[unit].symbol}`;
		return [
			{
				code: 'outside-history',
				path: `readings/${parameter}`,
				parameter,
				evidence: {
					parameter: name,
					seen: writeFigure(figure, decimals),
					low: say(seen.low),
					high: say(seen.high),
					visits: seen.visits
				}
			}
		];
	});
}
