import { z } from 'zod';
import { store } from './store';

const Refusal = z.object({ message: z.string() });

/**
 * Sends pictures that the server was asked about and does not hold, after the lines that speak of them; with no
 * network they stay. Returns what to say of those that it would not take. A server in trouble is an error: the
 * exchange is tried again later.
 */
export async function sendPhotos(asked: readonly string[], wanted: readonly string[]): Promise<string[]> {
	const said: string[] = [];
	for (const photo of await store.photos.where('sha256').anyOf(asked).toArray()) {
		if (wanted.includes(photo.sha256)) {
			const address = `/api/photos/${photo.sha256}`;
			const answer = await fetch(`${address}?visit=${photo.visitId}`, {
				method: 'PUT',
				headers: { 'content-type': 'image/jpeg' },
				body: photo.bytes
			});
			if (answer.status >= 500) throw new Error(`${address} answered ${answer.status}`);
			if (!answer.ok) {
				const why = Refusal.safeParse(await answer.json().catch(() => null));
				said.push(`A photo was not taken and stays here. ${why.success ? why.data.message : ''}`.trim());
				continue;
			}
		}
		await store.photos.update(photo.sha256, { state: 'sent' });
	}
	return said;
}

export const keptPhotos = (): Promise<string[]> => store.photos.where('state').equals('kept').primaryKeys();

/** The bytes of a picture: this device's, else the server's. */
export async function photoBytes(sha256: string): Promise<Blob> {
	const here = await store.photos.get(sha256);
	if (here) return new Blob([here.bytes], { type: 'image/jpeg' });
	const answer = await fetch(`/api/photos/${sha256}`);
	if (!answer.ok) throw new Error(`the photo could not be had: ${answer.status}`);
	return answer.blob();
}

/** The picture on this device, else where the server has it. */
export async function photoAddress(sha256: string): Promise<string> {
	const here = await store.photos.get(sha256);
	return here ? URL.createObjectURL(new Blob([here.bytes], { type: 'image/jpeg' })) : `/api/photos/${sha256}`;
}

/**
 * Fetches pictures that will be wanted where there is no network; what cannot be had now is tried with the next
 * satchel.
 */
export async function fetchPhotos(names: readonly string[]): Promise<void> {
	const here = new Set(await store.photos.where('sha256').anyOf(names).primaryKeys());
	for (const sha256 of names.filter((n) => !here.has(n))) {
		const answer = await fetch(`/api/photos/${sha256}`).catch(() => null);
		if (answer?.ok) await store.photos.put({ sha256, visitId: '', bytes: await answer.arrayBuffer(), state: 'sent' });
	}
}
