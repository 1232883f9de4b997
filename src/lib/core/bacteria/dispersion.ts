import { listOf, pairedLists, positive, whole } from '../quantity';
import { gammaTails } from '../statistics';

/**
 * Whether plates of one sample differ more than chance allows: counts against what their volumes (mL) would give each,
 * as χ². Null for one plate or no colony. RangeError for no plate. Fisher, Thornton & Mackenzie 1922.
 */
export function dispersionTest(plates: { counts: readonly number[]; volumes_mL: readonly number[] }): {
	chiSquare: number | null;
	df: number;
	p: number | null;
} {
	const counts = listOf('counts', plates.counts, (place, count) => whole(place, count));
	const volumes = listOf('volumes_mL', plates.volumes_mL, positive);
	pairedLists({ counts, volumes_mL: volumes });
	if (counts.length === 0) throw new RangeError('counts must hold a plate: it is empty');
	const add = (values: readonly number[]) => values.reduce((sum, v) => sum + v, 0);
	const [colonies, water_mL] = [add(counts), add(volumes)];
	const df = counts.length - 1;
	if (df === 0 || colonies === 0) return { chiSquare: null, df, p: null };
	const chiSquare = add(
		counts.map((x, i) => {
			const expected = (volumes[i]! * colonies) / water_mL;
			return (x - expected) ** 2 / expected;
		})
	);
	return { chiSquare, df, p: gammaTails(df / 2, chiSquare / 2).upper };
}
