import type { Tubes } from '../../bacteria';
import type { Sheet } from '../../logbook';

export type TubeSet = NonNullable<Sheet['growthTubes']>[string];

/** The rows of a set as the formula takes them, the largest volume first; null while one of them is not read. */
export function seriesOf({ rows }: Pick<TubeSet, 'rows'>): Tubes[] | null {
	const all = Object.values(rows ?? {}).map(({ volume_mL, tubes, grown }) =>
		volume_mL === undefined || tubes === undefined || grown === undefined
			? null
			: { volume_mL, tubes, positives: new Set(grown.filter((n) => n <= tubes)).size }
	);
	if (all.length === 0 || all.includes(null)) return null;
	return (all as Tubes[]).sort((a, b) => b.volume_mL - a.volume_mL);
}

/** `5 – 3 – 0`: in how many of each volume something grew. */
export const patternOf = (series: readonly Tubes[]): string => series.map((s) => s.positives).join(' – ');
