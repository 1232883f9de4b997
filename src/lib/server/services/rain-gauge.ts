import { and, asc, between, eq } from 'drizzle-orm';
import type { RainDay } from '../../core/schedule';
import { seeded } from '../../core/statistics';
import type { Db } from '../db/connect';
import { rainDay } from '../db/schema';
import { dateOfDay, dayOfDate } from '../plan/local-day';

/** A rain gauge somewhere in the catchment: what fell on each day, and whether it is a real one. */
export interface RainGauge {
	name: string;
	isSimulated: boolean;
	/** Days from first to last, in the program's own calendar. */
	daily: (from: number, to: number) => Promise<RainDay[]>;
}

/** A gauge that somebody reads: what was typed for each day, and nothing for the others. */
export function typedRainGauge(db: Db, programId: string): RainGauge {
	return {
		name: 'Rain, as read at the gauge',
		isSimulated: false,
		daily: async (from, to) => {
			const rows = await db
				.select({ day: rainDay.day, rain_mm: rainDay.rain_mm })
				.from(rainDay)
				.where(and(eq(rainDay.programId, programId), between(rainDay.day, dateOfDay(from), dateOfDay(to))))
				.orderBy(asc(rainDay.day));
			const read = new Map(rows.map((r) => [dayOfDate(r.day), r.rain_mm]));
			return Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => ({
				day: from + i,
				rain_mm: read.get(from + i) ?? null
			}));
		}
	};
}

const STORM_EVERY_days = 37;
const WET_SHARE = 0.36;
const SILENT_SHARE = 0.02;

/**
 * The stand-in: weather like that of a wet temperate place, the same for the same program and day; now and then a
 * storm, and now and then a day on which it says nothing, as a gauge with a leaf in its funnel does. `stormOn` is a
 * day of a sure storm, for the demo; no other follows it.
 */
export function simulatedRainGauge(programId: string, stormOn: number | null = null): RainGauge {
	return {
		name: 'Rain gauge (simulated)',
		isSimulated: true,
		daily: (from, to) => {
			const days = Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => from + i);
			return Promise.resolve(
				days.map((day) => ({
					day,
					rain_mm: day === stormOn ? 31.4 : rainOn(programId, day, stormOn === null || day < stormOn)
				}))
			);
		}
	};
}

function rainOn(programId: string, day: number, mayStorm: boolean): number | null {
	const chance = seeded(mixed(`${programId} ${day}`));
	if (chance.uniform() < SILENT_SHARE) return null;
	const isStorm =
		mayStorm &&
		mixed(`${programId} storm ${Math.floor(day / STORM_EVERY_days)}`) % STORM_EVERY_days === day % STORM_EVERY_days;
	if (isStorm) return round(18 + 30 * chance.uniform());
	return chance.uniform() < WET_SHARE ? round(-4.2 * Math.log(1 - chance.uniform() * 0.93)) : 0;
}

const round = (mm: number): number => Math.round(mm * 5) / 5; // a bucket tips at 0.2 mm

/** A whole number from a text, evenly spread (FNV-1a). */
const mixed = (text: string): number =>
	Array.from(text).reduce((h, c) => Math.imul(h ^ c.charCodeAt(0), 16_777_619) >>> 0, 2_166_136_261);
