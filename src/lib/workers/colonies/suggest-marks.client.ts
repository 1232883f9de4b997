import { wrap } from 'comlink';
import type { Suggested } from '$lib/core/subjects/plates/words';
import type { SuggestWork } from './suggest-marks.worker';

/** Looks for colonies in a photo, off the page's thread. */
export async function suggestMarksOn(picture: Blob): Promise<Suggested> {
	const worker = new Worker(new URL('./suggest-marks.worker.ts', import.meta.url), { type: 'module' });
	try {
		return await wrap<SuggestWork>(worker)(picture);
	} finally {
		worker.terminate();
	}
}
