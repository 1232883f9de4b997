import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { Board, factsFromWire, stormOffers, stormsIn, type AfterStorm, type Storm } from '../../core/schedule';
import type { Db } from '../db/connect';
import type { Membership } from '../db/queries/members';
import { program, rainDay } from '../db/schema';
import { usualStorm } from '../library/load';
import { simulatedRainGauge, typedRainGauge, type RainGauge } from '../services/rain-gauge';
import { dayNumber, dayOfDate } from './local-day';
import type { Season } from './season';

const LOOK_BACK_days = 14;
const DEMO_STORM_daysAgo = 1;

/** The gauge of a program: in the demo a stand-in; else what somebody types, or none. */
function gaugeOf(
	db: Db,
	{ programId, program: { isDemo } }: Membership,
	kind: 'typed' | 'none',
	today: number
): RainGauge | null {
	if (isDemo) return simulatedRainGauge(programId, today - DEMO_STORM_daysAgo);
	return kind === 'typed' ? typedRainGauge(db, programId) : null;
}

/** What the gauge said of the last two weeks, and the storms in it; `gauge` null where the program has none. */
export interface RainLately extends Pick<AfterStorm, 'gauge' | 'rain' | 'least_mm' | 'within_h'> {
	storms: Storm[];
}

export async function rainLately(db: Db, who: Membership, now_ms: number): Promise<RainLately> {
	const today = dayNumber(now_ms, who.program.timeZone);
	const [own] = await db.select({ settings: program.settings }).from(program).where(eq(program.id, who.programId));
	const { rain_mm: least_mm, within_h } = own?.settings.storm ?? usualStorm;
	const gauge = gaugeOf(db, who, own?.settings.rain ?? 'none', today);
	const rain = gauge ? await gauge.daily(today - LOOK_BACK_days, today) : [];
	const shown = gauge && { name: gauge.name, isSimulated: gauge.isSimulated };
	return { gauge: shown, rain, least_mm, within_h, storms: stormsIn(rain, least_mm) };
}

/** What somebody reads off the gauge: the rain of one day. */
export const RainRead = z.object({
	day: z.iso.date('Say which day, such as 2026-05-14.'),
	rain_mm: z.coerce
		.number({ error: 'Type the rain in mm.' })
		.min(0, 'Rain is 0 mm or more.')
		.max(2000, 'More than 2000 mm in a day is not possible.')
});

export async function typeRain(
	db: Db,
	who: Membership,
	said: z.infer<typeof RainRead>,
	now_ms: number
): Promise<{ ok: true } | { ok: false; why: string }> {
	if (dayOfDate(said.day) > dayNumber(now_ms, who.program.timeZone))
		return { ok: false, why: 'That day has not been yet.' };
	const [own] = await db.select({ settings: program.settings }).from(program).where(eq(program.id, who.programId));
	if (who.program.isDemo || own?.settings.rain !== 'typed')
		return { ok: false, why: 'This program has no gauge that is typed in.' };
	const row = { programId: who.programId, day: said.day, rain_mm: said.rain_mm, byMemberId: who.id };
	await db
		.insert(rainDay)
		.values(row)
		.onConflictDoUpdate({
			target: [rainDay.programId, rainDay.day],
			set: { rain_mm: row.rain_mm, byMemberId: row.byMemberId }
		});
	return { ok: true };
}

/** The latest storm after which there is still time for a round, and the last day of that; null where there is none. */
export function openStorm({ storms, within_h }: Pick<RainLately, 'storms' | 'within_h'>, today: number) {
	const within_days = Math.floor(within_h / 24);
	const storm = storms.findLast((s) => s.day + within_days >= today);
	return storm ? { storm, within_days, last_day: storm.day + within_days } : null;
}

/** Where a storm round could still go after the latest storm for which there is time. */
export function afterStorm(said: RainLately, { wire, rounds, today }: Season, minute: number): AfterStorm {
	const { gauge, rain, least_mm, within_h } = said;
	const lately = { gauge, rain, least_mm, within_h };
	const open = openStorm(said, today);
	if (!open) return { ...lately, storm: null, offers: [] };
	const { storm, within_days } = open;
	const taken = new Set(
		rounds.filter((r) => r.purpose === 'storm' && r.day >= storm.day && r.state !== 'refused').map((r) => r.circuitId)
	);
	const offers = stormOffers(new Board(factsFromWire(wire), rounds), storm, { day: today, minute }, within_days);
	return { ...lately, storm, offers: offers.filter((o) => !taken.has(o.circuitId)) };
}
