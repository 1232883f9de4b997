import { sectionArea } from '../../discharge';
import { inPlaceUnit } from '../../quantity';
import type { GaugingSheet } from './how';

type Mark = NonNullable<NonNullable<GaugingSheet['floats']>['areas']>[string];

export interface MarkSection {
	area_m2: number;
	/** Null where no width is known. */
	meanDepth_m: number | null;
}

/** Depths that are asked for at a mark: a quarter, half and three quarters of the way across. */
export const depthsAcross = [
	{ id: '1', word: 'a quarter across' },
	{ id: '2', word: 'halfway' },
	{ id: '3', word: 'three quarters across' }
] as const;

/**
 * The section at a float's mark: the area as it was typed, else trapezoids from the width and the depths at equal steps
 * across, the edges being 0 deep. Null while a part is missing. ISO 748:2007, 8.2.
 */
export function sectionAtMark({ area_m2, width_m, depths }: Mark): MarkSection | null {
	const width = width_m === undefined ? 0 : inPlaceUnit(width_m, 'm');
	if (area_m2 !== undefined) return { area_m2, meanDepth_m: width > 0 ? area_m2 / width : null };
	const across = depthsAcross.map(({ id }) => depths?.[id]?.depth_m);
	const known = across.flatMap((d) => (d === undefined ? [] : [inPlaceUnit(d, 'm')]));
	if (width <= 0 || known.length < across.length) return null;
	const step = width / (known.length + 1);
	const stations = [0, ...known, 0].map((depth_m, i) => ({ distance_m: i * step, depth_m }));
	const { area_m2: area, meanDepth_m } = sectionArea({ stations });
	return { area_m2: area, meanDepth_m };
}
