import { z } from 'zod';
import { amount, figureIn, parameterCodes, parameters, type Figure } from '../quantity';

/**
 * One stretch of a parameter's scale and what it says, from `from` (included) upwards, in the parameter's own unit.
 * `good`: as hoped. `watch`: keep an eye on it. `act`: do something.
 */
export const Band = z.object({ from: z.number(), word: z.string(), state: z.enum(['good', 'watch', 'act']) });
export type Band = z.infer<typeof Band>;

/** What a use of the stream wants of a parameter: a program's setting. Bands ascend; the first holds below its start too. */
export const Threshold = z.object({ parameter: z.enum(parameterCodes), use: z.string(), bands: z.array(Band).min(1), source: z.string() });
export type Threshold = z.infer<typeof Threshold>;

/**
 * The band a figure falls in; null where the figure leaves it open: "below 5" when a band starts at 2.
 * RangeError when the figure's unit is of another kind.
 */
export function judge(figure: Figure, threshold: Threshold): Band | null {
	const { number, qualifier } = amount(figureIn(figure, parameters[threshold.parameter].unit));
	const at = (x: number) => threshold.bands.findLast((b) => b.from <= x) ?? threshold.bands[0] ?? null;
	const band = at(number);
	if (qualifier === null || band === null) return band;
	const edge = qualifier === 'below' ? threshold.bands[0] : threshold.bands.at(-1);
	// just below a limit that starts a band, the truth lies in the band beneath it
	const reached = qualifier === 'below' && band.from === number && band !== threshold.bands[0] ? threshold.bands[threshold.bands.indexOf(band) - 1] : band;
	return reached === edge ? (edge ?? null) : null;
}
