import { parse } from 'csv-parse/sync';
import { stringify } from 'csv-stringify/sync';
import { settingsOf, type MethodCard } from '../../core/method';

const HEADINGS = ['setting', 'where', 'what', 'value'];
const MOST_SETTINGS = 500;

/** A card's settings as CSV, a row each; the first column says where a value belongs when it comes back. */
export const settingsAsCsv = (card: MethodCard): string =>
	stringify([HEADINGS, ...settingsOf(card).map((s) => [s.path, s.group, s.label, s.text])], { bom: true });

/** Settings by path from such a file. */
export function readSettings(text: string): { texts: Record<string, string> } | { why: string } {
	let rows: string[][];
	try {
		rows = parse(text, { bom: true, relax_column_count: true, skip_empty_lines: true });
	} catch (trouble) {
		return { why: `This is no CSV: ${trouble instanceof Error ? trouble.message : 'it cannot be read'}.` };
	}
	const [path, value] = [rows[0]?.indexOf('setting') ?? -1, rows[0]?.indexOf('value') ?? -1];
	if (path === -1 || value === -1) return { why: 'A file of settings has the headings “setting” and “value”, as one that was taken out here.' };
	if (rows.length > MOST_SETTINGS) return { why: `${rows.length} rows; no card has more than ${MOST_SETTINGS} settings.` };
	return { texts: Object.fromEntries(rows.slice(1).map((r) => [r[path] ?? '', r[value] ?? ''])) };
}
