import type { Sheet } from '../../logbook';
import { readingSlips } from '../../quality';
import { amount, isUnitOf, parameterOf, type Figure, type OwnParameters, type ParameterCode } from '../../quantity';
import { ENOUGH_VISITS, type Usual } from '../context';
import { doubt, type Flag } from '../flags';

/**
 * Readings that a usual slip would explain, each held against what this site has shown, else against what is
 * plausible anywhere.
 */
export function readingSlipFlags(
	{ readings }: Sheet,
	usual: Partial<Record<ParameterCode, Usual>>,
	own: OwnParameters | undefined
): Flag[] {
	return (Object.entries(readings ?? {}) as [ParameterCode, Record<string, Figure>][]).flatMap(([code, slots]) => {
		const seen = usual[code];
		const known = seen && seen.visits >= ENOUGH_VISITS ? seen : null;
		const parameter = parameterOf(code, own);
		const { unit } = parameter;
		const [low, high] = parameter.plausible;
		const within = { low: known?.low ?? low, high: known?.high ?? high, unit };
		return Object.entries(slots).flatMap(([slot, figure]): Flag[] => {
			const { number, qualifier } = amount(figure);
			// a limit says where a method ends, not what was read
			if (qualifier !== null || !isUnitOf(parameter, figure.unit)) return [];
			const guess = readingSlips(parameter, number, figure.unit, within)[0];
			if (!guess) return [];
			const at = { path: `readings/${code}/${slot}`, parameter: code };
			const slip = {
				of: code,
				seen: figure,
				instead: { value: guess.instead, unit: figure.unit },
				within,
				from: known ? { visits: known.visits } : ('usual' as const),
				retype: guess.retype
			};
			return [doubt('unit-slip', at, slip)];
		});
	});
}
