import type { Alternatives, DayAnswers, RoundQuestion } from '../../core/schedule';
import { beside } from './beside';

const MOST_REMEMBERED = 200;
const found = new Map<string, Promise<DayAnswers>>();

/**
 * A round's day, solved beside the thread that serves, and remembered: who looks again, or looks too, waits for the
 * same answer.
 */
export function solveDay(question: RoundQuestion, alternatives: Alternatives, thin_min: number): Promise<DayAnswers> {
	const key = JSON.stringify([question, alternatives, thin_min]);
	const known = found.get(key);
	if (known) return known;
	const answer = beside('day', question, alternatives, thin_min);
	if (found.size >= MOST_REMEMBERED) found.delete(found.keys().next().value!);
	found.set(key, answer);
	answer.catch(() => found.delete(key));
	return answer;
}
