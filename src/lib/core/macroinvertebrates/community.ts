import { averageScorePerTaxon, eptRichness, familyBioticIndex } from './scores';
import { rarefy } from './rarefaction';
import type { Taxon } from './taxon';

/** How many of a kind there were; `taxon` null: nobody has named it yet. */
export interface Kind {
	code: string;
	taxon: Taxon | null;
	count: number;
}

/**
 * The kinds that count: a larger group only where nothing that belongs to it was named, for the same animal would count
 * twice. Its animals count all the same.
 */
export function kindsThatCount<K extends Kind>(kinds: readonly K[]): K[] {
	const there = kinds.filter((k) => k.count > 0);
	const told = new Set(there.flatMap(({ taxon }) => taxon?.within ?? []));
	return there.filter(({ taxon }) => taxon === null || !told.has(taxon.code));
}

/** The name under which a kind is scored: red midges and the others are one family, a genus has its family's score. */
export const scoredAs = ({ code, taxon }: Pick<Kind, 'code' | 'taxon'>): string => taxon?.scoresAs ?? code;

export interface Community {
	animals: number;
	/** Animals that nobody has named yet. */
	unnamed: number;
	richness: number;
	ept: number;
	/** Mean tolerance of the animals, with two standard errors of drawing so many; null where none is rated. */
	index: { value: number; uncertainty: number | null; animals: number; kinds: number } | null;
	/** Mean score of the kinds; null where none is scored. */
	score: { value: number; kinds: number } | null;
	/** Kinds to be expected among so many animals; null where there were fewer. */
	rarefied: { value: number; uncertainty: number } | null;
}

/**
 * What a sample of animals says: how many kinds, how many of them mayflies, stoneflies and caddisflies, the mean
 * tolerance with the doubt of drawing so few, the mean score, and the kinds among as many animals as others counted.
 * Counts of animals are 0 or more; RangeError otherwise. Formulas: Lenat 1988, Hilsenhoff 1988, Armitage et al. 1983,
 * Hurlbert 1971; the error of the mean is that of a multinomial draw.
 */
export function communityOf(kinds: readonly Kind[], commonCount: number): Community {
	const there = kindsThatCount(kinds);
	const all = kinds.filter((k) => k.count > 0);
	const rated = all.map(({ count, taxon }) => ({ count, tolerance: taxon?.tolerance ?? null }));
	const { index, individualsUsed, taxaUsed } = familyBioticIndex({ taxa: rated });
	const scored = new Map(there.map((k) => [scoredAs(k), { count: k.count, score: k.taxon?.score ?? null }]));
	const { averageScore, scoringTaxa } = averageScorePerTaxon({ taxa: [...scored.values()] });
	const counts = there.map((k) => k.count);
	const animals = all.reduce((sum, k) => sum + k.count, 0);
	const common = animals < commonCount ? null : rarefy({ counts, sampleSize: commonCount });
	return {
		animals,
		unnamed: all.reduce((sum, k) => sum + (k.taxon === null ? k.count : 0), 0),
		richness: there.length,
		ept: eptRichness({ taxa: there.map(({ count, taxon }) => ({ count, order: taxon?.order ?? null })) }).eptRichness,
		index:
			index === null
				? null
				: {
						value: index,
						uncertainty: twoStandardErrors(rated, index, individualsUsed),
						animals: individualsUsed,
						kinds: taxaUsed
					},
		score: averageScore === null ? null : { value: averageScore, kinds: scoringTaxa },
		rarefied:
			common?.richness == null || common.se === null ? null : { value: common.richness, uncertainty: 2 * common.se }
	};
}

/** Of a mean tolerance; null of one animal, which says nothing of how far another would lie from it. */
function twoStandardErrors(
	rated: readonly { count: number; tolerance: number | null }[],
	mean: number,
	animals: number
): number | null {
	if (animals < 2) return null;
	const squares = rated.reduce((sum, t) => sum + (t.tolerance === null ? 0 : t.count * (t.tolerance - mean) ** 2), 0);
	return 2 * Math.sqrt(squares / (animals - 1) / animals);
}
