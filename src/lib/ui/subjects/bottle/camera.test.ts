import { afterEach, describe, expect, it, vi } from 'vitest';
import { throughCamera } from './camera';

class StreamStandIn {
	isStopped = false;
	getTracks = () => [{ stop: () => (this.isStopped = true) }];
}
const film = () => ({ srcObject: null as unknown, play: () => Promise.resolve() });
/** A page with this answer to whoever asks for the camera; null where the browser has none to ask for. */
function pageWith(answer: Promise<StreamStandIn> | null) {
	vi.stubGlobal('MediaStream', StreamStandIn);
	vi.stubGlobal('navigator', answer ? { mediaDevices: { getUserMedia: () => answer } } : {});
}
const shownIn = (video: ReturnType<typeof film>, onlive: () => (() => void) | undefined, onnone = () => {}) =>
	throughCamera({ onlive, onnone })(video as unknown as HTMLVideoElement) as () => void;
afterEach(() => void vi.unstubAllGlobals());

describe('what a video shows', () => {
	it('is the camera, until it leaves the screen', async () => {
		const stream = new StreamStandIn();
		pageWith(Promise.resolve(stream));
		const [video, onend] = [film(), vi.fn()];
		const onlive = vi.fn(() => onend);
		const close = shownIn(video, onlive);
		await vi.waitFor(() => expect(onlive).toHaveBeenCalled());
		expect(video.srcObject).toBe(stream);
		close();
		expect(onend).toHaveBeenCalled();
		expect(stream.isStopped).toBe(true);
	});
	it('a camera that answers too late is let go', async () => {
		const stream = new StreamStandIn();
		pageWith(Promise.resolve(stream));
		const onlive = vi.fn();
		shownIn(film(), onlive)();
		await vi.waitFor(() => expect(stream.isStopped).toBe(true));
		expect(onlive).not.toHaveBeenCalled();
	});
	it.each([
		['there is none', () => null],
		['it is not allowed', () => Promise.reject(new Error('denied'))]
	])('says so where %s', async (_, answer) => {
		pageWith(answer());
		const onnone = vi.fn();
		shownIn(film(), () => undefined, onnone);
		await vi.waitFor(() => expect(onnone).toHaveBeenCalledTimes(1));
	});
});
