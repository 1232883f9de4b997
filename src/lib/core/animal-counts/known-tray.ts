import type { Sheet } from '../logbook';
import type { TraySchool } from '../subjects/tray/step';

/** A tray of a visit that a file of counts may speak of. */
export interface KnownTray {
	visitId: string;
	/** The step of its card that sorts it. */
	step: string;
	school: TraySchool;
	label: string | null;
	/** The site's code, and the ISO day of the visit there. */
	site: string;
	day: string;
	/** What stands in it by now, by kind. */
	kinds: Readonly<Record<string, number>>;
	/** Somebody said that all of it is sorted. */
	isEnded: boolean;
	/** Where its counts came from, where a file brought them. */
	from: string | null;
}

/** What stands in a tray, under the names that were written: what it was called later takes no part. */
export function kindsWritten({ trays, tallies }: Pick<Sheet, 'trays' | 'tallies'>, step: string): KnownTray['kinds'] {
	const { classes = {}, present = {} } = trays?.[step] ?? {};
	const there = [...Object.keys(classes), ...Object.keys(present).filter((code) => present[code])];
	const counts = Object.entries(tallies?.[step]?.taxa ?? {}).map(([code, n]): [string, number] => [code, n ?? 0]);
	return Object.fromEntries([...there.map((code): [string, number] => [code, 1]), ...counts]);
}
