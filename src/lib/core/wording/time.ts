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

/** How a program's people write dates and times of day: `Thu 14 May, 14:37` or `Thu, May 14, 2:37 pm`. */
export const dateStyles = ['14 May, 14:37', 'May 14, 2:37 pm', 'May 14, 14:37'] as const;
export type DateStyle = (typeof dateStyles)[number];
const [USUAL] = dateStyles;
const locales: Record<DateStyle, string> = {
	'14 May, 14:37': 'en-GB',
	'May 14, 2:37 pm': 'en-US',
	'May 14, 14:37': 'en-US'
};

let styleNow: () => DateStyle | undefined = () => undefined;

/** Says once for a process where the style of whoever is served just now is found. */
export function writeDatesBy(style: () => DateStyle | undefined): void {
	styleNow = style;
}

/** Making a format takes far longer than using it: one is made for each locale and time zone. */
function formatted(
	how: Intl.DateTimeFormatOptions,
	localeOf = (): string => locales[styleNow() ?? USUAL]
): (at_ms: number, timeZone: string) => string {
	const formats = new Map<string, Intl.DateTimeFormat>();
	return (at_ms, timeZone) => {
		const locale = localeOf();
		const known = formats.get(`${locale} ${timeZone}`);
		const format = known ?? new Intl.DateTimeFormat(locale, { ...how, timeZone });
		if (!known) formats.set(`${locale} ${timeZone}`, format);
		return format.format(at_ms);
	};
}

/** Hour and minute in a time zone, whatever the style: `14:37`. */
export const clock24 = formatted({ hour: '2-digit', minute: '2-digit', hourCycle: 'h23' }, () => 'en-GB');
const clock12 = formatted({ hour: 'numeric', minute: '2-digit', hourCycle: 'h12' }, () => 'en-US');

/** Hour and minute in a time zone: `14:37`, or `2:37 pm` where people write it so. */
export const sayTime = (at_ms: number, timeZone: string): string =>
	styleNow() === 'May 14, 2:37 pm'
		? clock12(at_ms, timeZone).replace(/\s/g, ' ').toLowerCase()
		: clock24(at_ms, timeZone);

/** Minutes since midnight as a time of day, as `sayTime` writes it. */
export const sayMinute = (minute: number): string => sayTime(Math.round(minute) * MINUTE_ms, 'UTC');

/** A day of the week in a time zone: `Thu`. */
export const sayWeekday = formatted({ weekday: 'short' });

const dayOfWeek = formatted({ weekday: 'short', day: 'numeric', month: 'short' });
const dayOfYear = formatted({ weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' });

/** A day in a time zone: `Thu 14 May`, with the year when asked. */
export const sayDay = (at_ms: number, timeZone: string, withYear = false): string =>
	(withYear ? dayOfYear : dayOfWeek)(at_ms, timeZone).replace(',', '');

const date = formatted({ day: 'numeric', month: 'short', year: 'numeric' });

/** A day in a time zone without its weekday, as it is typed: `14 May 2026`. */
export const sayDate = (at_ms: number, timeZone: string): string => date(at_ms, timeZone);

const monthOfYear = formatted({ month: 'long', year: 'numeric' });

/** The month of a day such as `2026-05-14`, or of `2026-05`: `May 2026`. */
export const sayMonth = (day: string): string => monthOfYear(Date.parse(`${day.slice(0, 7)}-01`), 'UTC');

/** The day in a time zone as labels and files write it: `2026-05-14`. */
export const isoDay = formatted({ year: 'numeric', month: '2-digit', day: '2-digit' }, () => 'en-CA');

/**
 * Minutes since midnight of a time of day as people write it: `7:05`, `14.30`, `0930`, `9`, `2:30 pm`; null where it is
 * none. 24:00 ends a day.
 */
export function minuteOfClock(text: string): number | null {
	const match = /^(\d{1,2})(?:[:.,h ]?(\d\d))? ?([ap])?\.?(?:m\.?)?$/i.exec(text.trim());
	const [said, minutes] = [Number(match?.[1]), Number(match?.[2] ?? 0)];
	if (!match || minutes > 59) return null;
	const half = match[3]?.toLowerCase();
	if (half !== undefined && (said < 1 || said > 12)) return null;
	const hours = half === undefined ? said : (said % 12) + (half === 'p' ? 12 : 0);
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
		const [h, m] = clock24(from_ms, timeZone).split(':').map(Number) as [number, number];
		const off = minute - h * HOUR_min - m;
		return from_ms + (((off + DAY_min / 2 + DAY_min) % DAY_min) - DAY_min / 2) * MINUTE_ms;
	};
	const there = towards(near_ms - (near_ms % MINUTE_ms));
	return towards(there); // once more, where the clocks changed in between
}

/**
 * The instant of a day such as `2026-05-14` at which a wall clock in a time zone shows what was typed. Null where that
 * is no time of day, or no such day.
 */
export function instantOnDay(day: string, text: string, timeZone: string): number | null {
	const noon_ms = Date.parse(`${day}T12:00:00Z`);
	if (Number.isNaN(noon_ms)) return null;
	const near = [0, -1, 1].map((off) => instantOfTime(text, noon_ms + off * DAY_min * MINUTE_ms, timeZone));
	return near.find((at_ms) => at_ms !== null && isoDay(at_ms, timeZone) === day) ?? null;
}
