import type { Attachment } from 'svelte/attachments';

export interface Camera {
	/** The picture runs. What is returned ends with it. */
	onlive: (video: HTMLVideoElement) => (() => void) | undefined;
	/** There is no camera, none that may be used, or none on a page that came without https. */
	onnone: () => void;
}

/** What a video element shows for as long as it is on the screen: the camera that looks away from the hand. */
export const throughCamera =
	({ onlive, onnone }: Camera): Attachment<HTMLVideoElement> =>
	(video) => {
		let isClosed = false;
		let end: (() => void) | undefined;
		const stop = (stream: MediaStream) => stream.getTracks().forEach((t) => t.stop());
		const asked =
			navigator.mediaDevices?.getUserMedia({ video: { facingMode: 'environment' } }) ??
			Promise.reject(new Error('no camera'));
		const opened = asked.then(async (stream) => {
			if (isClosed) return stop(stream);
			video.srcObject = stream;
			await video.play();
			if (!isClosed) end = onlive(video);
		});
		opened.catch(() => isClosed || onnone());
		return () => {
			isClosed = true;
			end?.();
			if (video.srcObject instanceof MediaStream) stop(video.srcObject);
		};
	};
