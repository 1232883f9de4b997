import { isLargerGroup, type AnimalList, type Kind } from '../macroinvertebrates';
import { gammaQuantile, seeded, type Chance } from '../statistics';
import { isRightName, type Checked } from './checked';
import { classOf, scoreBy, type ScoreScheme } from './scheme';

/** What is known of one name: weights of its being right and wrong (of a beta distribution), and what it is instead. */
interface NameKnown {
	right: number;
	wrong: number;
	instead: readonly string[];
	/** Some of these were found in its place; else they are only what it is most easily taken for. */
	isSeen: boolean;
}
export type Confusion = ReadonlyMap<string, NameKnown>;

/** As many checked animals as what is known of names in general weighs against what is known of one name. */
const PRIOR_WEIGHT = 4;

/** A check, and whether the name turned out to be wrong. */
type Judged = Checked & { isWrong: boolean };
const isWrong = (check: Judged) => check.isWrong;

/** The share that is wrong among some checks, leaning on what else is known by as much as four checks weigh. */
const shareWrong = (checked: readonly Judged[], elsewhere: number): number =>
	(checked.filter(isWrong).length + PRIOR_WEIGHT * elsewhere) / (checked.length + PRIOR_WEIGHT);

/**
 * How often a name is right, from what was looked at again. What those who counted called so counts in full; while
 * there is little of it, it leans on what others called so, that on all names of those who counted, and that on all
 * names of all people (beta priors of that mean, each worth four checks). Instead it is what was found before in its
 * place, else one of the other families of its order. Empty while nothing was checked.
 */
export function confusionOf(
	codes: readonly string[],
	checkedBefore: readonly Checked[],
	animals: AnimalList
): Confusion {
	if (checkedBefore.length === 0) return new Map();
	const checked = checkedBefore.map((c): Judged => ({
		...c,
		counted: animals.current(c.counted),
		is: animals.current(c.is),
		isWrong: !isRightName(c, animals)
	}));
	const [own, others] = [checked.filter((c) => !c.isByOther), checked.filter((c) => c.isByOther)];
	const ofAll = (checked.filter(isWrong).length + 0.5) / (checked.length + 1);
	const ofThese = others.length ? shareWrong(own, ofAll) : ofAll;
	return new Map(
		[...new Set(codes)].flatMap((code): [string, NameKnown][] => {
			const here = own.filter((c) => c.counted === code);
			const elsewhere = others.filter((c) => c.counted === code);
			const seen = here.filter(isWrong);
			const mistaken = seen.length ? seen : elsewhere.filter(isWrong);
			const instead = mistaken.length ? mistaken.map((c) => c.is) : likeliestInstead(code, animals);
			if (instead.length === 0) return [];
			const errs = elsewhere.length ? shareWrong(elsewhere, ofThese) : ofThese;
			const known = {
				right: here.length - seen.length + PRIOR_WEIGHT * (1 - errs),
				wrong: seen.length + PRIOR_WEIGHT * errs,
				instead,
				isSeen: mistaken.length > 0
			};
			return [[code, known]];
		})
	);
}

const likeliestInstead = (code: string, animals: AnimalList): string[] => {
	const taxon = animals.of(code);
	if (taxon === null || isLargerGroup(taxon)) return [];
	return animals.taxa
		.filter((t) => t.rank === taxon.rank && t.order === taxon.order && t.code !== code)
		.map((t) => t.code);
};

/** In one world that may be the true one: how often each name is wrong, and what it is then. */
type World = ReadonlyMap<string, { wrong: number; instead: readonly string[] }>;

/**
 * Whoever takes one kind for another does so with all of its animals: the share that is wrong is drawn once for a
 * world, not for each animal.
 */
const drawWorld = (confusion: Confusion, chance: Chance): World =>
	new Map(
		[...confusion].map(([code, { right, wrong, instead, isSeen }]) => {
			const [r, w] = [right, wrong].map((shape) => gammaQuantile(shape, openUniform(chance), 'lower')) as [
				number,
				number
			];
			return [code, { wrong: w / (r + w), instead: isSeen ? instead : [chance.pick(instead)] }];
		})
	);

const openUniform = (chance: Chance): number => Math.max(1e-9, chance.uniform());

/** As many as tell the spread of names; each serves several draws of animals. */
const WORLDS = 100;

export interface SchemeInterval {
	lower: number;
	upper: number;
	/** The chance of each class, in the scheme's order; they sum to 1. */
	chances: { name: string; chance: number }[];
}

/**
 * Between which figures a sample's score lies with 95 %, and the chances of the scheme's classes: animals drawn again
 * and again from those counted, in worlds that differ in how
 * often each name is wrong. Null where no kind has a value.
 * Percentile bootstrap, Efron & Tibshirani 1993; names by the confusion as above.
 */
export function schemeInterval(
	scheme: ScoreScheme,
	kinds: readonly Kind[],
	confusion: Confusion,
	animals: AnimalList,
	{ draws, seed }: { draws: number; seed: number }
): SchemeInterval | null {
	const there = kinds.filter((k) => k.count > 0);
	if (scoreBy(scheme, there) === null) return null;
	const chance = seeded(seed);
	const drawn = there.flatMap((k) => Array.from({ length: Math.round(k.count) }, () => k.code));
	const worlds = Array.from({ length: confusion.size ? WORLDS : 1 }, () => drawWorld(confusion, chance));
	const found: number[] = [];
	for (let d = 0; d < draws; d++) {
		const world = worlds[d % worlds.length]!;
		const counts = new Map<string, number>();
		for (let i = 0; i < drawn.length; i++) {
			const code = renamed(drawn[Math.floor(chance.uniform() * drawn.length)]!, world, chance);
			counts.set(code, (counts.get(code) ?? 0) + 1);
		}
		const scored = scoreBy(
			scheme,
			[...counts].map(([code, count]) => ({ code, taxon: animals.of(code), count }))
		);
		if (scored !== null) found.push(scored.figure);
	}
	if (found.length === 0) return null;
	const inClass = new Map<string, number>();
	for (const figure of found) {
		const name = classOf(figure, scheme);
		inClass.set(name, (inClass.get(name) ?? 0) + 1);
	}
	found.sort((a, b) => a - b);
	const at = (share: number) => found[Math.min(found.length - 1, Math.floor(share * found.length))]!;
	return {
		lower: at(0.025),
		upper: at(0.975),
		chances: scheme.classes.map(({ name }) => ({ name, chance: (inClass.get(name) ?? 0) / found.length }))
	};
}

function renamed(code: string, world: World, chance: Chance): string {
	const named = world.get(code);
	return named !== undefined && chance.uniform() < named.wrong ? chance.pick(named.instead) : code;
}
