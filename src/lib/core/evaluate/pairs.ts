import { relativePercentDifference } from '../bacteria';
import { limitsOf, type MethodCard } from '../method';
import type { Sheet } from '../logbook';
import type { Flag } from '../quality';
import { amount, figureIn, parameters, writeFigure, type Figure, type ParameterCode } from '../quantity';

/** What duplicates and blanks among the bottles say about the others. */
export function pairFlags({ bottles }: Sheet, card: MethodCard): Flag[] {
	const { duplicates_percent } = limitsOf(card);
	return Object.entries(bottles ?? {}).flatMap(([id, bottle]): Flag[] => {
		const label = bottle.label ?? id;
		const results = Object.entries(bottle.results ?? {}) as [ParameterCode, Figure][];
		if (bottle.role === 'blank')
			return results.flatMap(([parameter, figure]): Flag[] => {
				const { number, qualifier } = amount(figure);
				if (qualifier === 'below' || number === 0) return [];
				return [
					{ code: 'blank-not-clean', path: `bottles/${id}`, parameter, evidence: { label, parameter: parameters[parameter].name, seen: writeFigure(figure) } }
				];
			});
		if (bottle.role !== 'duplicate') return [];
		const partner = bottle.duplicateOf === undefined ? undefined : bottles?.[bottle.duplicateOf];
		if (!partner) return [{ code: 'duplicate-alone', path: `bottles/${id}`, parameter: null, evidence: { label } }];
		return results.flatMap(([parameter, figure]): Flag[] => {
			const other = partner.results?.[parameter];
			if (!other) return [];
			const [first, second] = [other, figure].map((f) => amount(figureIn(f, parameters[parameter].unit)));
			// two figures of which one is only a limit may well be the same
			if (first!.qualifier !== null || second!.qualifier !== null || first!.number < 0 || second!.number < 0) return [];
			const { percent } = relativePercentDifference({ first: first!.number, second: second!.number });
			if (percent <= duplicates_percent) return [];
			const evidence = {
				parameter: parameters[parameter].name,
				first: writeFigure(other),
				second: writeFigure(figure),
				apart_percent: percent,
				limit_percent: duplicates_percent
			};
			return [{ code: 'duplicates-apart', path: `bottles/${id}`, parameter, evidence }];
		});
	});
}
