import type { AnimalList } from '../macroinvertebrates';
import { namingSkill } from '../statistics';
import type { Checked } from './naming';

/** One kind taken for another, so many times. */
export interface Mistaken {
	/** What they were, and what they were counted as. */
	is: string;
	counted: string;
	times: number;
}

/** How often names were right, of one person or of all. */
export interface NamingRecord {
	checked: number;
	right: number;
	/** Between which shares names are right with 95 %, by so many. */
	lower: number;
	upper: number;
	/** The most frequent first. */
	mistaken: Mistaken[];
}

/**
 * How often names turned out to be right. A name that goes no further than it has to is right: "mayfly" of a Baetidae,
 * or a family of which those who looked again would only say the order. Null where nothing was looked at again. Exact
 * limits of Clopper & Pearson 1934.
 */
export function namingRecord(checked: readonly Checked[], animals: AnimalList): NamingRecord | null {
	const pairs = checked.map(({ counted, is }) => {
		const [said, true_] = [animals.current(counted), animals.current(is)];
		const isRight = animals.isWithin(said, true_) || animals.isWithin(true_, said);
		return { said, is: isRight ? said : true_ };
	});
	const { n, correct, lower, upper } = namingSkill({ truth: pairs.map((p) => p.is), named: pairs.map((p) => p.said) });
	if (lower === null || upper === null) return null;
	const mistaken = new Map<string, Mistaken>();
	for (const { said, is } of pairs) {
		if (said === is) continue;
		const key = `${said} ${is}`;
		mistaken.set(key, { is, counted: said, times: (mistaken.get(key)?.times ?? 0) + 1 });
	}
	return {
		checked: n,
		right: correct,
		lower,
		upper,
		mistaken: [...mistaken.values()].sort((a, b) => b.times - a.times || (a.is < b.is ? -1 : 1))
	};
}
