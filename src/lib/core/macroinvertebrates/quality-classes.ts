import { normalCdf } from '../statistics';

/** Classes of a figure that rises from good to bad, the best first; the last has no end. */
export interface QualityClass {
	name: string;
	upTo: number;
}

/**
 * An example of our own by the mean tolerance, to be replaced by the limits of the program's own authority: three
 * classes, named as people say them.
 */
export const exampleClasses: readonly QualityClass[] = [
	{ name: 'good', upTo: 4.5 },
	{ name: 'fair', upTo: 6.25 },
	{ name: 'poor', upTo: Infinity }
];

/**
 * The chance that the truth lies in each class, for a figure with its two standard errors: a figure near a limit is in
 * no class for sure. Chances sum to 1. RangeError where the classes do not rise.
 */
export function classChances(
	{ value, uncertainty }: { value: number; uncertainty: number },
	classes: readonly QualityClass[] = exampleClasses
): { name: string; chance: number }[] {
	let below = 0;
	let from = -Infinity;
	return classes.map(({ name, upTo }) => {
		if (upTo <= from) throw new RangeError(`the class ${name} ends at ${upTo}, where the one before it ends`);
		from = upTo;
		const upToHere = uncertainty === 0 ? Number(value <= upTo) : normalCdf((2 * (upTo - value)) / uncertainty);
		const chance = upToHere - below;
		below = upToHere;
		return { name, chance };
	});
}

/**
 * How many animals in all it would take until the nearest class limit lies two standard errors away, as things stand:
 * the error shrinks with the root of their number. Null where the figure stands on the limit itself.
 */
export function animalsToTell(
	{ value, uncertainty, animals }: { value: number; uncertainty: number; animals: number },
	classes: readonly QualityClass[] = exampleClasses
): number | null {
	const off = Math.min(...classes.map((c) => Math.abs(c.upTo - value)));
	if (off === 0) return null;
	return Math.ceil(animals * Math.max(1, (uncertainty / off) ** 2));
}
