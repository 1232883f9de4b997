import { whole } from '../quantity';
import { seeded } from '../statistics';
import type { Kind } from './community';
import { brayCurtis, jaccard } from './diversity';
import { principalCoordinates } from './ordination';

/** A sampling that is set beside others. */
export interface Beside {
	kinds: readonly Kind[];
	/** Shares of the kinds are known; else only what was there. */
	knowsShares: boolean;
}

export interface BetweenSites {
	/** Of all, by shares of the animals where every sampling knows them; else by the kinds that were there. */
	by: 'shares' | 'presence';
	/** [sampling][sampling], 0 alike to 1 nothing in common. */
	dissimilarities: number[][];
	/** Places on a plane whose distances are as near to that as a plane can have them, one for each sampling. */
	places: { x: number; y: number }[];
	/** How much of what lies between them the plane shows, 0 to 1. */
	shown: number;
}

/**
 * How unlike samplings of several sites are, and a picture of it: Bray and Curtis's dissimilarity of the shares of
 * their kinds (so that a large sample and a small one compare), or Jaccard's of the kinds that were there where shares
 * are not known; drawn by principal coordinates (Bray & Curtis 1957; Jaccard 1912; Gower 1966). RangeError for counts
 * below 0. Samplings without an animal are to be left out before.
 */
export function betweenSites(samplings: readonly Beside[]): BetweenSites {
	const by = samplings.every((s) => s.knowsShares) ? 'shares' : 'presence';
	const rows = rowsOf(samplings);
	const unlike = by === 'shares' ? unlikeByShares : unlikeByPresence;
	const dissimilarities = rows.map((a, i) => rows.map((b, j) => (i === j ? 0 : unlike(a, b))));
	const { coordinates, shareExplained } = principalCoordinates({ dissimilarities });
	return {
		by,
		dissimilarities,
		places: coordinates.map(([x = 0, y = 0]) => ({ x, y })),
		shown: (shareExplained[0] ?? 0) + (shareExplained[1] ?? 0)
	};
}

/**
 * Counts of each sampling over all kinds that any of them has, in one order. What nobody has named yet is left out: the
 * unknown kind of one tray is not that of another.
 */
function rowsOf(samplings: readonly Beside[]): number[][] {
	const named = samplings.map((s) => s.kinds.filter((k) => k.taxon !== null));
	const codes = [...new Set(named.flatMap((kinds) => kinds.map((k) => k.code)))].sort();
	return named.map((kinds) => {
		const counts = new Map(kinds.map((k) => [k.code, k.count]));
		return codes.map((code) => counts.get(code) ?? 0);
	});
}

const sharesOf = (counts: readonly number[]): number[] => {
	const all = counts.reduce((sum, n) => sum + n, 0);
	return counts.map((n) => (all === 0 ? 0 : n / all));
};
const unlikeByShares = (a: readonly number[], b: readonly number[]): number =>
	brayCurtis({ countsA: sharesOf(a), countsB: sharesOf(b) }).dissimilarity ?? 0;
const unlikeByPresence = (countsA: readonly number[], countsB: readonly number[]): number =>
	jaccard({ countsA, countsB }).dissimilarity ?? 0;

export interface Differs {
	dissimilarity: number;
	/** What counting so few makes unlike where nothing differs, 19 times in 20 no more than this. */
	byChance: number;
	/** They differ by more than counting explains. */
	isTold: boolean;
}

/**
 * Whether two samplings differ by more than counting so few animals makes: their dissimilarity by shares, beside that
 * of `draws` pairs of the same sizes drawn from both together, of which 95 % lie at or under `byChance`. Null where one
 * of them does not know shares or has no animals. A parametric test with Bray and Curtis's dissimilarity as its
 * statistic, by Monte Carlo (Davison & Hinkley 1997, section 4.2). Chance comes in by its seed.
 */
export function differs(one: Beside, other: Beside, seed: number, draws = 400): Differs | null {
	if (!one.knowsShares || !other.knowsShares) return null;
	whole('draws', draws, 1);
	const [a, b] = rowsOf([one, other]) as [number[], number[]];
	const sizes = [a, b].map((row) => row.reduce((sum, n) => sum + n, 0));
	if (sizes.includes(0)) return null;
	const both = a.map((n, i) => n + b[i]!);
	const urn = both.flatMap((n, i) => Array.from({ length: Math.round(n) }, () => i));
	const chance = seeded(seed);
	const drawn = (size: number) => {
		const row = both.map(() => 0);
		for (let k = 0; k < size; k++) row[chance.pick(urn)]!++;
		return row;
	};
	const unlike = Array.from({ length: draws }, () =>
		unlikeByShares(drawn(Math.round(sizes[0]!)), drawn(Math.round(sizes[1]!)))
	).sort((x, y) => x - y);
	const byChance = unlike[Math.ceil(0.95 * draws) - 1]!;
	const dissimilarity = unlikeByShares(a, b);
	return { dissimilarity, byChance, isTold: dissimilarity > byChance };
}
