import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { keepPhoto } from './keep-photo';
import { fetchPhotos, keptPhotos, photoAddress, sendPhotos } from './photos';
import { store } from './store';

const visitId = '01890000-0000-7000-8000-00000000aaaa';
const bytes = (text: string) => new TextEncoder().encode(text).buffer;
const name = (letter: string) => letter.repeat(64);
const keep = (letter: string) =>
	store.photos.put({ sha256: name(letter), visitId, bytes: bytes(letter), state: 'kept' });
const fetched = vi.fn<(url: string, init?: RequestInit) => Promise<Response>>();

beforeEach(async () => {
	await store.photos.clear();
	fetched.mockReset();
	vi.stubGlobal('fetch', fetched);
});
afterEach(() => vi.unstubAllGlobals());

describe('a picture', () => {
	/** What a browser does with pictures, as far as it matters here. */
	const asBrowser = (width: number, height: number) => {
		const drawn: number[][] = [];
		vi.stubGlobal('createImageBitmap', () => Promise.resolve({ width, height }));
		vi.stubGlobal(
			'OffscreenCanvas',
			class {
				constructor(
					readonly width: number,
					readonly height: number
				) {
					drawn.push([width, height]);
				}
				getContext = () => ({ drawImage: () => undefined });
				convertToBlob = () => Promise.resolve(new Blob([`${this.width} by ${this.height}`]));
			}
		);
		return drawn;
	};

	it('is made small enough, named by its bytes, and kept here until it is sent', async () => {
		const drawn = asBrowser(4000, 3000);
		const sha256 = await keepPhoto(new Blob(['x']), visitId);
		expect(drawn).toEqual([[1600, 1200]]);
		expect(sha256).toMatch(/^[0-9a-f]{64}$/);
		expect(await keepPhoto(new Blob(['y']), visitId)).toBe(sha256); // the same picture has the same name
		expect(await keptPhotos()).toEqual([sha256]);
	});

	it('that is small stays as large as it is', async () => {
		const drawn = asBrowser(640, 480);
		await keepPhoto(new Blob(['x']), visitId);
		expect(drawn).toEqual([[640, 480]]);
	});

	it('that is none is refused in words, and nothing is kept', async () => {
		vi.stubGlobal('createImageBitmap', () => Promise.reject(new Error('no picture')));
		await expect(keepPhoto(new Blob(['x']), visitId)).rejects.toThrow(/no picture that can be read here/);
		expect(await keptPhotos()).toEqual([]);
	});

	it('is shown from here, else from the server', async () => {
		await keep('a');
		expect(await photoAddress(name('a'))).toMatch(/^blob:/);
		expect(await photoAddress(name('b'))).toBe(`/api/photos/${name('b')}`);
	});
});

describe('pictures on their way', () => {
	it('go where they are wanted, and are known as sent where the server has them already', async () => {
		await keep('a');
		await keep('b');
		fetched.mockResolvedValue(new Response('{}'));
		await sendPhotos([name('a'), name('b')], [name('a')]);
		expect(fetched).toHaveBeenCalledTimes(1);
		expect(fetched.mock.calls[0]![0]).toBe(`/api/photos/${name('a')}?visit=${visitId}`);
		expect(await keptPhotos()).toEqual([]);
	});

	it('that are refused stay here with the reason told, and the others go on', async () => {
		await keep('a');
		await keep('b');
		fetched
			.mockResolvedValueOnce(new Response('{"message":"It is too large."}', { status: 413 }))
			.mockResolvedValueOnce(new Response('{}'));
		expect(await sendPhotos([name('a'), name('b')], [name('a'), name('b')])).toEqual([
			'A photo was not taken and stays here. It is too large.'
		]);
		expect(await keptPhotos()).toEqual([name('a')]);
	});

	it('stay here when the server is in trouble, which is told so that it is tried again', async () => {
		await keep('a');
		fetched.mockResolvedValueOnce(new Response('', { status: 500 }));
		await expect(sendPhotos([name('a')], [name('a')])).rejects.toThrow(/answered 500/);
		expect(await keptPhotos()).toEqual([name('a')]);
	});

	it('taken while the server was being asked wait for the next time: nobody knows yet whether it has them', async () => {
		await keep('b');
		await sendPhotos([], []);
		expect(await keptPhotos()).toEqual([name('b')]);
	});

	it('come for the photo point while there is a network, once, and wait where there is none', async () => {
		fetched.mockResolvedValueOnce(new Response('from the ford')).mockRejectedValueOnce(new TypeError('no network'));
		await fetchPhotos([name('c'), name('d')]);
		await fetchPhotos([name('c')]);
		expect(fetched).toHaveBeenCalledTimes(2);
		expect((await store.photos.toArray()).map((p) => [p.sha256, p.state])).toEqual([[name('c'), 'sent']]);
		expect(await keptPhotos()).toEqual([]); // they are not ours to send
	});
});
