import { expose } from 'comlink';
import { mediumIn, suggestMarks, type Pixels } from './suggest-marks';

const SHORT_px = 1000;

/** The picture, made small enough by the browser itself. */
async function pixelsOf(picture: Blob): Promise<Pixels> {
	const bitmap = await createImageBitmap(picture);
	const scale = Math.min(1, SHORT_px / Math.min(bitmap.width, bitmap.height));
	const [width, height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
	const brush = new OffscreenCanvas(width, height).getContext('2d')!;
	brush.drawImage(bitmap, 0, 0, width, height);
	bitmap.close();
	return { width, height, data: brush.getImageData(0, 0, width, height).data };
}

const work = {
	suggest: async (picture: Blob) => suggestMarks(await pixelsOf(picture)),
	medium: async (picture: Blob) => mediumIn(await pixelsOf(picture))
};
expose(work);
export type PhotoWork = typeof work;
