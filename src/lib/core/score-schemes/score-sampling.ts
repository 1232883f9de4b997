import { animalList, type Kind, type OwnAnimal } from '../macroinvertebrates';
import type { Checked } from './checked';
import { confusionOf, schemeInterval, type SchemeInterval } from './naming';
import { scoreBy, type Scored, type ScoreScheme } from './scheme';

/** What a sampling scores by one scheme, and how sure that is. */
export interface SchemeScore {
	code: string;
	name: string;
	isExample: boolean;
	/** The scheme weighs animals, and this sample only says what was there. */
	needsShares: boolean;
	scored: Scored | null;
	/** From counting so many; null where animals were not counted. */
	counting: SchemeInterval | null;
	/** From counting and naming together; null while no voucher was looked at again. */
	both: SchemeInterval | null;
}

/** A sampling, the schemes that score it, and what is known of wrong names: plain data, as a worker takes it. */
export interface SchemeSampling {
	schemes: readonly ScoreScheme[];
	/** `knowsShares`: its animals were counted. */
	sampling: { kinds: readonly Kind[]; knowsShares: boolean };
	checked: readonly Checked[];
	/** What the program says of its own animals. */
	animals: readonly OwnAnimal[];
}

/** As many as settle the ends of an interval to two figures, the same each time they are drawn. */
const DRAWS = { draws: 1_000, seed: 12 };

/**
 * A sampling scored by a scheme; `knowsShares`: its animals were counted. What only says what was there has no
 * interval, and no score where the scheme weighs animals.
 */
export function scoreSampling(
	scheme: ScoreScheme,
	{ sampling: { kinds, knowsShares }, checked, animals: own }: Omit<SchemeSampling, 'schemes'>
): SchemeScore {
	const { code, name, isExample } = scheme;
	const needsShares = scheme.adding === 'animals' && !knowsShares;
	const scored = needsShares ? null : scoreBy(scheme, kinds);
	const animals = animalList(own);
	const codes = kinds.map((k) => k.code);
	const confusion = confusionOf(codes, checked, animals);
	const isCounted = scored !== null && knowsShares;
	return {
		code,
		name,
		isExample,
		needsShares,
		scored,
		counting: isCounted ? schemeInterval(scheme, kinds, new Map(), animals, DRAWS) : null,
		both: isCounted && confusion.size > 0 ? schemeInterval(scheme, kinds, confusion, animals, DRAWS) : null
	};
}
