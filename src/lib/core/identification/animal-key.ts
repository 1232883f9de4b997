import { shippedAnimals } from '../macroinvertebrates';
import data from './animals.json' with { type: 'json' };
import { readyKey, type Answer, type Character, type CheckedKey } from './key';
import { chanceOfNone, nextQuestions, posterior } from './posterior';

/*
 * The key to the animals that are shipped: what a person may see of one, and how often each kind shows it. The chances
 * are one biologist's judgement. A kind that lives in forms (larva and adult, in and out of its case) is reckoned by its
 * forms, each with its share; a coarser name is as likely as its members together, and never a rival of theirs.
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

interface Settled {
	character: string;
	state: string;
}
export interface Question {
	id: string;
	needs: string;
	/** What it asks about, in a word or three. */
	short: string;
	question: string;
	hint: string;
	states: { id: string; word: string; detail?: string }[];
	/** Answers of other questions that answer this one. */
	settledBy?: Settled[];
}
interface Described {
	code: string;
	/** The name of its drawing. */
	drawing: string;
	size_mm: [number, number];
	moves: string;
	tell: string;
	where: string;
	likeness: { taxon: string; apart: string }[];
	chances: Chances;
	forms?: { form: string; share: number; drawing: string; chances: Chances }[];
}
type Chances = Record<string, Record<string, number>>;

const shipped = data as unknown as {
	characters: Question[];
	taxa: Described[];
	coarser: { name: string; drawing: string; order: string; members: string[]; leave: string; tell: string }[];
};
export const questions: readonly Question[] = shipped.characters;
const asked = new Map(questions.map((q) => [q.id, q]));
export const describedAnimals: readonly Described[] = shipped.taxa;
const described = new Map(describedAnimals.map((t) => [t.code, t]));
export const describedAs = (code: string): Described | undefined => described.get(code);

/** What a tray calls it: the group itself where it is one, else its order. */
const trayName = (name: string, order: string) => (shippedAnimals.of(name) ? name : order);
export const coarserNames = shipped.coarser.map((c) => ({ ...c, code: trayName(c.name, c.order) }));

/** A row of the key for each form of each kind. */
const rows = shipped.taxa.flatMap((t) =>
	t.forms
		? t.forms.map(({ share, chances }) => ({ code: t.code, share, chances: { ...t.chances, ...chances } }))
		: [{ code: t.code, share: 1, chances: t.chances }]
);
const prior = rows.map((r) => r.share);
const characters: readonly Character[] = questions.map(({ id, states }) => ({
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

const ready = readyKey({ prior, characters, errorRate: ERROR_RATE });

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
	/** The chance that it is none of the kinds in the key, and whether that is likely: one answer alone tells it of nothing. */
	none: number;
	isNone: boolean;
}

/** A question that the answers to others have answered: asking it would weigh one fact twice. */
const isSettled = ({ settledBy = [] }: Question, answers: readonly Answer[]): boolean =>
	settledBy.some((s) => answers.some((a) => a.character === s.character && a.state === s.state));

/**
 * What an animal may be after some answers, in any order, and what to look at next. An answer of null is "cannot see".
 * RangeError for a character or state that is not in the key, or a character answered twice.
 */
export function nameBy(answers: readonly Answer[]): Named {
	const key = ready(answers);
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
		coarser: isSure ? null : coarserName(byCode),
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
function coarserName(byCode: ReadonlyMap<string, number>): Named['coarser'] {
	const [sure] = coarserNames
		.map((c) => ({ ...c, chance: c.members.reduce((sum, m) => sum + (byCode.get(m) ?? 0), 0) }))
		.filter((c) => c.chance >= SURE)
		.sort((a, b) => a.members.length - b.members.length);
	return sure
		? { name: sure.name, drawing: sure.drawing, code: sure.code, chance: sure.chance, leave: sure.leave }
		: null;
}
