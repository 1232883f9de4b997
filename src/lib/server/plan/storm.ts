import { eq } from 'drizzle-orm';
import { Board, factsFromWire, stormOffers, stormsIn, type AfterStorm } from '../../core/schedule';
import type { Db } from '../db/connect';
import type { Membership } from '../db/queries/members';
import { program } from '../db/schema';
import { usualStorm } from '../library/load';
import { simulatedRainGauge, type RainGauge } from '../services/rain-gauge';
import { dayNumber, minuteOfDay } from './local-day';
import type { Season } from './season';

const LOOK_BACK_days = 14;
const DEMO_STORM_daysAgo = 1;

/** The gauge of a program: a stand-in, until a real one is connected. */
const gaugeOf = ({ programId, program: { isDemo } }: Membership, today: number): RainGauge =>
	simulatedRainGauge(programId, isDemo ? today - DEMO_STORM_daysAgo : null);

/** Days of storms in the last two weeks. */
export async function stormDays(db: Db, who: Membership, now_ms: number): Promise<number[]> {
	const today = dayNumber(now_ms, who.program.timeZone);
	return stormsIn(await gaugeOf(who, today).daily(today - LOOK_BACK_days, today), (await stormRule(db, who.programId)).rain_mm).map((s) => s.day);
}

const stormRule = async (db: Db, programId: string) => {
	const [own] = await db.select({ settings: program.settings }).from(program).where(eq(program.id, programId));
	return own?.settings.storm ?? usualStorm;
};

/** What the gauge said, and where a storm round could still go. */
export async function afterStorm(db: Db, who: Membership, { wire, rounds, today }: Season, now_ms: number): Promise<AfterStorm> {
	const { rain_mm: least_mm, within_h } = await stormRule(db, who.programId);
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
		offers: storm
			? stormOffers(new Board(factsFromWire(wire), rounds), storm, { day: today, minute: minuteOfDay(now_ms, who.program.timeZone) }, within_days).filter(
					(o) => !taken.has(o.circuitId)
				)
			: []
	};
}
