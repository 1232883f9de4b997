import { expose } from 'comlink';
import type { Suggested } from '$lib/core/subjects/plates/words';
import { suggestMarks } from './suggest-marks';

const SHORT_px = 1000;

/** Reads the picture, made small enough by the browser itself, and looks for colonies in it. */
async function work(picture: Blob): Promise<Suggested> {
	const bitmap = await createImageBitmap(picture);
	const scale = Math.min(1, SHORT_px / Math.min(bitmap.width, bitmap.height));
	const [width, height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
	const brush = new OffscreenCanvas(width, height).getContext('2d')!;
	brush.drawImage(bitmap, 0, 0, width, height);
	bitmap.close();
	return suggestMarks({ width, height, data: brush.getImageData(0, 0, width, height).data });
}

expose(work);
export type SuggestWork = typeof work;
