import { openShare, orDefault } from '../quantity';
import { bits, checkedOnce, type CheckedKey, type Key, type Likelihood } from './key';

/** ln of what each taxon makes of the answers, its prior with it; −∞ where it cannot be. */
const logWeights = ({ prior, likelihood, seen }: CheckedKey): number[] =>
	prior.map((q, taxon) =>
		seen.reduce((sum, { id, state }) => sum + Math.log(likelihood.get(id)!.rows[taxon]![state]!), Math.log(q))
	);

/** ln Σ exp, without underflow. */
function logSum(logs: readonly number[]): number {
	const most = Math.max(...logs);
	return most === -Infinity ? most : most + Math.log(logs.reduce((sum, l) => sum + Math.exp(l - most), 0));
}

function chancesOf(key: CheckedKey): number[] | null {
	const logs = logWeights(key);
	const all = logSum(logs);
	return all === -Infinity ? null : logs.map((l) => Math.exp(l - all));
}

/**
 * What an animal may be after some answers: the chance of each taxon, and how likely such answers are at all. Evidence
 * of exactly 0 leaves nothing that it could be. RangeError as for the key. Bayes 1763; Payne & Preece 1980.
 */
export function posterior(asked: Key | CheckedKey): {
	evidence: number;
	posterior: number[] | null;
	logEvidence: number | null;
} {
	const key = checkedOnce(asked);
	const logEvidence = logSum(logWeights(key));
	if (logEvidence === -Infinity) return { evidence: 0, posterior: null, logEvidence: null };
	return { evidence: Math.exp(logEvidence), posterior: chancesOf(key), logEvidence };
}

/**
 * How unsure it is what an animal may be, in bits, and how many of them each character that was not asked yet would
 * take away, the most telling first. RangeError as for the key. Shannon 1948; Lindley 1956.
 */
export function nextQuestions(asked: Key | CheckedKey): {
	entropy: number | null;
	questions: { id: string; gain: number }[];
} {
	const key = checkedOnce(asked);
	const chances = chancesOf(key);
	if (chances === null) return { entropy: null, questions: [] };
	const entropy = Math.max(0, -chances.reduce((sum, p) => sum + bits(p), 0));
	const questions = [...key.likelihood]
		.filter(([id]) => !key.asked.has(id))
		// what differs by less than arithmetic is sure of is the same, and goes by name
		.map(([id, likelihood]) => ({ id, gain: Number(gainOf(likelihood, chances).toFixed(12)) }));
	return { entropy, questions: questions.sort((a, b) => b.gain - a.gain || (a.id < b.id ? -1 : 1)) };
}

/**
 * What a character tells: how unsure its answer is, less how unsure it would be if the taxon were known;
 * Σ p L log₂ L − Σ P log₂ P. With every answer each character is asked, so that this is a plain loop.
 */
function gainOf({ rows, bitsOf }: Likelihood, chances: readonly number[]): number {
	const states = rows[0]!.map(() => 0);
	let told = 0;
	for (let taxon = 0; taxon < chances.length; taxon++) {
		const p = chances[taxon]!;
		const row = rows[taxon]!;
		for (let s = 0; s < row.length; s++) states[s]! += p * row[s]!;
		told += p * bitsOf[taxon]!;
	}
	for (const p of states) told -= bits(p);
	return Math.max(0, told);
}

/** More ways to answer than this are not looked through. */
const MOST_WAYS = 4096;
const CLOSE = 1e-9;

/**
 * Whether the answers are too strange for every taxon: how strange in bits, beside what answers by chance would be; the
 * chance that it is none of them; and the share of all ways to answer that are as strange (null where there are too
 * many). RangeError as for the key. Box 1980.
 */
export function surprise(asked: Key & { noneShare?: number | null }): {
	bits: number | null;
	randomBits: number;
	noneChance: number;
	tail: number | null;
} {
	const { key, log, randomBits, noneChance } = heldAgainstNone(asked, asked.noneShare);
	if (log === -Infinity) return { bits: null, randomBits, noneChance, tail: 0 };
	const sizes = key.seen.map(({ id }) => key.likelihood.get(id)!.rows[0]!.length);
	return { bits: -log / Math.LN2, randomBits, noneChance, tail: tailOf(key, sizes, Math.exp(log)) };
}

/**
 * The chance that it is none of the taxa, for whoever does not ask how strange the answers are: the costly half of
 * `surprise`. RangeError as for the key.
 */
export const chanceOfNone = (asked: Key | CheckedKey, noneShare: number): number =>
	heldAgainstNone(asked, noneShare).noneChance;

function heldAgainstNone(asked: Key | CheckedKey, noneShare: number | null | undefined) {
	const key = checkedOnce(asked);
	const none = openShare('noneShare', orDefault(noneShare, 0.05));
	const randomBits = key.seen.reduce((sum, { id }) => sum + Math.log2(key.likelihood.get(id)!.rows[0]!.length), 0);
	const log = logSum(logWeights(key));
	const logNone = Math.log(none) - randomBits * Math.LN2;
	const noneChance = log === -Infinity ? 1 : 1 / (1 + Math.exp(Math.log(1 - none) + log - logNone));
	return { key, log, randomBits, noneChance };
}

/** The sum over all ways to answer the same characters of those that are no likelier. */
function tailOf(key: CheckedKey, sizes: readonly number[], evidence: number): number | null {
	const ways = sizes.reduce((product, m) => product * m, 1);
	if (ways > MOST_WAYS) return null;
	let tail = 0;
	for (let way = 0; way < ways; way++) {
		let rest = way;
		const seen = key.seen.map(({ id }, i) => {
			const state = rest % sizes[i]!;
			rest = Math.floor(rest / sizes[i]!);
			return { id, state };
		});
		const other = Math.exp(logSum(logWeights({ ...key, seen })));
		if (other <= evidence * (1 + CLOSE)) tail += other;
	}
	return tail;
}
