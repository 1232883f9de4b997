<script module lang="ts">
	export interface Props {
		onlabel: (code: string) => void;
		onclose: () => void;
	}
</script>

<script lang="ts">
	import { throughCamera } from './camera';
	import { labelIn } from './label-reader';

	let { onlabel, onclose }: Props = $props();

	let said = $state('');
	let isLive = $state(false);
	const TRY_EVERY_ms = 250;

	function take(seen: ReturnType<typeof labelIn>, ifNone: string) {
		if (seen && 'code' in seen) return onlabel(seen.code);
		said = seen ? seen.why : ifNone;
	}

	/** Where there is no camera, the file below does. */
	const camera = throughCamera({
		onlive: (video) => {
			isLive = true;
			const timer = setInterval(() => {
				if (video.videoWidth)
					take(labelIn(Object.assign(video, { width: video.videoWidth, height: video.videoHeight })), said);
			}, TRY_EVERY_ms);
			return () => clearInterval(timer);
		},
		// that there is none may be known only after a photo was read; what that said stays
		onnone: () => (said ||= 'No camera here. Take a photo of the label, or type its code.')
	});

	async function fromFile(input: HTMLInputElement) {
		const file = input.files?.[0];
		if (!file) return;
		const picture = await createImageBitmap(file).catch(() => null);
		if (!picture) said = 'This file is no picture that can be read here.';
		else
			take(labelIn(picture), 'No code is to be seen in this picture. Nearer, sharper, the whole square; or type it.');
		input.value = '';
	}
</script>

<div class="scan">
	<video {@attach camera} class:isLive playsinline muted aria-label="Camera: hold the label’s square into it"></video>
	<p role="status" class="small">
		{said || (isLive ? 'Hold the square of the label into the picture.' : 'Waiting for the camera.')}
	</p>
	<p class="row">
		<label class="btn preset-outlined-surface-500"
			>Photo of the label<input
				type="file"
				accept="image/*"
				capture="environment"
				class="visually-hidden"
				onchange={(e) => fromFile(e.currentTarget)}
			/></label
		>
		<button type="button" class="btn preset-outlined-surface-500" onclick={onclose}>Close</button>
	</p>
</div>

<style>
	video {
		width: 100%;
		height: 0;
		background: var(--ink);
		object-fit: cover;
	}
	.isLive {
		height: 13.75rem;
	}
	.row {
		display: flex;
		gap: 0.5rem;
	}
	.row .btn {
		display: grid;
		place-items: center;
		min-height: 3rem;
		position: relative;
	}
	.row label:focus-within {
		outline: 3px solid var(--water-2);
	}
</style>
