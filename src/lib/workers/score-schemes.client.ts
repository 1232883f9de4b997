import { wrap } from 'comlink';
import type { SchemeSampling, SchemeScore } from '$lib/core/score-schemes';
import type { ScoreAll } from './score-schemes.worker';

/** Scores a sampling by several schemes off the page's thread; what is ended by `signal` never settles. */
export function scoreBySchemes(asked: SchemeSampling, signal: AbortSignal): Promise<SchemeScore[]> {
	const worker = new Worker(new URL('./score-schemes.worker.ts', import.meta.url), { type: 'module' });
	signal.addEventListener('abort', () => worker.terminate(), { once: true });
	return wrap<ScoreAll>(worker)(asked).finally(() => worker.terminate());
}
