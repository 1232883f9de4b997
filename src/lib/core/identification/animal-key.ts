import { animalList, shippedAnimals, type OwnAnimal } from '../macroinvertebrates';
import data from './animals.json' with { type: 'json' };
import type { Chances, Described, Question } from './described';
import { readyKey, type Answer, type Character, type CheckedKey } from './key';
import { ownInKey } from './own-in-key';
import { chanceOfNone, nextQuestions, posterior } from './posterior';

/*
 * The key to the animals: what a person may see of one, and how often each kind shows it. The chances of those that are
 * shipped are one biologist's judgement; those that a program adds are like their family but for what it says they
 * show. A kind that lives in forms (larva and adult, in and out of its case) is reckoned by its forms, each with its
 * share; a coarser name is as likely as its members together, and never a rival of theirs.
 */

/** How often an answer is a slip. */
const ERROR_RATE = 0.05;
/** Of animals that people bring, how many are in no list. */
const NONE_SHARE = 0.05;
/** A name from here on is good enough to keep. */
const SURE = 0.8;
/** Bits under which a question tells too little to be worth a look. */
const WORTH_ASKING = 0.06;
/** From this chance on that it is none of them, the person is told so. */
const LIKELY_NONE = 0.5;
/** A question for a lens counts so much of what it tells beside one for the bare eye. */
const LENS_WORTH = 0.6;

/** A name that no family reaches for sure, or that no kind of a family does. */
interface Coarser {
	name: string;
	drawing: string;
	order: string;
	members: string[];
	leave: string;
	tell: string;
}

const shipped = data as unknown as {
	characters: Question[];
	taxa: Described[];
	coarser: Coarser[];
};
export const questions: readonly Question[] = shipped.characters;
const asked = new Map(questions.map((q) => [q.id, q]));
export const describedAnimals: readonly Described[] = shipped.taxa;

/** What a tray calls it: the group itself where it is one, else its order. */
const trayName = (name: string, order: string) => (shippedAnimals.of(name) ? name : order);
export const coarserNames = shipped.coarser.map((c) => ({ ...c, code: trayName(c.name, c.order) }));

/** The key of a program. */
export interface AnimalKey {
	/** The kinds that it can name. */
	described: readonly Described[];
	describedAs: (code: string) => Described | undefined;
	/**
	 * What an animal may be after some answers, in any order, and what to look at next. An answer of null is "cannot
	 * see". RangeError for a character or state that is not in the key, or a character answered twice.
	 */
	nameBy: (answers: readonly Answer[]) => Named;
}

/** What a satchel or a server read is never changed, so each is worked out once. */
const keys = new WeakMap<readonly OwnAnimal[], AnimalKey>();
const NONE: readonly OwnAnimal[] = [];

/** The key to the animals that are shipped, and to those that a program says how to tell. */
export function animalKey(own: readonly OwnAnimal[] = NONE): AnimalKey {
	const key = keys.get(own) ?? keyOf(own);
	keys.set(own, key);
	return key;
}

function keyOf(own: readonly OwnAnimal[]): AnimalKey {
	const { described, narrower } = ownInKey(own, animalList(own), describedAnimals, questions);
	const byCode = new Map(described.map((t) => [t.code, t]));
	const rows = described.flatMap(rowsOf);
	const prior = rows.map((r) => r.share);
	const ready = readyKey({ prior, characters: charactersOf(rows), errorRate: ERROR_RATE });
	const coarser = [
		...coarserNames.map((c) => ({ ...c, members: c.members.flatMap((m) => [m, ...(narrower.get(m) ?? [])]) })),
		...[...narrower].map(([code, kinds]) => ({
			name: code,
			code,
			drawing: byCode.get(code)!.drawing,
			members: [code, ...kinds],
			leave: 'What was seen does not tell its kinds apart for sure: leave it at that.'
		}))
	];
	return {
		described,
		describedAs: (code) => byCode.get(code),
		nameBy: (answers) => namedBy(ready(answers), answers, { rows, prior, coarser })
	};
}

/** A row of the key for each form of a kind. */
interface KeyRow {
	code: string;
	share: number;
	chances: Chances;
}

const rowsOf = ({ code, chances, forms, share: all = 1 }: Described): KeyRow[] =>
	forms
		? forms.map((form) => ({ code, share: all * form.share, chances: { ...chances, ...form.chances } }))
		: [{ code, share: all, chances }];

const charactersOf = (rows: readonly KeyRow[]): Character[] =>
	questions.map(({ id, states }) => ({
		id,
		states: states.map((s) => s.id),
		chance: rows.map((r) => {
			const row = r.chances[id];
			if (row === undefined) return null;
			const all = states.map((s) => row[s.id] ?? 0);
			const sum = all.reduce((a, b) => a + b, 0);
			return all.map((p) => p / sum);
		})
	}));

export interface Likely {
	code: string;
	chance: number;
}
export interface Named {
	/** The likeliest kinds, the likeliest first. */
	likeliest: Likely[];
	/** The first of them is good enough to keep. */
	isSure: boolean;
	/** What tells most now; null where nothing that can be seen tells enough. */
	next: Question | null;
	/** A name that no family reaches for sure, and why it is left there. */
	coarser: { name: string; drawing: string; code: string; chance: number; leave: string } | null;
	/**
	 * The chance that it is none of the kinds in the key, and whether that is likely: one answer alone tells it of
	 * nothing.
	 */
	none: number;
	isNone: boolean;
}

/** A question that the answers to others have answered: asking it would weigh one fact twice. */
const isSettled = ({ settledBy = [] }: Question, answers: readonly Answer[]): boolean =>
	settledBy.some((s) => answers.some((a) => a.character === s.character && a.state === s.state));

type CoarserInKey = Omit<Coarser, 'order' | 'tell'> & { code: string };

function namedBy(
	key: CheckedKey,
	answers: readonly Answer[],
	{ rows, prior, coarser }: { rows: readonly KeyRow[]; prior: readonly number[]; coarser: readonly CoarserInKey[] }
): Named {
	const chances = posterior(key).posterior ?? prior;
	const byCode = new Map<string, number>();
	rows.forEach(({ code }, i) => byCode.set(code, (byCode.get(code) ?? 0) + chances[i]!));
	const all = [...byCode].map(([code, chance]) => ({ code, chance })).sort((a, b) => b.chance - a.chance);
	const isSure = all[0]!.chance >= SURE;
	const none = chanceOfNone(key, NONE_SHARE);
	return {
		likeliest: all.slice(0, 3),
		isSure,
		next: isSure ? null : nextQuestion(key, answers),
		coarser: isSure ? null : coarserName(byCode, coarser),
		none,
		isNone: answers.length > 1 && none > LIKELY_NONE
	};
}

/** What tells most of what is still open, a look with the bare eye before one through a lens. */
function nextQuestion(key: CheckedKey, answers: readonly Answer[]): Question | null {
	const [next] = nextQuestions(key)
		.questions.map(({ id, gain }) => ({ question: asked.get(id)!, gain }))
		.filter(({ question, gain }) => gain >= WORTH_ASKING && !isSettled(question, answers))
		.map(({ question, gain }) => ({ question, worth: question.needs === 'eye' ? gain : gain * LENS_WORTH }))
		.sort((a, b) => b.worth - a.worth);
	return next?.question ?? null;
}

/** The narrowest coarser name that is sure enough. */
function coarserName(byCode: ReadonlyMap<string, number>, names: readonly CoarserInKey[]): Named['coarser'] {
	const [sure] = names
		.map((c) => ({ ...c, chance: c.members.reduce((sum, m) => sum + (byCode.get(m) ?? 0), 0) }))
		.filter((c) => c.chance >= SURE)
		.sort((a, b) => a.members.length - b.members.length);
	return sure
		? { name: sure.name, drawing: sure.drawing, code: sure.code, chance: sure.chance, leave: sure.leave }
		: null;
}
