import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { Worker } from 'node:worker_threads';
import { error as httpError } from '@sveltejs/kit';
import pLimit from 'p-limit';
import { styleNow, type ProgramStyle } from '../program-style';
import type { JobName, Jobs } from './jobs';

const AT_ONCE = 2;
const MOST_WAITING = 16;
const WITHIN_ms = 60_000;
const THREAD = resolve('build/threads/work.thread.js');

const TOO_LONG = Symbol('too long');
const turn = pLimit(AT_ONCE);

/**
 * Does a job in a thread of its own when its turn comes. Without a built thread (in tests of the server alone) it is
 * done here.
 * @throws an answer 503, in words, where too many wait or it takes longer than a minute
 */
export async function beside<N extends JobName>(
	name: N,
	...asked: Parameters<Jobs[N]>
): Promise<Awaited<ReturnType<Jobs[N]>>> {
	if (turn.pendingCount >= MOST_WAITING) httpError(503, 'Much is being worked out just now. Try again in a minute.');
	const style = styleNow();
	const answer = await turn(() => (existsSync(THREAD) ? inThread(name, asked, style) : here(name, asked)));
	if (answer === TOO_LONG) httpError(503, 'This takes too long to work out; ask for less at a time.');
	return answer as Awaited<ReturnType<Jobs[N]>>;
}

async function here(name: JobName, asked: readonly unknown[]): Promise<unknown> {
	const { doJob } = await import('./jobs');
	return doJob(name, asked);
}

function inThread(name: JobName, asked: readonly unknown[], style: ProgramStyle): Promise<unknown> {
	return new Promise((done, fail) => {
		const worker = new Worker(THREAD, { workerData: { name, asked, style } });
		const late = setTimeout(() => {
			void worker.terminate();
			done(TOO_LONG);
		}, WITHIN_ms);
		worker.once('message', (answer: unknown) => {
			clearTimeout(late);
			done(answer);
		});
		worker.once('error', (error: unknown) => {
			clearTimeout(late);
			fail(error instanceof Error ? error : new Error(String(error)));
		});
	});
}
