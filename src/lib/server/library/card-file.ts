import { parse, type Info } from 'csv-parse/sync';
import { stringify } from 'csv-stringify/sync';
import type { OwnParameters } from '../../core/quantity';
import { settingsOf, withSettings, type Contradiction, type MethodCard } from '../../core/method';
import { safe, unescaped } from './cell';

const HEADINGS = ['setting', 'where', 'what', 'value'];
const MOST_SETTINGS = 500;

/** A card's settings as CSV, a row each; the first column says where a value belongs when it comes back. */
export const settingsAsCsv = (card: MethodCard): string =>
	stringify([HEADINGS, ...settingsOf(card).map((s) => [s.path, s.group, s.label, s.text].map(safe))], { bom: true });

export interface SettingsFile {
	texts: Record<string, string>;
	/** Where each stands in the file. */
	lines: Record<string, number>;
}

/** Settings by path from such a file. */
export function readSettings(text: string): SettingsFile | { why: string } {
	let rows: { record: string[]; info: Info }[];
	try {
		rows = parse(text, {
			bom: true,
			relax_column_count: true,
			skip_empty_lines: true,
			info: true
		}) as unknown as typeof rows;
	} catch (trouble) {
		return { why: `This is no CSV: ${trouble instanceof Error ? trouble.message : 'it cannot be read'}.` };
	}
	const headings = rows[0]?.record ?? [];
	const [path, value] = [headings.indexOf('setting'), headings.indexOf('value')];
	if (path === -1 || value === -1)
		return { why: 'A file of settings has the headings “setting” and “value”, as one that was taken out here.' };
	if (rows.length > MOST_SETTINGS)
		return { why: `${rows.length} rows; no card has more than ${MOST_SETTINGS} settings.` };
	const given = rows.slice(1).map(({ record, info }) => ({
		path: unescaped(record[path] ?? ''),
		text: unescaped(record[value] ?? ''),
		line: info.lines
	}));
	return {
		texts: Object.fromEntries(given.map((g) => [g.path, g.text])),
		lines: Object.fromEntries(given.map((g) => [g.path, g.line]))
	};
}

export interface SettingsPreview {
	changes: { label: string; from: string; to: string }[];
}

/** What a file would change of a card, setting by setting; or what is wrong with it, line by line. Nothing is kept. */
export function previewSettings(
	card: MethodCard,
	{ texts, lines }: SettingsFile,
	own: OwnParameters
): SettingsPreview | { why: Contradiction[] } {
	const made = withSettings(card, texts, own);
	if ('why' in made)
		return {
			why: made.why.map((w) => ({
				path: '',
				why: lines[w.path] === undefined ? w.why : `Line ${lines[w.path]}, ${w.path}: ${w.why}`
			}))
		};
	const now = new Map(settingsOf(card).map((s) => [s.path, s.text]));
	return {
		changes: settingsOf(made.card).flatMap((s) => {
			const from = now.get(s.path) ?? '';
			return from === s.text ? [] : [{ label: `${s.group}: ${s.label}`, from, to: s.text }];
		})
	};
}
