import { writeFixed } from '../../quantity';
import type { Differs, IndexChange } from '../../macroinvertebrates';

/** How a site's tolerance index changed between two days, and what that means: of animals, not of a figure. */
export function sayIndexChange({ by, uncertainty, isTold }: IndexChange, from: string, to: string): string {
	const size = `${writeFixed(Math.abs(by), 2)} ± ${writeFixed(uncertainty, 2)}`;
	if (!isTold)
		return (
			`The family biotic index of ${from} and of ${to} differ by ${size}: no more than counting so few ` +
			'animals can.'
		);
	return by > 0
		? `The family biotic index rose by ${size} from ${from} to ${to}: more of the animals stand foul water.`
		: `The family biotic index fell by ${size} from ${from} to ${to}: more of the animals ask for clean water.`;
}

/**
 * How unlike the animals of two sites are, the upper first, and whether counting so few would make that; null: not
 * counted.
 */
export function sayBetweenSites(found: Differs | null, upper: string, lower: string): string {
	if (found === null)
		return (
			`Between ${upper} and ${lower} nothing can be told: at one of them the animals were not counted, only ` +
			'which were there.'
		);
	const { dissimilarity, byChance, isTold } = found;
	const percent = (share: number) => `${(100 * share).toFixed(0)} %`;
	return isTold
		? `Between ${upper} and ${lower} the animals change: ${percent(dissimilarity)} unlike, where counting so few ` +
				`makes up to ${percent(byChance)}.`
		: `Between ${upper} and ${lower} no change can be told: ${percent(dissimilarity)} unlike, and counting so few ` +
				`makes up to ${percent(byChance)}.`;
}
