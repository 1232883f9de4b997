import { eq } from 'drizzle-orm';
import { Board, factsFromWire, stormOffers, stormsIn, type Storm, type StormOffer } from '../../core/schedule';
import type { Db } from '../db/connect';
import type { Membership } from '../db/queries/members';
import { program } from '../db/schema';
import { usualStorm } from '../library/load';
import { simulatedRainGauge, type RainGauge } from '../services/rain-gauge';
import type { Season } from './season';

const LOOK_BACK_days = 14;
const DEMO_STORM_daysAgo = 1;

export interface AfterStorm {
	gauge: { name: string; isSimulated: boolean };
	/** Rain of the last two weeks, for whoever wants to see it. */
	rain: { day: number; rain_mm: number | null }[];
	least_mm: number;
	within_h: number;
	/** The latest storm for which there is still time; null where there is none. */
	storm: Storm | null;
	offers: StormOffer[];
}

/** The gauge of a program: a stand-in, until a real one is connected. */
const gaugeOf = ({ programId, program: { isDemo } }: Membership, today: number): RainGauge =>
	simulatedRainGauge(programId, isDemo ? today - DEMO_STORM_daysAgo : null);

/** What the gauge said, and where a storm round could still go. */
export async function afterStorm(db: Db, who: Membership, { wire, rounds, today }: Season): Promise<AfterStorm> {
	const [own] = await db.select({ settings: program.settings }).from(program).where(eq(program.id, who.programId));
	const { rain_mm: least_mm, within_h } = own?.settings.storm ?? usualStorm;
	const gauge = gaugeOf(who, today);
	const rain = await gauge.daily(today - LOOK_BACK_days, today);
	const within_days = Math.floor(within_h / 24);
	const storm = stormsIn(rain, least_mm).findLast((s) => s.day + within_days >= today) ?? null;
	const taken = new Set(rounds.filter((r) => r.purpose === 'storm' && storm && r.day >= storm.day && r.state !== 'refused').map((r) => r.circuitId));
	return {
		gauge: { name: gauge.name, isSimulated: gauge.isSimulated },
		rain,
		least_mm,
		within_h,
		storm,
		offers: storm ? stormOffers(new Board(factsFromWire(wire), rounds), storm, today, within_days).filter((o) => !taken.has(o.circuitId)) : []
	};
}
