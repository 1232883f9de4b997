import { z } from 'zod';
import { againSettings, exampleStep } from '../subjects/step-settings';
import { isToolName, kindOf, stepsOf, type Step, type Tool } from '../subjects/steps';
import type { MethodCard, OrderRule } from './card';

/** One change of what is done at a visit. */
export type Change = { do: 'add'; tool: Tool } | { do: 'repeat' | 'remove' | 'earlier' | 'later'; step: string };

/** A change as one word: `add:staff`, `repeat:oxygen`. */
const ChangeWord = z
	.string()
	.max(60, 'That is too long for a change of a card.')
	.transform((word, context): Change => {
		const [what, of] = word.split(':');
		if (what === 'add' && of !== undefined && isToolName(of)) return { do: 'add', tool: of };
		if (of && (what === 'repeat' || what === 'remove' || what === 'earlier' || what === 'later'))
			return { do: what, step: of };
		context.addIssue({ code: 'custom', message: `“${word}” is no change of a card.` });
		return z.NEVER;
	});

/** More changes than this are kept in several versions. */
const MOST_CHANGES = 60;

/** Changes as an address or a form names them, one word each; `why` says which are none, or that they are too many. */
export function readChanges(words: readonly unknown[]): { words: string[]; changes: Change[]; why: string[] } {
	const read = words.slice(0, MOST_CHANGES).map((word) => ({ word: String(word), ...ChangeWord.safeParse(word) }));
	const good = read.flatMap((r) => (r.success ? [{ word: r.word, change: r.data }] : []));
	const bad = read.flatMap((r) => (r.success ? [] : r.error.issues.map((i) => i.message)));
	const over = `More than ${MOST_CHANGES} changes at once: keep the card, then go on.`;
	return {
		words: good.map((g) => g.word),
		changes: good.map((g) => g.change),
		why: words.length > MOST_CHANGES ? [...bad, over] : bad
	};
}

export interface Composed {
	card: MethodCard;
	/** Rules that spoke of a step that is gone, and went with it. */
	rulesGone: OrderRule[];
	/** Changes that could not be made, in words. */
	why: string[];
}

/**
 * A card with steps added, repeated, removed or moved, one change after the other. Rules stay: they speak of tags,
 * and a step that is added carries those of its kind; a rule of which no step carries the tags any more goes. A
 * change that cannot be made is left out, and said.
 */
export function compose(card: MethodCard, changes: readonly Change[]): Composed {
	let steps = card.steps;
	const why: string[] = [];
	for (const change of changes) {
		const made = changed(steps, change);
		if (typeof made === 'string') why.push(made);
		else steps = made;
	}
	const carried = new Set(['*', ...steps.flatMap((s) => s.tags)]);
	const stands = (rule: OrderRule) => carried.has(rule.first) && carried.has(rule.then);
	return {
		card: { ...card, steps, rules: card.rules.filter(stands) },
		rulesGone: card.rules.filter((rule) => !stands(rule)),
		why
	};
}

function changed(steps: Step[], change: Change): Step[] | string {
	if (change.do === 'add')
		return withNew(steps, { ...exampleStep(change.tool), id: freeId(steps, change.tool) } as Step);
	const at = steps.findIndex((s) => s.id === change.step);
	const step = steps[at];
	if (!step) return `There is no step “${change.step}” any more.`;
	if (change.do === 'remove')
		return steps.length > 1 ? steps.filter((s) => s !== step) : 'A card has one step at least.';
	if (change.do === 'repeat') return again(steps, step, at);
	const to = change.do === 'earlier' ? at - 1 : at + 1;
	if (to < 0 || to >= steps.length) return steps;
	const moved = [...steps];
	moved.splice(at, 1);
	moved.splice(to, 0, step);
	return moved;
}

/** A new step comes before the look back, which is last. */
function withNew(steps: Step[], step: Step): Step[] {
	const last = stepsOf({ steps }, 'leave')[0];
	const at = last ? steps.indexOf(last) : steps.length;
	const made = [...steps.slice(0, at), step, ...steps.slice(at)];
	return made;
}

function again(steps: Step[], step: Step, at: number): Step[] | string {
	const id = freeId(steps, step.id);
	const copy = againSettings(step, id.slice(step.id.length));
	if (!copy) return `“${step.title}” writes where only one can: it cannot be done twice.`;
	const title = `${step.title} again`.slice(0, 60);
	return [...steps.slice(0, at + 1), { ...step, ...copy, id, title } as Step, ...steps.slice(at + 1)];
}

/** An id that no step has: the word itself, else with a number. */
function freeId(steps: readonly Step[], word: string): string {
	const taken = new Set(steps.map((s) => s.id));
	if (!taken.has(word)) return word;
	for (let n = 2; ; n++) {
		const end = `-${n}`;
		const id = `${word.slice(0, 40 - end.length)}${end}`;
		if (!taken.has(id)) return id;
	}
}

/** Two steps that would write at the same place, each pair once. */
export const sharedPlaces = ({ steps }: Pick<MethodCard, 'steps'>): { place: string; first: Step; then: Step }[] => {
	const owner = new Map<string, Step>();
	return steps.flatMap((step) =>
		claimsOf(step).flatMap((place) => {
			const first = owner.get(place);
			if (first) return [{ place, first, then: step }];
			owner.set(place, step);
			return [];
		})
	);
};

const claimsOf = (step: Step): string[] => {
	const kind = kindOf(step);
	return kind.claims?.(step) ?? kind.places(step);
};
