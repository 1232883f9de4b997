import { bestDay, type BestDay } from './best-order';
import type { RoundQuestion } from './day';
import { ifLeftOut, remedies, type Alternatives, type Remedy } from './what-if';

/** What a planner asks of one round's day, all of it worth a thread of its own: ten stops take seconds. */
export interface DayAnswers {
	best: BestDay | null;
	/** What is left of the tightest limit without each stop in turn; null where no order works then either. */
	leftOut: { id: string; least_min: number | null }[];
	/** What would help, where the best day leaves less than `thin_min`. */
	remedies: Remedy[];
}

export function dayAnswers(question: RoundQuestion, alternatives: Alternatives, thin_min: number): DayAnswers {
	const best = bestDay(question);
	const isTight = (best?.plan.slack.least_min ?? -Infinity) < thin_min;
	return {
		best,
		leftOut:
			question.stops.length > 1
				? ifLeftOut(question).map(({ id, day }) => ({ id, least_min: day?.plan.slack.least_min ?? null }))
				: [],
		remedies: isTight ? remedies(question, alternatives, thin_min) : []
	};
}
