import { atLeast, finite, given, inRange, listOf, over, plus, times, type Working } from '../quantity';
import { sum } from './counts';

/** Taxa that were there, each count checked, with one more thing of each taken by `more`. */
function thereOf<T extends { count: number }, M>(
	taxa: readonly T[],
	more: (place: string, taxon: Partial<T>) => M
): (M & { count: number })[] {
	return listOf('taxa', taxa, (place, entry) => {
		const taxon = (entry ?? {}) as Partial<T>;
		return { ...more(place, taxon), count: atLeast(`${place}.count`, taxon.count, 0) };
	}).filter((t) => t.count > 0);
}

/**
 * The family biotic index: the mean tolerance (0 sensitive .. 10 tolerant) of all animals whose taxon has one.
 * Hilsenhoff 1988. Null where none has. RangeError for a tolerance outside 0..10 or a count below 0.
 */
export function familyBioticIndex({ taxa }: { taxa: readonly { count: number; tolerance?: number | null }[] }): {
	index: number | null;
	individualsUsed: number;
	taxaUsed: number;
	working: Working | null;
} {
	const there = thereOf(taxa, (place, t) => ({
		tolerance: t.tolerance == null ? null : inRange(`${place}.tolerance`, t.tolerance, 0, 10)
	}));
	const rated = there.filter((t) => t.tolerance !== null);
	const individualsUsed = sum(rated.map((t) => t.count));
	const [first, ...rest] = rated.map((t) => times(given(t.count), given(t.tolerance!)));
	if (!first) return { index: null, individualsUsed: 0, taxaUsed: 0, working: null };
	const step = over(rest.length === 0 ? first : plus(first, ...rest), given(individualsUsed, 'animals'));
	return { index: step.number, individualsUsed, taxaUsed: rated.length, working: { step, unit: '' } };
}

/** Orders whose families mostly ask for clean water: mayflies, stoneflies, caddisflies. */
const EPT = ['Ephemeroptera', 'Plecoptera', 'Trichoptera'];

/**
 * Taxa and animals of mayflies, stoneflies and caddisflies, and their share in percent (null of nothing). Each entry
 * is one taxon. Lenat 1988.
 */
export function eptRichness({ taxa }: { taxa: readonly { count: number; order?: string | null }[] }): {
	eptRichness: number;
	eptIndividuals: number;
	eptPercent: number | null;
} {
	const there = thereOf(taxa, (_, { order }) => ({ order: order ?? '' }));
	const ept = there.filter((t) => EPT.includes(t.order));
	const total = sum(there.map((t) => t.count));
	const eptIndividuals = sum(ept.map((t) => t.count));
	return { eptRichness: ept.length, eptIndividuals, eptPercent: total === 0 ? null : (100 * eptIndividuals) / total };
}

/**
 * The sum of the scores of the taxa present, however many animals of each, and the mean score of a taxon (null where
 * none scores). Armitage et al. 1983.
 */
export function averageScorePerTaxon({ taxa }: { taxa: readonly { count: number; score?: number | null }[] }): {
	totalScore: number;
	scoringTaxa: number;
	averageScore: number | null;
} {
	const there = thereOf(taxa, (place, t) => ({ score: t.score == null ? null : finite(`${place}.score`, t.score) }));
	const scoring = there.filter((t) => t.score !== null);
	const totalScore = sum(scoring.map((t) => t.score!));
	return {
		totalScore,
		scoringTaxa: scoring.length,
		averageScore: scoring.length === 0 ? null : totalScore / scoring.length
	};
}
