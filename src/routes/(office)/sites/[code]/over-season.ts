import { seasonStanding, type Standing, type Threshold } from '$lib/core/interpret';
import { withQualifier } from '$lib/core/quantity';
import type { Member } from '$lib/server/access';
import type { Db } from '$lib/server/db/connect';
import { pointsOf } from '$lib/server/db/queries/series';

/** Long enough for a whole season whatever the day, whatever span is shown. */
const LOOKED_BACK_ms = 2 * 366 * 86_400_000;
const MOST_SAMPLES = 20_000;

export interface OverSeason {
	threshold: Threshold;
	standing: Standing | null;
}

/**
 * What the latest season's samples of a site come to, for each threshold that asks for it. What was rejected or comes
 * from a stand-in does not count.
 */
export async function overSeason(
	db: Db,
	{ programId, program }: Member & { program: { timeZone: string } },
	siteId: string,
	thresholds: readonly Threshold[],
	acceptedOnly: boolean,
	now_ms: number
): Promise<OverSeason[]> {
	const asked = thresholds.filter((t) => t.statistic !== 'each sample');
	const [first] = asked;
	if (!first) return [];
	const span = { from: new Date(now_ms - LOOKED_BACK_ms), to: new Date(now_ms) };
	const points = await pointsOf(db, programId, siteId, first.parameter, span, acceptedOnly, MOST_SAMPLES);
	const samples = points
		.filter((p) => p.status !== 'rejected' && !p.isSimulated)
		.map((p) => ({ at_ms: p.at_ms, figure: withQualifier(p.value, p.qualifier, p.unit) }));
	return asked.map((threshold) => ({ threshold, standing: seasonStanding(threshold, samples, program.timeZone) }));
}
