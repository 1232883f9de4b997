import { bestDay, type BestDay } from './best-order';
import { handIn, type RoundQuestion } from './day';
import { onlyStops } from './what-if';

/** What has happened so far on the day of a round. */
export interface SoFar {
	now_min: number;
	/** Sites that were left, in the order in which they were visited. */
	done: readonly { id: string; leave_min: number; bottle_min: number | null }[];
	/** The site that the crew is at now, and since when. */
	at: { id: string; begin_min: number; bottle_min: number | null } | null;
}

/**
 * The best rest of the day from here: what is done is done, the first bottle's clock is running. Null when no site is
 * left.
 */
export function restOfDay(question: RoundQuestion, soFar: SoFar): BestDay | null {
	const indexOf = (id: string) => question.stops.findIndex((s) => s.id === id);
	const gone = new Set([...soFar.done.map((d) => d.id), ...(soFar.at ? [soFar.at.id] : [])]);
	const left = question.stops.flatMap((s, i) => (gone.has(s.id) ? [] : [i]));
	const latest = soFar.at ?? soFar.done.at(-1);
	const here = latest ? indexOf(latest.id) : -1;
	const visit_min = question.stops[here]?.visit_min ?? 0;
	const bottles = [
		...soFar.done.map((d) => d.bottle_min),
		soFar.at && (soFar.at.bottle_min ?? stillToFill(question, soFar.at, soFar.now_min))
	].filter((m) => m !== null);
	const free_min = soFar.at ? Math.max(soFar.now_min, soFar.at.begin_min + visit_min) : soFar.now_min;
	const firstBottle_min = bottles.length ? Math.min(...bottles) : null;
	if (left.length === 0) {
		if (here === -1) return null;
		const end = handIn(question, free_min, question.drive.toLab[here]!, firstBottle_min);
		return { plan: { order: [], start_min: free_min, stops: [], firstBottle_min, ...end }, isExact: true };
	}
	const rest = onlyStops(question, left);
	return bestDay({
		...rest,
		...(here === -1 ? {} : { drive: { ...rest.drive, fromStart: left.map((i) => question.drive.between[here]![i]!) } }),
		start:
			here === -1
				? { ...question.start, earliest_min: Math.max(question.start.earliest_min, soFar.now_min) }
				: { earliest_min: free_min, latest_min: free_min, step_min: 1 },
		...(firstBottle_min === null ? {} : { firstBottle_min })
	});
}

/** When the bottle of a visit that is going on will be filled, if it is not yet: its clock is part of the day. */
function stillToFill(question: RoundQuestion, at: NonNullable<SoFar['at']>, now_min: number): number | null {
	const after_min = question.stops.find((s) => s.id === at.id)?.bottle_min ?? null;
	return after_min === null ? null : Math.max(now_min, at.begin_min + after_min);
}
