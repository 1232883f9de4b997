import { readDay, type FileRow } from '../library';
import type { KnownTray } from './known-tray';
import { countFieldOf, type CountMapping } from './mapping';

interface Known {
	mapping: CountMapping;
	trays: readonly KnownTray[];
	/** Codes of the program's sites, in capitals. */
	sites: readonly string[];
}

/** An empty cell of a table of counts, or one that says none. */
const NONE = /^[0–-]?$/;

/** The sample that a heading names: by its label, or by a site and a day such as `TE2 3 May 2026`. */
function sampleNamed(heading: string, { trays, sites }: Known): Record<string, string> | null {
	const text = heading.trim().toUpperCase();
	if (trays.some((t) => t.label?.toUpperCase() === text)) return { label: text };
	const [, site = '', day = ''] = /^(\S+?)[\s,;:]+(.+)$/.exec(text) ?? [];
	return sites.includes(site) && 'day' in readDay(day) ? { site, day } : null;
}

/**
 * A table with a row for each animal and a column for each sample, turned into rows of one count each; a file that has
 * such rows already, or whose headings name no sample, as it is. What says none is no row.
 */
export function rowsOfColumns(file: readonly FileRow[], known: Known): FileRow[] {
	const headings = [...new Set(file.flatMap((r) => Object.keys(r.cells)))];
	const meant = new Map(headings.map((h) => [h, countFieldOf(h, known.mapping)]));
	const fields = new Set(meant.values());
	const samples = new Map(
		headings.flatMap((h) => {
			const named = meant.get(h) === null ? sampleNamed(h, known) : null;
			return named ? [[h, named] as const] : [];
		})
	);
	if (fields.has('count') || !fields.has('animal') || samples.size === 0) return [...file];
	return file.flatMap((row) => {
		if (row.broken !== undefined) return [row];
		const rest = Object.fromEntries(Object.entries(row.cells).filter(([h]) => !samples.has(h)));
		return [...samples].flatMap(([heading, named]): FileRow[] => {
			const count = (row.cells[heading] ?? '').trim();
			return NONE.test(count) ? [] : [{ line: row.line, cells: { ...rest, ...named, count } }];
		});
	});
}
