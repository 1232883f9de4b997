import type { AnimalList } from '../macroinvertebrates';

/** Animals that were counted under one name, and what those who looked again agree that they are. */
export interface Checked {
	counted: string;
	is: string;
	/** None of those who counted the sample in question gave it that name. */
	isByOther?: true;
}

/** The same, with who gave it the name under which it was counted. */
export interface CheckedBy extends Omit<Checked, 'isByOther'> {
	by: string;
}

/** Checks as they bear on a sample that these people counted: whose they were is told no further. */
export const checksFor = (checks: readonly CheckedBy[], counters: readonly string[]): Checked[] =>
	checks.map(({ counted, is, by }) => (counters.includes(by) ? { counted, is } : { counted, is, isByOther: true }));

/**
 * Whether a name turned out to be right. One that goes less far than what was found is ("mayfly" of a Baetidae), and
 * so is one that goes further than those who looked again would say: neither is refuted.
 */
export const isRightName = ({ counted, is }: Checked, animals: AnimalList): boolean =>
	animals.isWithin(counted, is) || animals.isWithin(is, counted);
