import { instantOf, type Folded, type Verdict } from '../logbook';
import { amount, parameters, writeExactly, writeFigure, type ParameterCode } from '../quantity';
import { isAboutPeople, type Flag } from '../quality';
import type { Result, ReviewStatus } from './outcome';
import type { Finding } from './outcome';

const statusOf = { accept: 'accepted', qualify: 'qualified', reject: 'rejected' } as const satisfies Record<Verdict['verdict'], ReviewStatus>;

/** A finding as a reviewer judged it: the text that a verdict keeps, so that a later change is noticed. */
export const judgedText = (finding: Pick<Finding, 'figure' | 'parameter'>): string => writeFigure(finding.figure, parameters[finding.parameter].decimals);

/** The same as older verdicts kept it, in the parameter's own decimals and no more. */
const judgedBefore = ({ figure, parameter }: Pick<Finding, 'figure' | 'parameter'>): string =>
	writeExactly(figure, amount(figure).number.toFixed(parameters[parameter].decimals));

/**
 * Findings with what reviewers said of them. A figure that changed after its review waits again, and says so. A figure that was
 * worked out from others follows them: rejected with them, and no better than qualified where one of them is.
 */
export function reviewed(findings: readonly Finding[], { sheet, lines }: Folded): { results: Result[]; flags: Flag[] } {
	const flags: Flag[] = [];
	const results = findings.map((finding): Result => {
		const path = `reviews/${finding.parameter}`;
		const verdict = sheet.reviews?.[finding.parameter];
		const entry = lines.get(path)?.live;
		if (!verdict || !entry) return { ...finding, status: 'waiting', review: null };
		const review = { verdict: verdict.verdict, reason: verdict.reason, by: entry.by, at: new Date(instantOf(entry.at)).toISOString() };
		const now = judgedText(finding);
		if (verdict.judged === now || verdict.judged === judgedBefore(finding)) return { ...finding, status: statusOf[verdict.verdict], review };
		flags.push({
			code: 'changed-since-review',
			path,
			parameter: finding.parameter,
			evidence: { parameter: parameters[finding.parameter].name, judged: verdict.judged, now }
		});
		return { ...finding, status: 'waiting', review };
	});
	const statusOfParent = new Map(results.map((r) => [r.parameter, r.status]));
	return { results: results.map((r) => ({ ...r, status: asParents(r, statusOfParent) })), flags };
}

function asParents({ parents, status }: Result, of: ReadonlyMap<string, ReviewStatus>): ReviewStatus {
	const above = parents.map((p) => of.get(p));
	if (above.includes('rejected')) return 'rejected';
	return status === 'accepted' && above.includes('qualified') ? 'qualified' : status;
}

/** Whether a doubt is about a figure: about its parameter, the place it came from, or a figure that it was worked out from. */
export function concerns(flag: Flag, result: Pick<Finding, 'parameter' | 'parents' | 'place'>): boolean {
	if (isAboutPeople(flag)) return false;
	if (flag.parameter !== null) return flag.parameter === result.parameter || result.parents.includes(flag.parameter as ParameterCode);
	return flag.path === result.place || flag.path.startsWith(`${result.place}/`);
}

/** Results that wait for a word and that nothing is doubtful about, neither them nor what they were worked out from. */
export function undoubted({ results, flags }: { results: readonly Result[]; flags: readonly Flag[] }): Result[] {
	const isOpen = (r: Result): boolean =>
		flags.some((f) => concerns(f, r)) || r.parents.some((p) => results.some((x) => x.parameter === p && x.status === 'rejected'));
	return results.filter((r) => r.status === 'waiting' && !isOpen(r));
}
