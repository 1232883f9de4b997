import { orderSteps, pairsOf, type MethodCard, type Step } from '../method';
import type { Folded, Line, Sheet } from '../logbook';
import { forms, isAnswered } from '../observations';
import type { Flag } from '../quality';
import type { GaugingView, Missing, Result, StepState } from './outcome';
import { remembered } from './remember';

/** How each step stands, in the order that the card's rules give. */
export function stepStates(
	sheet: Sheet,
	card: MethodCard,
	gaugings: readonly GaugingView[],
	results: readonly Pick<Result, 'parameter'>[]
): StepState[] {
	const order = orderSteps(card);
	const steps = 'steps' in order ? order.steps.map((s) => s.step) : card.steps;
	return steps.map((step) => {
		const { done, progress } = progressOf(step, sheet, gaugings, results);
		const state = done
			? 'tied'
			: sheet.steps?.[step.id]?.passedOver !== undefined
				? 'passed'
				: isNeedless(step, sheet)
					? 'needless'
					: 'open';
		return { id: step.id, state, progress };
	});
}

/** Places of the sheet that belong to a step. */
export function pathsOf(step: Step): string[] {
	switch (step.tool) {
		case 'arrive':
			return ['arrival'];
		case 'bottle':
			return [`bottles/${step.bottle.id}`];
		case 'reading':
			return [`readings/${step.parameter}`];
		case 'form':
			return [step.form];
		case 'kit':
			return [`readings/${step.parameter}`];
		case 'titration':
			return ['titrations'];
		case 'tube':
			return ['readings/tube-depth'];
		case 'disc':
			return ['readings/disc-depth'];
		case 'flow':
			return ['gaugings'];
		case 'leave':
			return ['leaving'];
	}
}

/** Steps still open whose absence costs something. */
export function missingOf(states: readonly StepState[], card: MethodCard): Missing[] {
	return states.flatMap(({ id, state, progress }) => {
		const step = card.steps.find((s) => s.id === id);
		if (state !== 'open' || !step?.costIfMissing) return [];
		return [{ step: id, what: progress ? `${step.title}: ${progress}` : step.title, cost: step.costIfMissing }];
	});
}

/** Steps that were begun before one that a rule puts first. In what order a sheet from paper is typed in says nothing of that. */
export function orderFlags(folded: Folded, card: MethodCard): Flag[] {
	if (folded.sheet.opening?.isOnPaper) return [];
	const begunAt = firstWritten(folded);
	const beganAt = (step: Step) => begunAt.get(pathsOf(step)[0]!);
	return orderedPairs(card).flatMap(({ first, then, because }): Flag[] => {
		const a = beganAt(first);
		const b = beganAt(then);
		if (a === undefined || b === undefined || a <= b) return [];
		return [
			{
				code: 'out-of-order',
				path: pathsOf(then)[0]!,
				parameter: parameterOf(then),
				evidence: { first: first.title, then: then.title, because }
			}
		];
	});
}

function progressOf(
	step: Step,
	sheet: Sheet,
	gaugings: readonly GaugingView[],
	results: readonly Pick<Result, 'parameter'>[]
): { done: boolean; progress: string | null } {
	switch (step.tool) {
		case 'arrive':
			return { done: sheet.arrival?.access !== undefined, progress: null };
		case 'bottle': {
			const bottle = sheet.bottles?.[step.bottle.id];
			return { done: bottle?.label !== undefined && bottle.filledAt !== undefined, progress: null };
		}
		case 'reading':
			return counted(
				step.slots.filter((slot) => sheet.readings?.[step.parameter]?.[slot.id] !== undefined).length,
				slotsAsked(step, sheet).length
			);
		case 'form': {
			const asked = forms[step.form];
			return counted(asked.filter((q) => isAnswered(q, sheet[step.form])).length, asked.length);
		}
		case 'kit':
			return { done: sheet.readings?.[step.parameter]?.[step.id] !== undefined, progress: null };
		case 'titration':
			return counted(
				step.bottles.filter(({ id }) => sheet.titrations?.[id]?.drops !== undefined).length,
				step.bottles.length
			);
		case 'tube':
			return { done: sheet.readings?.['tube-depth'] !== undefined, progress: null };
		case 'disc':
			return counted(['down', 'up'].filter((way) => sheet.readings?.['disc-depth']?.[way] !== undefined).length, 2);
		case 'flow': {
			const gauging = gaugings[0];
			if (!gauging) return { done: results.some((r) => r.parameter === 'discharge'), progress: null };
			const verticals = gauging.verticals.filter((v) => v.share_percent !== null).length;
			return {
				done: verticals >= step.leastVerticals && !gauging.provisional,
				progress: verticals ? `${verticals} of ${step.leastVerticals} verticals` : null
			};
		}
		case 'leave':
			return { done: sheet.leaving?.at !== undefined, progress: null };
	}
}

const counted = (have: number, want: number) => ({
	done: have >= want,
	progress: have > 0 && have < want ? `${have} of ${want}` : null
});

/** The places at which a figure is asked for: one will do where nobody goes across the stream. */
export function slotsAsked(step: Extract<Step, { tool: 'reading' }>, { arrival }: Sheet): typeof step.slots {
	const isFromBank = arrival?.access !== undefined && arrival.access !== 'wade';
	return isFromBank ? step.slots.slice(0, 1) : step.slots;
}

/** Nothing is asked for when the site was left unsampled; nor a section when no one waded. */
function isNeedless(step: Step, { arrival }: Sheet): boolean {
	if (step.tool === 'arrive' || step.tool === 'leave') return false;
	if (arrival?.access === 'leave') return true;
	return step.tool === 'flow' && arrival?.access !== undefined && arrival.access !== 'wade';
}

/** When the first line still standing was written, by branch of the sheet: `arrival`, `readings/conductivity`, `bottles/bacteria`. */
function firstWritten({ lines }: Folded): Map<string, string> {
	const first = new Map<string, string>();
	const note = (place: string, said: string) => {
		const before = first.get(place);
		if (before === undefined || said < before) first.set(place, said);
	};
	for (const line of lines.values()) {
		if (!line.live) continue;
		const { root, branch, said } = begun(line);
		note(root, said);
		note(branch, said);
	}
	return first;
}

const begun = remembered(({ path, value, history }: Line) => {
	const slash = path.indexOf('/');
	const second = path.indexOf('/', slash + 1);
	return {
		root: slash === -1 ? path : path.slice(0, slash),
		branch: second === -1 ? path : path.slice(0, second),
		// text of one form, which sorts as the instants do
		said: path.endsWith('/filledAt') ? new Date(String(value)).toISOString() : history[0]!.at
	};
});

/** The pairs of steps that a card's rules put one before the other; the rules about every other step say nothing of a slip. */
const orderedPairs = remembered((card: MethodCard) =>
	card.rules
		.filter((rule) => rule.first !== '*' && rule.then !== '*')
		.flatMap((rule) => pairsOf(rule, card.steps).map(({ first, then }) => ({ first, then, because: rule.because })))
);

const parameterOf = (step: Step): string | null =>
	step.tool === 'reading' || step.tool === 'kit'
		? step.parameter
		: step.tool === 'disc'
			? 'disc-depth'
			: step.tool === 'titration'
				? 'dissolved-oxygen'
				: step.tool === 'tube'
					? 'tube-depth'
					: step.tool === 'flow'
						? 'discharge'
						: null;
