import type { Folded, Line, Sheet } from '../logbook';
import { orderSteps, pairsOf, type MethodCard } from '../method';
import { doubt, type Flag } from '../subjects/flags';
import { remembered } from '../subjects/remember';
import type { Seen } from '../subjects/step-kind';
import { kindOf, type Step } from '../subjects/steps';
import type { Missing, StepState } from './outcome';

/** How each step stands, in the order that the card's rules give. */
export function stepStates(card: MethodCard, seen: Seen): StepState[] {
	const order = orderSteps(card);
	const steps = 'steps' in order ? order.steps.map((s) => s.step) : card.steps;
	return steps.map((step) => {
		const { done, progress } = kindOf(step).progress(step, seen);
		return { id: step.id, state: done ? 'done' : undoneState(step, seen.sheet), progress };
	});
}

function undoneState(step: Step, sheet: Sheet): StepState['state'] {
	if (sheet.steps?.[step.id]?.passedOver !== undefined) return 'skipped';
	return isNotRequired(step, sheet) ? 'not-required' : 'open';
}

/**
 * Nothing is asked for when the site was left unsampled, nor what its subject does not ask for on a visit that went
 * so.
 */
function isNotRequired(step: Step, sheet: Sheet): boolean {
	const kind = kindOf(step);
	if (kind.isAlwaysAsked) return false;
	return sheet.arrival?.access === 'leave' || kind.isNotAsked?.(step, sheet) === true;
}

/** Steps still open whose absence costs something. */
export function missingOf(states: readonly StepState[], card: MethodCard): Missing[] {
	return states.flatMap(({ id, state, progress }) => {
		const step = card.steps.find((s) => s.id === id);
		if (state !== 'open' || !step?.costIfMissing) return [];
		return [{ step: id, what: progress ? `${step.title}: ${progress}` : step.title, cost: step.costIfMissing }];
	});
}

/**
 * Steps that were begun before one that a rule puts first. In what order a sheet from paper is typed in says nothing
 * of that.
 */
export function orderFlags(folded: Folded, card: MethodCard): Flag[] {
	if (folded.sheet.opening?.isOnPaper) return [];
	const { pairs, places } = orderOf(card);
	const begunAt = firstWritten(folded, places);
	return pairs.flatMap(({ first, then, because }): Flag[] => {
		const a = begunAt.get(first.place);
		const b = begunAt.get(then.place);
		if (a === undefined || b === undefined || a <= b) return [];
		const at = { path: then.place, parameter: kindOf(then.step).parameter(then.step) };
		return [doubt('out-of-order', at, { first: first.step.title, then: then.step.title, because })];
	});
}

/** When the first line still standing was written at each of the places: `arrival`, `bottles/bacteria`. */
function firstWritten({ lines }: Folded, places: readonly string[]): Map<string, string> {
	const first = new Map<string, string>();
	for (const line of lines.values()) {
		if (!line.live) continue;
		for (const place of places) {
			if (!isAt(line.path, place)) continue;
			const said = begunAt(line);
			const before = first.get(place);
			if (before === undefined || said < before) first.set(place, said);
		}
	}
	return first;
}

const isAt = (path: string, place: string) =>
	path.startsWith(place) && (path.length === place.length || path[place.length] === '/');

/** Text of one form, which sorts as the instants do. */
const begunAt = ({ path, value, history }: Line) =>
	path.endsWith('/filledAt') ? new Date(String(value)).toISOString() : history[0]!.at;

/**
 * The pairs of steps that a card's rules put one before the other; the rules about every other step say nothing of a
 * slip.
 */
const orderOf = remembered((card: MethodCard) => {
	const placed = (step: Step) => ({ step, place: kindOf(step).places(step)[0]! });
	const pairs = card.rules
		.filter((rule) => rule.first !== '*' && rule.then !== '*')
		.flatMap((rule) =>
			pairsOf(rule, card.steps).map(({ first, then }) => ({
				first: placed(first),
				then: placed(then),
				because: rule.because
			}))
		);
	return { pairs, places: [...new Set(pairs.flatMap(({ first, then }) => [first.place, then.place]))] };
});
