import { minuteOfClock } from '../wording';
import { readDay } from './day-text';
import type { Field, Read } from './field';

/* Dates, times of day, days of the week, hours: their text forms. */

interface Asked {
	label: string;
	help?: string;
	isRequired?: boolean;
}

const days = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'] as const;

const missing = (label: string): { why: string } => ({ why: `${label} is missing.` });
const parts = (text: string): string[] =>
	text
		.split(/[;\n]/)
		.map((p) => p.trim())
		.filter((p) => p !== '');

export function maybeDate({ label, help, isRequired = false }: Asked): Field<string | null> {
	return {
		label,
		help: help ?? 'such as 14 May 2026',
		isRequired,
		control: 'line',
		picks: 'day',
		read: (text) => {
			const given = text.trim();
			if (given === '') return isRequired ? missing(label) : { value: null };
			const read = readDay(given);
			return 'day' in read ? { value: read.day } : { why: `${label}: ${read.why}.` };
		},
		write: (value) => value ?? ''
	};
}

export function date(asked: Asked): Field<string> {
	const inner = maybeDate({ ...asked, isRequired: true });
	return { ...inner, read: (text, lookup) => inner.read(text, lookup) as Read<string>, write: (value) => value };
}

/** A day and time in the program's own calendar, such as 2026-05-14 06:20. */
export function maybeDayAndTime({ label, help }: Asked): Field<string | null> {
	return {
		label,
		help: help ?? 'such as 2026-05-14 06:20',
		isRequired: false,
		control: 'line',
		read: (text) => {
			const given = text.trim().replace('T', ' ');
			if (given === '') return { value: null };
			const [, day = '', time = ''] = /^(.*\S) +(\S+)$/.exec(given) ?? [];
			const [read, minute] = [readDay(day), minuteOfClock(time)];
			return 'day' in read && minute !== null
				? { value: `${read.day} ${clock(minute)}` }
				: { why: `${label}: “${given}” is not a day and time such as 2026-05-14 06:20.` };
		},
		write: (value) => value ?? ''
	};
}

const clock = (minute: number): string =>
	`${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;

export function maybeTime({ label, help, isRequired = false }: Asked): Field<number | null> {
	return {
		label,
		help: help ?? 'such as 08:30',
		isRequired,
		control: 'line',
		read: (text) => {
			if (text.trim() === '') return isRequired ? missing(label) : { value: null };
			const value = minuteOfClock(text);
			return value === null || value === 1440
				? { why: `${label}: “${text.trim()}” is not a time such as 08:30.` }
				: { value };
		},
		write: (value) => (value === null ? '' : clock(value))
	};
}

export function time(asked: Asked): Field<number> {
	const inner = maybeTime({ ...asked, isRequired: true });
	return { ...inner, read: (text, lookup) => inner.read(text, lookup) as Read<number>, write: clock };
}

const dayNumbers = [1, 2, 3, 4, 5, 6, 0] as const; // a week begins on Monday
const dayNames = ['sunday', 'monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday'];
/** A day by its name or its first letters, three at least; -1 for any other word. */
const dayOf = (word: string): number =>
	word.length < 3 ? -1 : dayNames.findIndex((d) => d.startsWith(word.toLowerCase()));

/** Days of a list such as "Mon, Wed-Fri"; null with the first word that is none. */
function daysOf(text: string): { days: number[] } | { strange: string } {
	const found: number[] = [];
	for (const part of text.split(',').map((p) => p.trim())) {
		const ends = part.split(/[-–]/).map((p) => p.trim());
		const [from, to] = [dayOf(ends[0] ?? ''), dayOf(ends[1] ?? ends[0] ?? '')];
		if (ends.length > 2 || from === -1 || to === -1) return { strange: part };
		for (let day = from; ; day = (day + 1) % 7) {
			found.push(day);
			if (day === to) break;
		}
	}
	return { days: found };
}

/** Days of the week, 0 Sunday to 6 Saturday, as "Mon; Tue". */
export function weekdays({ label, help, isRequired = false }: Asked): Field<number[]> {
	return {
		label,
		help,
		isRequired,
		control: 'several',
		options: dayNumbers.map((d) => days[d]),
		read: (text) => {
			const read = parts(text).map(daysOf);
			const strange = read.find((r) => 'strange' in r);
			if (strange) return { why: `${label}: “${strange.strange.slice(0, 40)}” is not a day of the week.` };
			const given = read.flatMap((r) => ('days' in r ? r.days : []));
			const value = dayNumbers.filter((d) => given.includes(d));
			return value.length === 0 && isRequired ? missing(label) : { value: [...value] };
		},
		write: (value) =>
			dayNumbers
				.filter((d) => value.includes(d))
				.map((d) => days[d])
				.join('; ')
	};
}

export interface Span {
	from: string;
	to: string;
}

/** Stretches of days, first and last, as "2026-06-01 to 2026-06-14; …". */
export function spans({ label, help }: Asked): Field<Span[]> {
	return {
		label,
		help: help ?? 'such as 1 Jun 2026 to 14 Jun 2026; more after a semicolon',
		isRequired: false,
		control: 'line',
		read: (text) => {
			const value: Span[] = [];
			for (const part of parts(text)) {
				const [first = '', last = first, ...more] = part.split(/ to | – |\.\./).map((p) => p.trim());
				const [begin, end] = [readDay(first), readDay(last)];
				if (more.length > 0 || !('day' in begin) || !('day' in end))
					return { why: `${label}: “${part.trim()}” is not a stretch such as 1 Jun 2026 to 14 Jun 2026.` };
				const [from, to] = [begin.day, end.day];
				if (to < from) return { why: `${label}: ${from} to ${to} ends before it begins.` };
				value.push({ from, to });
			}
			return { value };
		},
		write: (value) => value.map((s) => (s.from === s.to ? s.from : `${s.from} to ${s.to}`)).join('; ')
	};
}

export function dates({ label, help }: Asked): Field<string[]> {
	return {
		label,
		help: help ?? 'such as 24 Dec 2026; 25 Dec 2026',
		isRequired: false,
		control: 'line',
		picks: 'days',
		read: (text) => {
			const read = parts(text).map(readDay);
			const bad = read.find((r) => 'why' in r);
			return bad === undefined
				? { value: [...new Set(read.flatMap((r) => ('day' in r ? [r.day] : [])))].sort() }
				: { why: `${label}: ${bad.why}.` };
		},
		write: (value) => value.join('; ')
	};
}

export interface Hours {
	weekday: number;
	opens_min: number;
	closes_min: number;
}

/** Opening hours, as "Mon-Thu 09:00-15:30; Fri 09:00-12:00". Hours of one day that overlap are refused. */
export function hours({ label, help }: Asked): Field<Hours[]> {
	return {
		label,
		help: help ?? 'such as Mon-Thu 9-16; Fri 9:00-12:30',
		isRequired: false,
		control: 'lines',
		read: (text) => {
			const value: Hours[] = [];
			for (const part of parts(text)) {
				const at = part.search(/\d/);
				const on = at === -1 ? { strange: part } : daysOf(part.slice(0, at).trim());
				const ends = at === -1 ? [] : part.slice(at).split(/[-–]/);
				const [opens_min, closes_min] =
					ends.length === 2 ? [minuteOfClock(ends[0]!), minuteOfClock(ends[1]!)] : [null, null];
				if ('strange' in on || opens_min === null || closes_min === null)
					return { why: `${label}: “${part.slice(0, 60)}” is not hours such as Mon-Thu 09:00-15:30.` };
				if (closes_min <= opens_min) return { why: `${label}: “${part.trim()}” closes before it opens.` };
				for (const day of on.days) {
					const other = value.find((h) => h.weekday === day && opens_min < h.closes_min && closes_min > h.opens_min);
					if (other)
						return {
							why:
								`${label}: on ${days[day]!} ${clock(opens_min)}-${clock(closes_min)} overlaps ` +
								`${clock(other.opens_min)}-${clock(other.closes_min)}.`
						};
					value.push({ weekday: day, opens_min, closes_min });
				}
			}
			return { value: value.sort((a, b) => place(a.weekday) - place(b.weekday) || a.opens_min - b.opens_min) };
		},
		write: (value) => written(value)
	};
}

const place = (weekday: number): number => dayNumbers.findIndex((d) => d === weekday);

/** Days in a row with the same hours are written as one. */
function written(hours: readonly Hours[]): string {
	const runs: { from: number; to: number; says: string }[] = [];
	const sayings = dayNumbers.map((d) =>
		hours.filter((h) => h.weekday === d).map((h) => `${clock(h.opens_min)}-${clock(h.closes_min)}`)
	);
	for (const [i, says] of sayings.entries())
		for (const one of says) {
			const run = runs.find((r) => r.to === i - 1 && r.says === one);
			if (run) run.to = i;
			else runs.push({ from: i, to: i, says: one });
		}
	const name = (i: number) => days[dayNumbers[i]!];
	return runs.map((r) => `${name(r.from)}${r.to > r.from ? `-${name(r.to)}` : ''} ${r.says}`).join('; ');
}
