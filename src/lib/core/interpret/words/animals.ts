import type { IndexChange } from '../../macroinvertebrates';

/** How a site's tolerance index changed between two days, and what that means: of animals, not of a figure. */
export function sayIndexChange({ by, uncertainty, isTold }: IndexChange, from: string, to: string): string {
	const size = `${Math.abs(by).toFixed(2)} ± ${uncertainty.toFixed(2)}`;
	if (!isTold)
		return `The family biotic index of ${from} and of ${to} differ by ${size}: no more than counting so few animals can.`;
	return by > 0
		? `The family biotic index rose by ${size} from ${from} to ${to}: more of the animals stand foul water.`
		: `The family biotic index fell by ${size} from ${from} to ${to}: more of the animals ask for clean water.`;
}
