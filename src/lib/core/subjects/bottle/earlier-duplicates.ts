import type { Sheet } from '../../logbook';
import { amount, figureIn, isKnownCode, parameters, type Figure, type KnownCode } from '../../quantity';

type Pairs = Partial<Record<KnownCode, [number, number][]>>;

/**
 * The pairs of duplicates in earlier visits' sheets, by parameter known here and in its own unit; pairs of which one
 * is only a limit are left out.
 */
export function earlierDuplicates(sheets: readonly Pick<Sheet, 'bottles'>[]): Pairs {
	const pairs: Pairs = {};
	for (const { bottles } of sheets)
		for (const bottle of Object.values(bottles ?? {})) {
			const partner =
				bottle.role === 'duplicate' && bottle.duplicateOf !== undefined ? bottles?.[bottle.duplicateOf] : undefined;
			for (const [parameter, figure] of Object.entries(bottle.results ?? {})) {
				const other = isKnownCode(parameter) ? partner?.results?.[parameter] : undefined;
				if (!other || !isKnownCode(parameter)) continue;
				const [first, second] = [other, figure as Figure].map((f) =>
					amount(figureIn(f, parameters[parameter].unit))
				) as [Amount, Amount];
				if (first.qualifier === null && second.qualifier === null)
					(pairs[parameter] ??= []).push([first.number, second.number]);
			}
		}
	return pairs;
}

type Amount = ReturnType<typeof amount>;
