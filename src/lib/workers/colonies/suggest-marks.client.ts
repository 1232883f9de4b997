import { wrap, type Remote } from 'comlink';
import type { Suggested } from '$lib/core/subjects/plates/words';
import type { PhotoWork } from './suggest-marks.worker';

/** Looks for colonies in a photo, off the page's thread. */
export const suggestMarksOn = (picture: Blob): Promise<Suggested> => inWorker(async (work) => work.suggest(picture));

/** Looks for the dish's medium in a photo, off the page's thread. */
export const mediumOn = (picture: Blob) => inWorker((work) => work.medium(picture));

async function inWorker<Answer>(ask: (work: Remote<PhotoWork>) => Promise<Answer>): Promise<Answer> {
	const worker = new Worker(new URL('./suggest-marks.worker.ts', import.meta.url), { type: 'module' });
	try {
		return await ask(wrap<PhotoWork>(worker));
	} finally {
		worker.terminate();
	}
}
