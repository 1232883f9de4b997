import { finite, inRange, listOf } from '../quantity';

/** What may be seen of an animal: the states of a character, and for each taxon how often it shows them. */
export interface Character {
	id: string;
	states: readonly string[];
	/** A row for each taxon: a chance for each state; null where nothing is known of it. */
	chance: readonly (readonly number[] | null)[];
}

export interface Answer {
	character: string;
	/** Null: cannot tell. It says nothing, and is not asked again. */
	state?: string | null;
}

export interface Key {
	/** How common each taxon is, in any measure. */
	prior: readonly number[];
	characters: readonly Character[];
	/** How often an answer is a slip. */
	errorRate: number;
	answers: readonly Answer[];
}

/** Of one character: the chance of each state for each taxon, slips taken in. */
export interface Likelihood {
	rows: number[][];
	/** Σ p log₂ p of each row: how sure the answer is once the taxon is known. */
	bitsOf: number[];
}

/** A key that was checked: chances with slips taken in, and what was answered. */
export interface CheckedKey {
	prior: number[];
	likelihood: Map<string, Likelihood>;
	/** The states of those that were answered, by character. */
	seen: { id: string; state: number }[];
	asked: Set<string>;
}

/** A row of chances adds up to 1 within this. */
const CLOSE = 1e-9;

/**
 * RangeError for no taxon, no state, an id or state twice, a character answered twice, an unknown one, or rows that do
 * not fit.
 */
export function checkedKey({ prior, characters, errorRate, answers }: Key): CheckedKey {
	const weights = listOf('prior', prior, (place, p) => inRange(place, p, 0, Number.MAX_VALUE));
	const sum = weights.reduce((a, b) => a + b, 0);
	if (!(sum > 0)) throw new RangeError(`prior must have a taxon that can be: ${String(sum)}`);
	const slips = inRange('errorRate', errorRate, 0, 1);
	const all = listOf('characters', characters, (place, c) => checkedCharacter(place, c as Character, weights.length));
	unique(
		'characters',
		all.map((c) => c.id)
	);
	const likelihood = new Map(all.map((c) => [c.id, withSlips(c, slips)]));
	return { prior: weights.map((w) => w / sum), likelihood, ...checkedAnswers(all, answers) };
}

function checkedAnswers(all: readonly Character[], answers: readonly Answer[]): Pick<CheckedKey, 'seen' | 'asked'> {
	const given = listOf('answers', answers, (place, answer) => checkedAnswer(place, answer as Answer, all));
	unique(
		'answers',
		given.map((a) => a.id)
	);
	return {
		seen: given.flatMap(({ id, state }) => (state === null ? [] : [{ id, state }])),
		asked: new Set(given.map((a) => a.id))
	};
}

/**
 * A key that is asked again and again: its chances are checked once, its answers each time. RangeError as for a key
 * that is asked once.
 */
export function readyKey(key: Omit<Key, 'answers'>): (answers: readonly Answer[]) => CheckedKey {
	const checked = checkedKey({ ...key, answers: [] });
	return (answers) => ({ ...checked, ...checkedAnswers(key.characters, answers) });
}

/** A key as it is given, or one that was checked before. */
export const checkedOnce = (key: Key | CheckedKey): CheckedKey => ('likelihood' in key ? key : checkedKey(key));

/** One part of an entropy, in bits. */
export const bits = (p: number): number => (p === 0 ? 0 : p * Math.log2(p));

function withSlips({ states, chance }: Character, slips: number): Likelihood {
	const even = 1 / states.length;
	const rows = chance.map((row) => states.map((_, s) => (1 - slips) * (row ? row[s]! : even) + slips * even));
	return { rows, bitsOf: rows.map((row) => row.reduce((sum, p) => sum + bits(p), 0)) };
}

function unique(what: string, names: readonly string[]): void {
	const twice = names.find((name, i) => names.indexOf(name) !== i);
	if (twice !== undefined) throw new RangeError(`${what}: “${twice}” stands there twice`);
}

function checkedCharacter(place: string, character: Character, taxa: number): Character {
	const { id, states, chance } = character ?? {};
	if (typeof id !== 'string') throw new RangeError(`${place}.id must be a name: ${String(id)}`);
	if (!Array.isArray(states) || states.length === 0) throw new RangeError(`${place}.states must hold a state`);
	unique(`${place}.states`, states);
	const rows = listOf(`${place}.chance`, chance, (at, row) =>
		row === null ? null : checkedRow(at, row, states.length)
	);
	if (rows.length !== taxa) throw new RangeError(`${place}.chance must have a row for each taxon: ${rows.length}`);
	return { id, states, chance: rows };
}

function checkedRow(place: string, row: unknown, states: number): number[] {
	const chances = listOf(place, row, (at, p) => inRange(at, p, 0, Number.MAX_VALUE));
	const sum = chances.reduce((a, b) => a + b, 0);
	if (chances.length !== states || Math.abs(sum - 1) > CLOSE)
		throw new RangeError(`${place} must have a chance for each state, 1 in all: ${String(sum)}`);
	return chances;
}

function checkedAnswer(place: string, answer: Answer, characters: readonly Character[]) {
	const { character: id, state } = answer ?? {};
	const character = characters.find((c) => c.id === id);
	if (!character) throw new RangeError(`${place}.character is not known: ${id}`);
	if (state == null) return { id: character.id, state: null };
	const at = character.states.indexOf(state);
	if (at === -1) throw new RangeError(`${place}.state is not known: ${state}`);
	return { id: character.id, state: finite(place, at) };
}
