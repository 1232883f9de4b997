import jsQR from 'jsqr';
import { readLabelCode } from '$lib/core/custody';

const LONGEST_px = 1200;

/** The label's code in a picture; null where there is no code to be read, `why` where it is no label of ours. */
export function labelIn(
	picture: CanvasImageSource & { width: number; height: number }
): { code: string } | { why: string } | null {
	const scale = Math.min(1, LONGEST_px / Math.max(picture.width, picture.height));
	const [width, height] = [Math.round(picture.width * scale), Math.round(picture.height * scale)];
	if (width === 0 || height === 0) return null;
	const canvas = new OffscreenCanvas(width, height);
	const pen = canvas.getContext('2d', { willReadFrequently: true })!;
	pen.drawImage(picture, 0, 0, width, height);
	const found = jsQR(pen.getImageData(0, 0, width, height).data, width, height);
	if (!found) return null;
	const label = readLabelCode(found.data);
	return label
		? { code: label.code }
		: { why: `This code says “${found.data.slice(0, 60)}”, which is no label of a bottle.` };
}
