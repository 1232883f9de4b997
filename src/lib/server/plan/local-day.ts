import { Temporal } from 'temporal-polyfill';

/* Days and minutes as a program's people count them: in the program's own time zone, clock changes and all. */

const EPOCH = Temporal.PlainDate.from('1970-01-01');

const zoned = (at_ms: number, timeZone: string) =>
	Temporal.Instant.fromEpochMilliseconds(at_ms).toZonedDateTimeISO(timeZone);

/** Days since 1970-01-01 of the date that an instant has there. */
export const dayNumber = (at_ms: number, timeZone: string): number =>
	EPOCH.until(zoned(at_ms, timeZone).toPlainDate()).days;

export const dayOfDate = (isoDate: string): number => EPOCH.until(Temporal.PlainDate.from(isoDate)).days;

export const dateOfDay = (day: number): string => EPOCH.add({ days: day }).toString();

/** Minutes since the local midnight, as a wall clock shows them. */
export function minuteOfDay(at_ms: number, timeZone: string): number {
	const { hour, minute } = zoned(at_ms, timeZone);
	return hour * 60 + minute;
}

/** The instant of a wall clock's minute on a day; in the hour that a clock change leaves out, the one after it. */
export const instantAt = (day: number, minute: number, timeZone: string): number =>
	EPOCH.add({ days: day }).toZonedDateTime({
		timeZone,
		plainTime: new Temporal.PlainTime(Math.floor(minute / 60), minute % 60)
	}).epochMilliseconds;
