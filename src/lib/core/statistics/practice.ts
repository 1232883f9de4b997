import { listOf, openShare, orDefault, pairedLists, whole } from '../quantity';
import { studentWithin } from './distributions/student';
import { exactProportion, type Proportion } from './proportion';
import { mean, standardDeviation } from './spread';

type MaybeCount = readonly (number | null | undefined)[];

/**
 * How far somebody's counts lie from the truth, in percent with its interval, and how they scatter, as a factor. Half a
 * thing is added to each, so that none counts too. A pair with a null is dropped. RangeError below 0 or lists of
 * different length. Anscombe 1948.
 */
export function countingBias(sample: { truth: MaybeCount; counted: MaybeCount; confidence?: number | null }): {
	percentBias: number | null;
	lower: number | null;
	upper: number | null;
	spreadFactor: number | null;
	n: number;
} {
	const confidence = openShare('confidence', orDefault(sample.confidence, 0.95));
	const counts = (name: 'truth' | 'counted') =>
		listOf(name, sample[name], (place, c) => (c == null ? null : whole(place, c)));
	const [truth, counted] = [counts('truth'), counts('counted')];
	pairedLists({ truth, counted });
	const ratios = truth.flatMap((t, i) => {
		const c = counted[i];
		return t === null || c == null ? [] : [Math.log((c + 0.5) / (t + 0.5))];
	});
	const n = ratios.length;
	const [centre, sd] = [mean(ratios), standardDeviation(ratios)];
	const percent = (log: number) => 100 * (Math.exp(log) - 1);
	if (centre === null) return { percentBias: null, lower: null, upper: null, spreadFactor: null, n };
	if (sd === null) return { percentBias: percent(centre), lower: null, upper: null, spreadFactor: null, n };
	const half = (studentWithin(confidence, n - 1) * sd) / Math.sqrt(n);
	return {
		percentBias: percent(centre),
		lower: percent(centre - half),
		upper: percent(centre + half),
		spreadFactor: Math.exp(sd),
		n
	};
}

export interface TaxonSkill {
	taxon: string;
	n: number;
	correct: number;
	sensitivity: number;
	/** The name most often given instead; null where none was. */
	confusedWith: string | null;
	times: number;
}

/**
 * How often somebody gives the right name, with exact limits, and for each true name what it is taken for. No name
 * counts as wrong. RangeError for a truth that is missing or lists of different length. Clopper & Pearson 1934.
 */
export function namingSkill(sample: {
	truth: readonly string[];
	named: readonly (string | null)[];
	confidence?: number | null;
}): { accuracy: number | null; correct: number; n: number; taxa: TaxonSkill[] } & Omit<Proportion, 'proportion'> {
	const confidence = openShare('confidence', orDefault(sample.confidence, 0.95));
	const truth = listOf('truth', sample.truth, nameAt);
	const named = listOf('named', sample.named, (place, name) => (name == null ? null : nameAt(place, name)));
	pairedLists({ truth, named });
	const correct = truth.filter((t, i) => t === named[i]).length;
	const { proportion, lower, upper } = exactProportion({ successes: correct, n: truth.length, confidence });
	const taxa = [...new Set(truth)].sort(byCodeUnit).map((taxon) => skillOf(taxon, truth, named));
	return { accuracy: proportion, lower, upper, correct, n: truth.length, taxa };
}

function nameAt(place: string, name: unknown): string {
	if (typeof name !== 'string') throw new RangeError(`${place} must be a name: ${String(name)}`);
	return name;
}

const byCodeUnit = (a: string, b: string) => (a < b ? -1 : 1);

function skillOf(taxon: string, truth: readonly string[], named: readonly (string | null)[]): TaxonSkill {
	const given = named.filter((_, i) => truth[i] === taxon);
	const correct = given.filter((name) => name === taxon).length;
	const wrong = new Map<string, number>();
	for (const name of given) if (name !== null && name !== taxon) wrong.set(name, (wrong.get(name) ?? 0) + 1);
	const [most] = [...wrong].sort(([a, n], [b, m]) => m - n || byCodeUnit(a, b));
	return {
		taxon,
		n: given.length,
		correct,
		sensitivity: correct / given.length,
		confusedWith: most?.[0] ?? null,
		times: most?.[1] ?? 0
	};
}
