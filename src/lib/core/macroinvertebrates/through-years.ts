import { communityOf, type Community, type Kind } from './community';
import { sensitivityGroups, type SensitivityGroup } from './taxon';

/** One sampling of a site's animals. */
export interface Sampling {
	kinds: readonly Kind[];
	/** Shares of the kinds are known; else only what was there. */
	knowsShares: boolean;
	commonCount: number;
}

export interface SamplingSaid extends Community {
	/** Share of the animals (of the kinds, where animals were not counted) in each group, of those that have one. */
	shares: Record<SensitivityGroup, number>;
}

/** What one sampling says, and how sensitive its animals are. */
export function samplingSaid({ kinds, knowsShares, commonCount }: Sampling): SamplingSaid {
	const said = communityOf(kinds, commonCount);
	const weight = (k: Kind) => (knowsShares ? k.count : Math.min(1, k.count));
	const rated = kinds.filter((k) => k.taxon?.group != null && k.count > 0);
	const all = rated.reduce((sum, k) => sum + weight(k), 0);
	const shareOf = (group: SensitivityGroup) =>
		all === 0 ? 0 : rated.reduce((sum, k) => sum + (k.taxon!.group === group ? weight(k) : 0), 0) / all;
	const shares = Object.fromEntries(sensitivityGroups.map((g) => [g, shareOf(g)])) as Record<SensitivityGroup, number>;
	return { ...said, index: knowsShares ? said.index : null, rarefied: knowsShares ? said.rarefied : null, shares };
}

export interface KindThroughYears {
	code: string;
	taxon: Kind['taxon'];
	/** How many in each sampling, in the order of the samplings. */
	counts: number[];
	/** Samplings in which it was there first and last, by their place. */
	first: number;
	last: number;
}

/** Every kind that was ever found, larger groups together, with its count in each sampling, the earliest first. */
export function kindsThroughYears(samplings: readonly { kinds: readonly Kind[] }[]): KindThroughYears[] {
	const found = new Map<string, KindThroughYears>();
	samplings.forEach(({ kinds }, nth) => {
		for (const { code, taxon, count } of kinds) {
			if (count <= 0) continue;
			const kind = found.get(code) ?? { code, taxon, counts: samplings.map(() => 0), first: nth, last: nth };
			kind.counts[nth] = count;
			kind.last = nth;
			found.set(code, kind);
		}
	});
	const isUnnamed = ({ taxon }: KindThroughYears) => Number(taxon === null);
	const order = ({ taxon, code }: KindThroughYears) => `${taxon?.order ?? ''} ${code}`;
	return [...found.values()].sort((a, b) => isUnnamed(a) - isUnnamed(b) || order(a).localeCompare(order(b), 'en'));
}

export interface IndexChange {
	by: number;
	uncertainty: number;
	/** It is more than counting so few explains. */
	isTold: boolean;
}

/**
 * How far the biotic index of a later sampling lies from an earlier one, with 95 % of what counting so few allows: two
 * standard errors of each, together. Null where one has no index or too few animals for its error.
 */
export function indexChange(earlier: Pick<Community, 'index'>, later: Pick<Community, 'index'>): IndexChange | null {
	const [a, b] = [earlier.index, later.index];
	if (a?.uncertainty == null || b?.uncertainty == null) return null;
	const by = b.value - a.value;
	const uncertainty = Math.hypot(a.uncertainty, b.uncertainty);
	return { by, uncertainty, isTold: Math.abs(by) > uncertainty };
}
