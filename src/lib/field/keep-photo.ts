import { store } from './store';

const LONGEST_px = 1600;
const QUALITY = 0.8;

/** Keeps a picture on this device, made small enough for a thin network. Returns the name that its bytes have. */
export async function keepPhoto(file: Blob, visitId: string): Promise<string> {
	const picture = await createImageBitmap(file).catch(() => null);
	if (!picture)
		throw new RangeError('This file is no picture that can be read here. Take another, or choose a JPEG or PNG.');
	const scale = Math.min(1, LONGEST_px / Math.max(picture.width, picture.height));
	const canvas = new OffscreenCanvas(
		Math.max(1, Math.round(picture.width * scale)),
		Math.max(1, Math.round(picture.height * scale))
	);
	canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
	const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
	const bytes = await blob.arrayBuffer();
	const sha256 = Array.from(new Uint8Array(await crypto.subtle.digest('SHA-256', bytes)), (b) =>
		b.toString(16).padStart(2, '0')
	).join('');
	await store.photos.put({ sha256, visitId, bytes, state: 'kept' });
	return sha256;
}
