import { whole } from '../quantity';
import { wholeCountsOf } from './counts';

/**
 * How many taxa a smaller sample of so many animals would have held, drawn from this one without putting back, with
 * its standard error. Hurlbert 1971; Heck, van Belle & Simberloff 1975. Null where the sample holds fewer animals
 * than that, or none.
 */
export function rarefy({ counts, sampleSize }: { counts: readonly number[]; sampleSize: number }): {
	richness: number | null;
	se: number | null;
} {
	const n = whole('sampleSize', sampleSize, 1);
	const { present, total } = wholeCountsOf(counts);
	if (total === 0 || n > total) return { richness: null, se: null };
	const missed = chancesMissed(total, n);
	const taxaOf = new Map<number, number>(); // taxa with the same count are missed alike
	for (const x of present) taxaOf.set(x, (taxaOf.get(x) ?? 0) + 1);
	const groups = [...taxaOf].map(([x, taxa]) => ({ x, taxa, q: missed(x) }));
	let richness = 0;
	let variance = 0;
	for (const [i, g] of groups.entries()) {
		richness += g.taxa * (1 - g.q);
		variance += g.taxa * g.q * (1 - g.q) + g.taxa * (g.taxa - 1) * (missed(2 * g.x) - g.q ** 2);
		for (const h of groups.slice(i + 1)) variance += 2 * g.taxa * h.taxa * (missed(g.x + h.x) - g.q * h.q);
	}
	return { richness, se: Math.sqrt(Math.max(0, variance)) };
}

/**
 * The chance that none of x animals is among n drawn from N: C(N−x, n)/C(N, n), a product of the fewer of x and n
 * factors.
 */
function chancesMissed(total: number, n: number): (x: number) => number {
	return (x) => {
		if (total - x < n) return 0;
		const [few, many] = x < n ? [x, n] : [n, x];
		let q = 1;
		for (let k = 0; k < few; k++) q *= (total - many - k) / (total - k);
		return q;
	};
}

/**
 * Richness expected at sizes 1, step, 2 step, … and the whole sample: has the curve flattened? Each size follows from
 * the one before it by one factor a taxon, so the whole curve costs one walk along it. Empty lists of nothing.
 * Hurlbert 1971.
 */
export function rarefactionCurve({ counts, step }: { counts: readonly number[]; step: number }): {
	sampleSizes: number[];
	richness: number[];
} {
	const stride = whole('step', step, 1);
	const { present, total } = wholeCountsOf(counts);
	if (total === 0) return { sampleSizes: [], richness: [] };
	const sampleSizes = [...new Set([1, ...multiples(stride, total), total])];
	const taxaOf = new Map<number, number>();
	for (const x of present) taxaOf.set(x, (taxaOf.get(x) ?? 0) + 1);
	const sizes = Float64Array.from(taxaOf.keys());
	const taxa = Float64Array.from(taxaOf.values());
	const missed = new Float64Array(sizes.length).fill(1);
	const richness: number[] = [];
	let drawn = 0;
	for (const size of sampleSizes) {
		for (; drawn < size; drawn++)
			for (let i = 0; i < sizes.length; i++) missed[i]! *= Math.max(0, total - sizes[i]! - drawn) / (total - drawn);
		let expected = 0;
		for (let i = 0; i < sizes.length; i++) expected += taxa[i]! * (1 - missed[i]!);
		richness.push(expected);
	}
	return { sampleSizes, richness };
}

const multiples = (step: number, below: number) =>
	Array.from({ length: Math.ceil(below / step) - 1 }, (_, i) => (i + 1) * step);
