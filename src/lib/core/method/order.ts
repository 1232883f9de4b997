import { kindOf, type Step } from '../subjects/steps';
import type { MethodCard, OrderRule } from './card';

export interface OrderedStep {
	step: Step;
	/** Why it stands where it does: the rules that put something before it. */
	because: string[];
}

export type StepOrder = { steps: OrderedStep[] } | { cycle: string[]; rules: OrderRule[] };

/**
 * The order of a card's steps, derived from its rules; where no rule speaks, the card's own sequence stays.
 * Rules that chase one another in a circle come back as the circle: the step ids in it and the rules between them.
 */
export function orderSteps(card: Pick<MethodCard, 'steps' | 'rules'>): StepOrder {
	const known = orders.get(card);
	if (known) return known;
	const order = derivedOrder(card);
	orders.set(card, order);
	return order;
}

/** A card is never changed, so its order is worked out once. */
const orders = new WeakMap<object, StepOrder>();

function derivedOrder({ steps, rules }: Pick<MethodCard, 'steps' | 'rules'>): StepOrder {
	const before = new Map(steps.map((step) => [step.id, rulesBefore(step, steps, rules)]));
	const placed: OrderedStep[] = [];
	const waiting = [...steps];
	while (waiting.length) {
		const next = waiting.findIndex((step) => before.get(step.id)!.every((b) => !waiting.includes(b.step)));
		if (next === -1) return circle(waiting, before);
		const [step] = waiting.splice(next, 1);
		placed.push({ step: step!, because: [...new Set(before.get(step!.id)!.map((b) => b.rule.because))] });
	}
	return { steps: placed };
}

export const carries = (step: Step, tag: string): boolean => step.tags.includes(tag);

/** The pairs of steps that a rule puts one before the other. */
export function pairsOf(rule: OrderRule, steps: readonly Step[]): { first: Step; then: Step }[] {
	const firsts = steps.filter((s) => carries(s, rule.first) || (rule.first === '*' && !carries(s, rule.then)));
	const thens = steps.filter((s) => carries(s, rule.then) || (rule.then === '*' && !carries(s, rule.first)));
	// of two that carry both tags neither comes before its like
	const areAlike = (first: Step, then: Step) => carries(then, rule.first) && carries(first, rule.then);
	return firsts.flatMap((first) =>
		thens.filter((then) => then !== first && !areAlike(first, then)).map((then) => ({ first, then }))
	);
}

/** The steps that a card's rules put before this one, each with the rule that does. */
export const comesFirst = (
	step: Step,
	{ steps, rules }: Pick<MethodCard, 'steps' | 'rules'>
): { step: Step; because: string }[] =>
	rulesBefore(step, steps, rules).map((b) => ({ step: b.step, because: b.rule.because }));

interface Before {
	step: Step;
	rule: OrderRule;
}

const rulesBefore = (step: Step, steps: readonly Step[], rules: readonly OrderRule[]): Before[] => [
	...rules.flatMap((rule) =>
		pairsOf(rule, steps)
			.filter((p) => p.then === step)
			.map((p) => ({ step: p.first, rule }))
	),
	// what the steps themselves say, of pads of one strip
	...steps.flatMap((first) => {
		const because = first === step ? null : (kindOf(first).precedes?.(first, step) ?? null);
		return because === null ? [] : [{ step: first, rule: { first: first.id, then: step.id, because } }];
	})
];

/** Every step still waiting has one before it that waits too; following those leads round a circle. */
function circle(waiting: readonly Step[], before: Map<string, Before[]>): StepOrder {
	const trail: Before[] = [];
	let at = waiting[0]!;
	for (;;) {
		const previous = before.get(at.id)!.find((b) => waiting.includes(b.step))!;
		const seen = trail.findIndex((t) => t.step === previous.step);
		if (seen !== -1) {
			const loop = [...trail.slice(seen), previous].slice(1);
			return { cycle: loop.map((t) => t.step.id).reverse(), rules: loop.map((t) => t.rule).reverse() };
		}
		trail.push(previous);
		at = previous.step;
	}
}
