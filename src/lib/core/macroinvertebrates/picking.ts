import { atLeast, finite, listOf, whole } from '../quantity';
import { wholeCountsOf } from './counts';

/** One animal, or several of a kind, picked at a minute of the pick. */
export interface Picked {
	taxon: string;
	minute: number;
	count?: number | null;
}

export interface PickRule {
	pickLeast_min: number;
	pickMore_min: number;
	pickMost_min: number;
}

export interface PickAdvice {
	/** Minute until which the pick goes on, as things stand. */
	until_min: number;
	isOver: boolean;
	/** Minute of the last new taxon; null before the first animal. */
	lastNew_min: number | null;
	taxa: number;
	animals: number;
	/**
	 * New taxa to be expected in the next minutes, as many as one look more lasts; null before there is anything to
	 * go by.
	 */
	expectedNewTaxa: number | null;
	/**
	 * The curve has flattened: less than half a new taxon is to be expected. Null before there is anything to go by.
	 */
	isFlat: boolean | null;
}

/**
 * Whether a timed pick may stop: at least so many minutes; when a new taxon came within the last few, as many more;
 * and so on to the most. And what going on would bring: the new taxa expected among the animals that the same pace
 * gives in one more look, from those seen once and twice (Chao & Jost 2012, after Good & Toulmin 1956). RangeError
 * for a minute below 0.
 */
export function pickAdvice({
	picked,
	now_min,
	...rule
}: { picked: readonly Picked[]; now_min: number } & PickRule): PickAdvice {
	const now = atLeast('now_min', now_min, 0);
	const least = finite('pickLeast_min', rule.pickLeast_min);
	const more = finite('pickMore_min', rule.pickMore_min);
	const most = finite('pickMost_min', rule.pickMost_min);
	const first = new Map<string, number>();
	const counts = new Map<string, number>();
	const checked = listOf('picked', picked, (place, entry) => {
		const { taxon, minute, count } = (entry ?? {}) as Partial<Picked>;
		return {
			taxon: String(taxon),
			minute: atLeast(`${place}.minute`, minute, 0),
			count: whole(`${place}.count`, count ?? 1, 1)
		};
	});
	for (const { taxon, minute, count } of checked.sort((a, b) => a.minute - b.minute)) {
		if (!first.has(taxon)) first.set(taxon, minute);
		counts.set(taxon, (counts.get(taxon) ?? 0) + count);
	}
	const lastNew_min = first.size === 0 ? null : Math.max(...first.values());
	let until_min = least;
	while (lastNew_min !== null && until_min < most && lastNew_min > until_min - more)
		until_min = Math.min(most, until_min + more);
	const animals = checked.reduce((sum, p) => sum + p.count, 0);
	const pace = now > 0 ? (animals / now) * more : 0;
	const expectedNewTaxa = animals === 0 || now === 0 ? null : expectedNew([...counts.values()], pace);
	return {
		until_min,
		isOver: now >= until_min,
		lastNew_min,
		taxa: first.size,
		animals,
		expectedNewTaxa,
		isFlat: expectedNewTaxa === null ? null : expectedNewTaxa < FLAT
	};
}

const FLAT = 0.5;

/** New taxa to be expected among so many more animals, drawn as those so far were. */
function expectedNew(counts: readonly number[], moreAnimals: number): number {
	const { present, total: n } = wholeCountsOf(counts);
	const once = present.filter((x) => x === 1).length;
	const twice = present.filter((x) => x === 2).length;
	if (once === 0) return 0;
	const unseen = twice > 0 ? (((n - 1) / n) * once ** 2) / (2 * twice) : (((n - 1) / n) * once * (once - 1)) / 2;
	// one kind seen once: the next animal is new with the chance that the last was
	if (unseen === 0) return (once / n) * Math.min(1, moreAnimals);
	return unseen * (1 - (1 - once / (n * unseen + once)) ** moreAnimals);
}
