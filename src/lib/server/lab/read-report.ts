import { createHash } from 'node:crypto';
import { distance } from 'fastest-levenshtein';
import { notReported, planReport, type ReportLine, type ReportPlan } from '../../core/lab-report';
import { readCsv } from '../library/read-file';

/** A year of a large program; a file with more is sent in parts. */
export const MOST_REPORT_ROWS = 20_000;

export interface ReportRead extends ReportPlan {
	/** For labels that no bottle has: those that are nearly written so. */
	near: Record<string, string[]>;
	missing: ReturnType<typeof notReported>;
	/** Says whether what is written is what was looked at. */
	fingerprint: string;
}

/** A report's text as what it would write, or why it cannot be read at all. */
export function readReport(
	text: string,
	from: { lab: string; report: string; isSimulated: boolean },
	options: Parameters<typeof planReport>[1]
): ReportRead | { why: string } {
	const read = readCsv(text);
	if ('why' in read) return read;
	if (read.rows.length === 0) return { why: 'There is no row under the headings of this file.' };
	if (read.rows.length > MOST_REPORT_ROWS)
		return { why: `${read.rows.length} rows; at most ${MOST_REPORT_ROWS} are taken at once. Bring it in in parts.` };
	const plan = planReport({ rows: read.rows, ...from }, options);
	const labels = [...new Set(options.bottles.map((b) => b.label.toUpperCase()))];
	const unknown = [...new Set(plan.lines.filter((l) => l.isLabelUnknown).map((l) => l.label))].slice(0, MOST_ASKED);
	const missing = notReported(plan.lines, options.bottles);
	const isMissed = new Set(missing.map((m) => m.label.toUpperCase()));
	return {
		...plan,
		near: Object.fromEntries(unknown.map((label) => [label, nearTo(label, labels, isMissed)])),
		missing,
		fingerprint: fingerprintOf(plan.lines)
	};
}

const fingerprintOf = (lines: readonly ReportLine[]): string =>
	createHash('sha256')
		.update(JSON.stringify(lines.map(({ line, verdict, write, was }) => [line, verdict, write, was])))
		.digest('hex');

/** More unknown labels than these are another program's file. */
const MOST_ASKED = 60;
/** Two digits that changed places are two letters off. */
const FURTHEST = 2;
const NEAREST = 4;

/** Those that the report lacks come first: one of them is the likeliest to have been misread. */
const nearTo = (label: string, labels: readonly string[], isMissed: ReadonlySet<string>): string[] =>
	labels
		.map((other) => ({ other, off: distance(label, other), isMissed: isMissed.has(other) }))
		.filter(({ off }) => off <= FURTHEST)
		.sort((a, b) => Number(b.isMissed) - Number(a.isMissed) || a.off - b.off || a.other.localeCompare(b.other))
		.slice(0, NEAREST)
		.map(({ other }) => other);
