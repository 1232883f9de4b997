import { instantOf, type Folded, type Verdict } from '../logbook';
import { parameters, writeFigure } from '../quantity';
import type { Flag } from '../quality';
import type { Result, ReviewStatus } from './outcome';
import type { Finding } from './outcome';

const statusOf = { accept: 'accepted', qualify: 'qualified', reject: 'rejected' } as const satisfies Record<Verdict['verdict'], ReviewStatus>;

/** A finding as a reviewer judged it: the text that a verdict keeps, so that a later change is noticed. */
export const judgedText = (finding: Pick<Finding, 'figure' | 'parameter'>): string => writeFigure(finding.figure, parameters[finding.parameter].decimals);

/** Findings with what reviewers said of them. A figure that changed after its review waits again, and says so. */
export function reviewed(findings: readonly Finding[], { sheet, lines }: Folded): { results: Result[]; flags: Flag[] } {
	const flags: Flag[] = [];
	const results = findings.map((finding): Result => {
		const path = `reviews/${finding.parameter}`;
		const verdict = sheet.reviews?.[finding.parameter];
		const entry = lines.get(path)?.live;
		if (!verdict || !entry) return { ...finding, status: 'waiting', review: null };
		const review = { verdict: verdict.verdict, reason: verdict.reason, by: entry.by, at: new Date(instantOf(entry.at)).toISOString() };
		const now = judgedText(finding);
		if (verdict.judged === now) return { ...finding, status: statusOf[verdict.verdict], review };
		flags.push({
			code: 'changed-since-review',
			path,
			parameter: finding.parameter,
			evidence: { parameter: parameters[finding.parameter].name, judged: verdict.judged, now }
		});
		return { ...finding, status: 'waiting', review };
	});
	return { results, flags };
}
