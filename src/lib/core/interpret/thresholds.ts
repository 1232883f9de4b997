import { z } from 'zod';
import type { Limits95 } from '../wording';
import { amount, figureIn, parameterCodes, parameters, type Figure } from '../quantity';

/**
 * One stretch of a parameter's scale and what it says, from `from` (included) upwards, in the parameter's own unit.
 * `good`: as hoped. `watch`: keep an eye on it. `act`: do something.
 */
export const Band = z.object({ from: z.number(), word: z.string(), state: z.enum(['good', 'watch', 'act']) });
export type Band = z.infer<typeof Band>;

/**
 * What a use of the stream wants of a parameter: a program's setting. Bands ascend; the first holds below its start
 * too.
 */
export const Threshold = z.object({
	parameter: z.enum(parameterCodes),
	use: z.string(),
	bands: z.array(Band).min(1),
	source: z.string()
});
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
	const reached =
		qualifier === 'below' && band.from === number && band !== threshold.bands[0]
			? threshold.bands[threshold.bands.indexOf(band) - 1]
			: band;
	return reached === edge ? (edge ?? null) : null;
}

/**
 * What a figure says against a use. Where the limits between which the truth lies fall in bands that ask for
 * different things, it is open which of them holds (JCGM 106:2012): then no band is named.
 */
export function verdictOn(
	figure: Figure,
	uncertainty: number | null,
	limits: Limits95 | null,
	threshold: Threshold
): { band: Band | null; isOpen: boolean } {
	const band = judge(figure, threshold);
	const { number, qualifier } = amount(figureIn(figure, parameters[threshold.parameter].unit));
	if (qualifier !== null || band === null) return { band, isOpen: band === null };
	const give = uncertainty ?? 0;
	const [lower, upper] = limits ? [limits.lower, limits.upper ?? Infinity] : [number - give, number + give];
	const at = (x: number) => threshold.bands.findLast((b) => b.from <= x) ?? threshold.bands[0]!;
	const isOpen = at(lower).state !== band.state || at(upper).state !== band.state;
	return { band, isOpen };
}

/** The same in a few words; '' where the use says nothing of it. */
export function sayVerdict({ band, isOpen }: { band: Band | null; isOpen: boolean }): string {
	if (band === null) return isOpen ? 'open: only a limit is known' : '';
	return isOpen ? `${band.word}, or on the other side of the limit: it lies too near to tell` : band.word;
}
