/** A day as somebody wrote it: its ISO date, or why it cannot be told. */
export type ReadDay = { day: string } | { why: string };

const months = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const monthOf = (word: string): number =>
	word.length < 3 ? 0 : months.findIndex((m) => word.toLowerCase().startsWith(m)) + 1;

/**
 * Reads a day the ways people write it: `2026-05-14`, `14 May 2026`, `May 14, 2026`, `14.5.2026`, `14/5/2026`. A day
 * that can be read as two (3/4/2026) is asked back, not guessed.
 */
export function readDay(text: string): ReadDay {
	const given = text.trim().replace(/\s+/g, ' ');
	const strange = { why: `“${given.slice(0, 40)}” is not a day such as 14 May 2026 or 2026-05-14` };
	const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(given);
	if (iso) return dayAt(iso[1]!, Number(iso[2]), Number(iso[3])) ?? strange;
	const dayFirst = /^(\d{1,2})(?:st|nd|rd|th)?[ .-]{1,2}([A-Za-z]{3,9})\.?,?[ -](\d{4})$/.exec(given);
	if (dayFirst) return dayAt(dayFirst[3]!, monthOf(dayFirst[2]!), Number(dayFirst[1])) ?? strange;
	const monthFirst = /^([A-Za-z]{3,9})\.? (\d{1,2})(?:st|nd|rd|th)?,? (\d{4})$/.exec(given);
	if (monthFirst) return dayAt(monthFirst[3]!, monthOf(monthFirst[1]!), Number(monthFirst[2])) ?? strange;
	// with points the day comes first wherever it is written so; with strokes it depends on the country
	const points = /^(\d{1,2})\. ?(\d{1,2})\. ?(\d{4})$/.exec(given);
	if (points) return dayAt(points[3]!, Number(points[2]), Number(points[1])) ?? strange;
	const strokes = /^(\d{1,2})\/(\d{1,2})\/(\d{4})$/.exec(given);
	if (!strokes) return strange;
	const [a, b, year] = [Number(strokes[1]), Number(strokes[2]), strokes[3]!];
	const [dayMonth, monthDay] = [dayAt(year, b, a), dayAt(year, a, b)];
	if (dayMonth && monthDay && a !== b)
		return { why: `“${given}” may be ${spell(dayMonth.day)} or ${spell(monthDay.day)}: write the month as a word` };
	return dayMonth ?? monthDay ?? strange;
}

function dayAt(year: string, month: number, day: number): { day: string } | null {
	const iso = `${year}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`;
	const at = new Date(`${iso}T00:00:00Z`);
	return !Number.isNaN(+at) && at.toISOString().startsWith(iso) ? { day: iso } : null;
}

const spell = (iso: string): string => {
	const [, month = '', day = ''] = iso.split('-');
	const name = months[Number(month) - 1]!;
	return `${Number(day)} ${name[0]!.toUpperCase()}${name.slice(1)}`;
};
