import type { Sheet } from '../../logbook';
import { amount, figureIn, isKnownCode, parameters, type Figure, type KnownCode } from '../../quantity';
import { figuresIn } from './found';

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
			if (partner === undefined) continue;
			const ofPartner = figuresIn(partner);
			for (const [parameter, figure] of Object.entries(figuresIn(bottle))) {
				const other = isKnownCode(parameter) ? ofPartner[parameter] : undefined;
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
