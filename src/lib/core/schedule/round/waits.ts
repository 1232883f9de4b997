import { followOrder, type DayPlan, type RoundQuestion } from './day';

/** A time that the crew stands at a site and may not begin: it is dark, or its window is not open yet. */
export interface Wait {
	id: string;
	from_min: number;
	until_min: number;
	because: 'dark' | 'window';
}

/** The waits of a day, in its order. */
export function waitsOf({ light }: Pick<RoundQuestion, 'light'>, plan: Pick<DayPlan, 'stops'>): Wait[] {
	return plan.stops
		.filter((s) => s.begin_min > s.arrive_min)
		.map((s) => ({
			id: s.id,
			from_min: s.arrive_min,
			until_min: s.begin_min,
			because: s.begin_min === light.from_min ? 'dark' : 'window'
		}));
}

/**
 * The same day, left for later by what would be waited at its first site: nothing after it moves, and nobody stands
 * at a gate for two hours who could have had breakfast.
 */
export function withoutFirstWait(question: RoundQuestion, plan: DayPlan): DayPlan {
	const first = plan.stops[0];
	if (!first || first.begin_min === first.arrive_min) return plan;
	return followOrder(question, plan.order, plan.start_min + first.begin_min - first.arrive_min) ?? plan;
}
