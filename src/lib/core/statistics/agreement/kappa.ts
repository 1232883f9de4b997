import { listOf, pairedLists, whole } from '../../quantity';

const words = (name: string, list: unknown) =>
	listOf(name, list, (place, word) => {
		if (typeof word !== 'string') throw new RangeError(`${place} must be a word: ${String(word)}`);
		return word;
	});

interface Ratings {
	ratingsA: readonly string[];
	ratingsB: readonly string[];
}

/** Two people's words for the same things, checked. */
function pairsOfWords({ ratingsA, ratingsB }: Ratings): { a: string[]; b: string[] } {
	const a = words('ratingsA', ratingsA);
	const b = words('ratingsB', ratingsB);
	pairedLists({ ratingsA: a, ratingsB: b });
	return { a, b };
}

/**
 * How often two people used the same word, percent; null of nothing. RangeError for lists of different length. Cohen
 * 1960.
 */
export function percentAgreement(ratings: Ratings): { percent: number | null } {
	const { a, b } = pairsOfWords(ratings);
	return { percent: a.length === 0 ? null : (100 * a.filter((word, i) => word === b[i]).length) / a.length };
}

/**
 * Cohen's 1960 kappa: agreement between two people beyond what their own shares of words would give by chance; its
 * standard error by Fleiss, Cohen & Everitt 1969. Null where chance alone explains everything. RangeError as above.
 */
export function cohenKappa(ratings: Ratings) {
	const { a, b } = pairsOfWords(ratings);
	const n = a.length;
	if (n === 0) return { kappa: null, observedAgreement: null, expectedAgreement: null, se: null, n };
	const vocabulary = [...new Set([...a, ...b])];
	const share = (list: readonly string[]) => vocabulary.map((word) => list.filter((w) => w === word).length / n);
	const [shareA, shareB] = [share(a), share(b)];
	const cell = vocabulary.map((x) => vocabulary.map((y) => a.filter((w, i) => w === x && b[i] === y).length / n));
	const observedAgreement = cell.reduce((sum, row, i) => sum + row[i]!, 0);
	const expectedAgreement = shareA.reduce((sum, s, i) => sum + s * shareB[i]!, 0);
	const room = 1 - expectedAgreement;
	if (room < 1e-12) return { kappa: null, observedAgreement, expectedAgreement, se: null, n };
	const kappa = (observedAgreement - expectedAgreement) / room;
	let weighed = 0;
	for (const [i, row] of cell.entries())
		for (const [j, p] of row.entries())
			weighed +=
				p *
				(i === j
					? (1 - (shareA[i]! + shareB[i]!) * (1 - kappa)) ** 2
					: (1 - kappa) ** 2 * (shareB[i]! + shareA[j]!) ** 2);
	const variance = (weighed - (kappa - expectedAgreement * (1 - kappa)) ** 2) / (n * room ** 2);
	return { kappa, observedAgreement, expectedAgreement, se: Math.sqrt(Math.max(0, variance)), n };
}

/**
 * Kappa for classes in order (1..categories), in which a near miss weighs less: by the distance or its square.
 * Cohen 1968. Null of nothing or where no disagreement is to be expected. RangeError for a class off the scale.
 */
export function weightedKappa(ratings: {
	ratingsA: readonly number[];
	ratingsB: readonly number[];
	categories: number;
	weights: 'linear' | 'quadratic';
}): {
	kappa: number | null;
	n: number;
} {
	const categories = whole('categories', ratings.categories, 2);
	const { weights } = ratings;
	if (weights !== 'linear' && weights !== 'quadratic')
		throw new RangeError(`weights must be linear or quadratic: ${String(weights)}`);
	const onScale = (place: string, value: unknown) => {
		const rating = whole(place, value, 1);
		if (rating > categories) throw new RangeError(`${place} lies above the scale of ${categories}: ${rating}`);
		return rating;
	};
	const a = listOf('ratingsA', ratings.ratingsA, onScale);
	const b = listOf('ratingsB', ratings.ratingsB, onScale);
	pairedLists({ ratingsA: a, ratingsB: b });
	const n = a.length;
	const apart = (x: number, y: number) => (Math.abs(x - y) / (categories - 1)) ** (weights === 'linear' ? 1 : 2);
	const observed = a.reduce((sum, x, i) => sum + apart(x, b[i]!), 0) / n;
	const expected = a.reduce((sum, x) => sum + b.reduce((inner, y) => inner + apart(x, y), 0), 0) / n ** 2;
	return { kappa: n === 0 || expected === 0 ? null : 1 - observed / expected, n };
}
