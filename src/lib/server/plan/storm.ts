import { eq } from 'drizzle-orm';
import { Board, factsFromWire, stormOffers, stormsIn, type AfterStorm, type Storm } from '../../core/schedule';
import type { Db } from '../db/connect';
import type { Membership } from '../db/queries/members';
import { program } from '../db/schema';
import { usualStorm } from '../library/load';
import { simulatedRainGauge, type RainGauge } from '../services/rain-gauge';
import { dayNumber } from './local-day';
import type { Season } from './season';

const LOOK_BACK_days = 14;
const DEMO_STORM_daysAgo = 1;

/** The gauge of a program: a stand-in, until a real one is connected. */
const gaugeOf = ({ programId, program: { isDemo } }: Membership, today: number): RainGauge =>
	simulatedRainGauge(programId, isDemo ? today - DEMO_STORM_daysAgo : null);

/** What the gauge said of the last two weeks, and the storms in it. */
export interface RainLately extends Pick<AfterStorm, 'gauge' | 'rain' | 'least_mm' | 'within_h'> {
	storms: Storm[];
}

export async function rainLately(db: Db, who: Membership, now_ms: number): Promise<RainLately> {
	const today = dayNumber(now_ms, who.program.timeZone);
	const [own] = await db.select({ settings: program.settings }).from(program).where(eq(program.id, who.programId));
	const { rain_mm: least_mm, within_h } = own?.settings.storm ?? usualStorm;
	const { name, isSimulated, daily } = gaugeOf(who, today);
	const rain = await daily(today - LOOK_BACK_days, today);
	return { gauge: { name, isSimulated }, rain, least_mm, within_h, storms: stormsIn(rain, least_mm) };
}

/** Where a storm round could still go after the latest storm for which there is time. */
export function afterStorm({ storms, ...lately }: RainLately, { wire, rounds, today }: Season, minute: number): AfterStorm {
	const within_days = Math.floor(lately.within_h / 24);
	const storm = storms.findLast((s) => s.day + within_days >= today) ?? null;
	if (!storm) return { ...lately, storm, offers: [] };
	const taken = new Set(rounds.filter((r) => r.purpose === 'storm' && r.day >= storm.day && r.state !== 'refused').map((r) => r.circuitId));
	const offers = stormOffers(new Board(factsFromWire(wire), rounds), storm, { day: today, minute }, within_days);
	return { ...lately, storm, offers: offers.filter((o) => !taken.has(o.circuitId)) };
}
