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

/** Hour and minute in a time zone: `14:37`. */
export const sayTime = (at_ms: number, timeZone: string): string =>
	new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', hourCycle: 'h23', timeZone }).format(at_ms);

/** A day in a time zone: `Thu 14 May`, with the year when asked. */
export const sayDay = (at_ms: number, timeZone: string, withYear = false): string =>
	new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone, ...(withYear ? { year: 'numeric' } : {}) })
		.format(at_ms)
		.replace(',', '');
