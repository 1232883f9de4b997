import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { Worker } from 'node:worker_threads';
import pLimit from 'p-limit';
import { dayAnswers, type Alternatives, type DayAnswers, type RoundQuestion } from '../../core/schedule';

const AT_ONCE = 2;
const MOST_WAITING = 16;
const WITHIN_ms = 60_000;
const MOST_REMEMBERED = 200;
const THREAD = resolve('build/threads/day.thread.js');

const turn = pLimit(AT_ONCE);
const found = new Map<string, Promise<DayAnswers>>();

/** So many are at it already that another would only wait. */
export class TooMuchAtOnce extends Error {}

/**
 * A round's day, solved in a thread of its own when its turn comes, and remembered: who looks again, or looks too, waits for the
 * same answer. Without a built thread (in tests of the server alone) it is solved here.
 */
export function solveDay(question: RoundQuestion, alternatives: Alternatives, thin_min: number): Promise<DayAnswers> {
	const key = JSON.stringify([question, alternatives, thin_min]);
	const known = found.get(key);
	if (known) return known;
	if (turn.pendingCount >= MOST_WAITING) return Promise.reject(new TooMuchAtOnce('Many days are being worked out just now. Try again in a minute.'));
	const answer = turn(() =>
		existsSync(THREAD) ? inThread({ question, alternatives, thin_min }) : Promise.resolve(dayAnswers(question, alternatives, thin_min))
	);
	if (found.size >= MOST_REMEMBERED) found.delete(found.keys().next().value!);
	found.set(key, answer);
	answer.catch(() => found.delete(key));
	return answer;
}

function inThread(asked: object): Promise<DayAnswers> {
	return new Promise((done, fail) => {
		const worker = new Worker(THREAD, { workerData: asked });
		const late = setTimeout(() => {
			void worker.terminate();
			fail(new TooMuchAtOnce('This day takes too long to work out; leave a stop out and look again.'));
		}, WITHIN_ms);
		const end = (work: () => void) => () => {
			clearTimeout(late);
			work();
		};
		worker.once('message', (answers: DayAnswers) => end(() => done(answers))());
		worker.once('error', (error: unknown) => end(() => fail(error instanceof Error ? error : new Error(String(error))))());
	});
}
