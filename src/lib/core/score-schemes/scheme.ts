import { writeNumber } from '../quantity';
import { z } from 'zod';
import {
	exampleClasses,
	kindsThatCount,
	scoredAs,
	shippedAnimals,
	type AnimalList,
	type Kind
} from '../macroinvertebrates';

/*
 * Score schemes are data: which animals with which values, how these are added up, and which classes the figure falls
 * into. A program brings in that of its own authority.
 */

/** How values become one figure: their mean over animals, over kinds, or their sum over kinds. */
export const addings = ['animals', 'kinds', 'sum'] as const;
export type Adding = (typeof addings)[number];

const limit = z.number({ error: 'a limit is a number' }).nullable();

export const ScoreScheme = z.strictObject({
	code: z.string().regex(/^[a-z][a-z0-9-]{1,30}$/, 'a code has small letters, digits and dashes, 2 to 31 of them'),
	name: z.string().trim().min(1, 'a scheme has a name').max(80),
	/** Whose it is, for which region and season, and where it is published. */
	source: z.string().trim().min(1, 'say whose scheme it is, and where it is published').max(400),
	adding: z.enum(addings, { error: 'animals (their mean), kinds (their mean) or sum (of the kinds)' }),
	/** What each kind is worth, by its code. */
	values: z.record(z.string(), z.number({ error: 'a value is a number' })),
	/** From the best to the worst; `from` belongs to the class, `to` to the next; null: without end. */
	classes: z
		.array(z.strictObject({ name: z.string().trim().min(1).max(40), from: limit, to: limit }))
		.min(1)
		.max(9),
	isExample: z.boolean()
});
export type ScoreScheme = z.infer<typeof ScoreScheme>;
type SchemeClass = ScoreScheme['classes'][number];

/** Two of our own making, to begin with. */
export const exampleSchemes: readonly ScoreScheme[] = [
	{
		code: 'example-tolerance',
		name: 'Mean tolerance of the animals',
		source: 'An example after Hilsenhoff 1988, for riffles. Put your own authority’s scheme in its place.',
		adding: 'animals',
		values: valuesOf('tolerance'),
		classes: exampleClasses.map(({ name, upTo }, i) => ({
			name,
			from: i === 0 ? null : exampleClasses[i - 1]!.upTo,
			to: upTo === Infinity ? null : upTo
		})),
		isExample: true
	},
	{
		code: 'example-score',
		name: 'Mean score of the kinds',
		source: 'An example after Armitage et al. 1983, for riffles. Put your own authority’s scheme in its place.',
		adding: 'kinds',
		values: valuesOf('score'),
		classes: [
			{ name: 'good', from: 6, to: null },
			{ name: 'fair', from: 4.5, to: 6 },
			{ name: 'poor', from: null, to: 4.5 }
		],
		isExample: true
	}
];

function valuesOf(what: 'tolerance' | 'score'): Record<string, number> {
	return Object.fromEntries(shippedAnimals.taxa.flatMap((t) => (t[what] === null ? [] : [[t.code, t[what]]])));
}

/**
 * What forbids a scheme: a gap between classes or an overlap of two, a class that ends before it begins, a value for an
 * animal that nobody here can name. Nothing where it can be used.
 */
export function objectionsToScheme(
	{ values, classes }: Pick<ScoreScheme, 'values' | 'classes'>,
	animals: AnimalList
): string[] {
	const strange = Object.keys(values).filter((code) => animals.of(code) === null);
	return [
		...(Object.keys(values).length === 0 ? ['It gives no animal a value.'] : []),
		...(strange.length
			? [`No animal here is called ${strange.slice(0, 5).join(', ')}${strange.length > 5 ? ' and others' : ''}.`]
			: []),
		...classes.flatMap(({ name, from, to }) =>
			from !== null && to !== null && from >= to ? [`The class ${name} ends where it begins, or before.`] : []
		),
		...seams(classes)
	];
}

/** Where classes in rising order do not meet. */
function seams(classes: readonly SchemeClass[]): string[] {
	const rising = [...classes].sort((a, b) => (a.from ?? -Infinity) - (b.from ?? -Infinity));
	const [first, last] = [rising[0], rising.at(-1)];
	return [
		...(first && first.from !== null
			? [`Nothing is said of figures under ${writeNumber(first.from)}, where ${first.name} begins.`]
			: []),
		...rising.slice(1).flatMap((next, i) => {
			const before = rising[i]!;
			if (before.to === next.from && before.to !== null) return [];
			const isOverlap = before.to === null || next.from === null || before.to > next.from;
			return isOverlap
				? [`The classes ${before.name} and ${next.name} overlap.`]
				: [`Nothing is said of figures between ${before.to} and ${next.from}.`];
		}),
		...(last && last.to !== null ? [`Nothing is said of figures over ${last.to}, where ${last.name} ends.`] : [])
	];
}

/** The class of a figure. */
export const classOf = (figure: number, { classes }: Pick<ScoreScheme, 'classes'>): string =>
	classes.find(({ from, to }) => figure >= (from ?? -Infinity) && figure < (to ?? Infinity))!.name;

export interface Scored {
	figure: number;
	/** Kinds and animals that have a value. */
	kinds: number;
	animals: number;
	/** Kinds that were there and have none, by their codes. */
	without: string[];
}

/** The value of a kind, or of the family that it is one name of; null where the scheme has none. */
function valueOf(kind: Kind, values: ScoreScheme['values']): number | null {
	const code = [kind.code, scoredAs(kind)].find((one) => Object.hasOwn(values, one));
	return code === undefined ? null : values[code]!;
}

/** What a sample scores by a scheme; null where none of its kinds has a value. */
export function scoreBy(
	{ adding, values }: Pick<ScoreScheme, 'adding' | 'values'>,
	kinds: readonly Kind[]
): Scored | null {
	const there = adding === 'animals' ? kinds.filter((k) => k.count > 0) : kindsThatCount(kinds);
	const valued = there.flatMap((k) => {
		const value = valueOf(k, values);
		return value === null ? [] : [{ family: scoredAs(k), count: k.count, value }];
	});
	if (valued.length === 0) return null;
	const animals = valued.reduce((sum, v) => sum + v.count, 0);
	const families = [...new Map(valued.map((v) => [v.family, v.value])).values()];
	const total = families.reduce((sum, v) => sum + v, 0);
	const figures: Record<Adding, number> = {
		animals: valued.reduce((sum, v) => sum + v.count * v.value, 0) / animals,
		kinds: total / families.length,
		sum: total
	};
	return {
		figure: figures[adding],
		kinds: families.length,
		animals,
		without: there.filter((k) => valueOf(k, values) === null).map((k) => k.code)
	};
}

/** Animals whose value differs between two versions of a scheme, with both; null: without one. */
export function changedValues(
	{ values: now }: Pick<ScoreScheme, 'values'>,
	{ values: before }: Pick<ScoreScheme, 'values'>
): { code: string; from: number | null; to: number | null }[] {
	const codes = [...new Set([...Object.keys(now), ...Object.keys(before)])].sort();
	return codes.flatMap((code) =>
		now[code] === before[code] ? [] : [{ code, from: before[code] ?? null, to: now[code] ?? null }]
	);
}
