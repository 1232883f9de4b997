import { instantOf, type Folded } from '../logbook';
import { amount, inUsualOrder, keptText, parameterOf, type ParameterCode } from '../quantity';
import type { Determination, Finding, ReviewStatus } from '../subjects/determination';
import { doubt, isAboutPeople, type Flag } from '../subjects/flags';
import type { Verdict } from '../subjects/review/branch';

const statusOf = { accept: 'accepted', qualify: 'qualified', reject: 'rejected' } as const satisfies Record<
	Verdict['verdict'],
	ReviewStatus
>;

/**
 * A finding as a reviewer judged it: the text that a verdict keeps, so that a later change is noticed. A program may
 * define a parameter of its own anew; its text does not change with that, so that no verdict falls.
 */
export const judgedText = (finding: Pick<Finding, 'figure' | 'parameter'>): string =>
	keptText(finding.figure, parameterOf(finding.parameter, undefined).decimals);

/** The same as older verdicts kept it, in the parameter's own decimals and no more. */
function judgedBefore({ figure, parameter }: Pick<Finding, 'figure' | 'parameter'>): string {
	const { decimals } = parameterOf(parameter, undefined);
	return keptText(figure, decimals, amount(figure).number.toFixed(decimals));
}

/**
 * Determinations with what reviewers said of them; those of one parameter stand in the order in which they would be
 * reported. A figure that changed after its review waits again, and says so.
 */
export function reviewed(
	findings: readonly Finding[],
	{ sheet, lines }: Folded
): { judged: readonly Determination[]; flags: Flag[] } {
	const { reviews, verdicts } = sheet;
	if (!reviews && !verdicts) return { judged: findings, flags: [] };
	const flags: Flag[] = [];
	const judged = findings.map((finding): Determination => {
		const { parameter } = finding;
		const { path, verdict } = wordOn(finding, findings, sheet);
		const entry = lines.get(path)?.live;
		if (!verdict || !entry) return finding;
		const review = {
			verdict: verdict.verdict,
			reason: verdict.reason,
			by: entry.by,
			at: new Date(instantOf(entry.at)).toISOString()
		};
		if (isOf(verdict, finding)) return { ...finding, status: statusOf[verdict.verdict], review };
		const evidence = { parameter, judged: verdict.judged, now: judgedText(finding) };
		flags.push(doubt('changed-since-review', { path, parameter }, evidence));
		return { ...finding, review };
	});
	return { judged, flags };
}

const isOf = (verdict: Verdict, finding: Finding) =>
	verdict.judged === judgedText(finding) || verdict.judged === judgedBefore(finding);

/**
 * Where the word on a determination stands. Older logbooks have one for each parameter: it is about the figure that
 * it quotes, and where none is like that any more, about the one that would be reported.
 */
function wordOn(
	finding: Finding,
	all: readonly Finding[],
	{ verdicts, reviews }: Folded['sheet']
): { path: string; verdict: Verdict | undefined } {
	const { parameter, from } = finding;
	const own = verdicts?.[parameter]?.[from];
	const older = reviews?.[parameter];
	if (own || !older) return { path: verdictPath(finding), verdict: own };
	const same = all.filter((f) => f.parameter === parameter);
	const meant = same.find((f) => isOf(older, f)) ?? same[0];
	return { path: `reviews/${parameter}`, verdict: meant === finding ? older : undefined };
}

/** The place in the sheet of a reviewer's word on a determination. */
export const verdictPath = ({ parameter, from }: Pick<Finding, 'parameter' | 'from'>): string =>
	`verdicts/${parameter}/${from}`;

/**
 * Says of each parameter which determination is reported: the one that a reviewer chose, else the first in the order;
 * never one that was rejected, while there is another.
 */
export function reportedOf(judged: readonly Determination[], { sheet, lines }: Folded): Determination[] {
	const of = new Map<ParameterCode, Determination[]>();
	for (const d of judged) of.set(d.parameter, [...(of.get(d.parameter) ?? []), d]);
	return inUsualOrder([...of.keys()]).flatMap((parameter): Determination[] => {
		const all = of.get(parameter)!;
		const left = all.filter((d) => d.status !== 'rejected');
		const asked = sheet.reported?.[parameter];
		const entry = lines.get(`reported/${parameter}`)?.live;
		const wanted = left.find((d) => d.from === asked?.from);
		const first = wanted ?? left[0] ?? all[0]!;
		const choice =
			wanted && asked && entry
				? { reason: asked.reason, by: entry.by, at: new Date(instantOf(entry.at)).toISOString() }
				: null;
		return [{ ...first, isReported: true, choice }, ...all.filter((d) => d !== first)];
	});
}

/**
 * A figure that was worked out from others follows them: rejected with them, and no better than qualified where one
 * of them is.
 */
export function followingParents(determinations: readonly Determination[]): Determination[] {
	const of = new Map(determinations.filter((d) => d.isReported).map((d) => [d.parameter, d.status]));
	return determinations.map((d) => {
		const status = asParents(d, of);
		return status === d.status ? d : { ...d, status };
	});
}

function asParents({ parents, status }: Determination, of: ReadonlyMap<string, ReviewStatus>): ReviewStatus {
	const above = parents.map((p) => of.get(p));
	if (above.includes('rejected')) return 'rejected';
	return status === 'accepted' && above.includes('qualified') ? 'qualified' : status;
}

/**
 * Whether a doubt is about a figure: about its parameter, the place it came from, or a figure that it was worked out
 * from.
 */
export function concerns(flag: Flag, result: Pick<Finding, 'parameter' | 'parents' | 'place'>): boolean {
	if (isAboutPeople(flag)) return false;
	if (flag.parameter !== null)
		return flag.parameter === result.parameter || result.parents.includes(flag.parameter as ParameterCode);
	return liesAt(flag, result);
}

const liesAt = ({ path }: Flag, { place }: Pick<Finding, 'place'>) => path === place || path.startsWith(`${place}/`);

/**
 * The doubts about one determination: those at the place that it comes from, however near another's lies; those about
 * its parameter as such stand with the reported one.
 */
export function doubtsAbout(
	result: Determination,
	{ determinations, flags }: { determinations: readonly Determination[]; flags: readonly Flag[] }
): Flag[] {
	const same = determinations.filter((d) => d.parameter === result.parameter);
	const nearest = (flag: Flag) =>
		same.filter((d) => liesAt(flag, d)).sort((a, b) => b.place.length - a.place.length)[0] ??
		same.find((d) => d.isReported);
	return flags.filter((f) => f.parameter === result.parameter && nearest(f)?.from === result.from);
}

/** Results that wait for a word and that nothing is doubtful about, neither them nor what they were worked out from. */
export function undoubted({
	results,
	flags
}: {
	results: readonly Determination[];
	flags: readonly Flag[];
}): Determination[] {
	const isOpen = (r: Determination): boolean =>
		flags.some((f) => concerns(f, r)) ||
		r.parents.some((p) => results.some((x) => x.parameter === p && x.status === 'rejected'));
	return results.filter((r) => r.status === 'waiting' && !isOpen(r));
}
