const MINUTE_ms = 60_000;
const HOUR_min = 60;
const DAY_min = 24 * HOUR_min;

/** A span of time as it is said: `25 min`, `3 h 50`, `2 days`. */
export function sayDuration(span_ms: number): string {
	const minutes = Math.floor(Math.abs(span_ms) / MINUTE_ms);
	if (minutes < HOUR_min) return `${minutes} min`;
	if (minutes < DAY_min) return `${Math.floor(minutes / HOUR_min)} h ${String(minutes % HOUR_min).padStart(2, '0')}`;
	const days = Math.round(minutes / DAY_min);
	return days === 1 ? '1 day' : `${days} days`;
}

/** Making a format takes far longer than using it: one is made for each time zone. */
function formatted(locale: string, how: Intl.DateTimeFormatOptions): (at_ms: number, timeZone: string) => string {
	const formats = new Map<string, Intl.DateTimeFormat>();
	return (at_ms, timeZone) => {
		let format = formats.get(timeZone);
		if (!format) formats.set(timeZone, (format = new Intl.DateTimeFormat(locale, { ...how, timeZone })));
		return format.format(at_ms);
	};
}

/** Hour and minute in a time zone: `14:37`. */
export const sayTime = formatted('en-GB', { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });

const dayOfWeek = formatted('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
const dayOfYear = formatted('en-GB', { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' });

/** A day in a time zone: `Thu 14 May`, with the year when asked. */
export const sayDay = (at_ms: number, timeZone: string, withYear = false): string =>
	(withYear ? dayOfYear : dayOfWeek)(at_ms, timeZone).replace(',', '');

/** The month that begins with a day such as `2026-05`: `May 2026`. */
export const sayMonth = (month: string): string =>
	new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric', timeZone: 'UTC' }).format(
		Date.parse(`${month}-01`)
	);

/** The day in a time zone as labels and files write it: `2026-05-14`. */
export const isoDay = formatted('en-CA', { year: 'numeric', month: '2-digit', day: '2-digit' });

/**
 * Minutes since midnight of a time of day as people write it: `7:05`, `14.30`, `0930`, `9`; null where it is none.
 * 24:00 ends a day.
 */
export function minuteOfClock(text: string): number | null {
	const match = /^(\d{1,2})(?:[:.,h ]?(\d\d))?$/.exec(text.trim());
	const [hours, minutes] = [Number(match?.[1]), Number(match?.[2] ?? 0)];
	if (!match || minutes > 59) return null;
	const minute = hours * HOUR_min + minutes;
	return minute > DAY_min ? null : minute;
}

/**
 * The instant nearest to another at which a wall clock in a time zone shows what was typed: `9:05`, `14.20`, `0930`,
 * `9`. Null where that is no time of day.
 */
export function instantOfTime(text: string, near_ms: number, timeZone: string): number | null {
	const minute = minuteOfClock(text);
	if (minute === null || minute === DAY_min) return null;
	const towards = (from_ms: number) => {
		const [h, m] = sayTime(from_ms, timeZone).split(':').map(Number) as [number, number];
		const off = minute - h * HOUR_min - m;
		return from_ms + (((off + DAY_min / 2 + DAY_min) % DAY_min) - DAY_min / 2) * MINUTE_ms;
	};
	const there = towards(near_ms - (near_ms % MINUTE_ms));
	return towards(there); // once more, where the clocks changed in between
}
