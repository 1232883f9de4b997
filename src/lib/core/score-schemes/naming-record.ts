import type { AnimalList } from '../macroinvertebrates';
import { namingSkill } from '../statistics';
import { isRightName, type Checked } from './checked';

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
 * How often names turned out to be right. Null where nothing was looked at again. Exact limits of Clopper & Pearson
 * 1934.
 */
export function namingRecord(checked: readonly Checked[], animals: AnimalList): NamingRecord | null {
	const pairs = checked.map((check) => {
		const said = animals.current(check.counted);
		return { said, is: isRightName(check, animals) ? said : animals.current(check.is) };
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
