<script module lang="ts">
	export interface Props {
		/** The picture taken from this point before; null where there is none yet. */
		before: string | null;
		addressOf: (sha256: string) => Promise<string>;
		onpicture: (file: Blob) => void;
		onclose: () => void;
	}
</script>

<script lang="ts">
	import { throughCamera } from '../bottle/camera';

	let { before, addressOf, onpicture, onclose }: Props = $props();

	let said = $state('Waiting for the camera.');
	let isLive = $state(false);
	let video = $state<HTMLVideoElement | null>(null);

	const camera = throughCamera({
		onlive: (element) => {
			[video, isLive] = [element, true];
			said = before
				? 'Move until the stream lies on the picture of last time.'
				: 'The first picture from here: the next one is laid over it.';
			return undefined;
		},
		onnone: () => (said = 'No camera here. Compare with the picture by eye, and choose a photo from a file.')
	});

	async function take() {
		if (!video) return;
		const canvas = new OffscreenCanvas(video.videoWidth, video.videoHeight);
		canvas.getContext('2d')!.drawImage(video, 0, 0);
		onpicture(await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 }));
	}
</script>

<div class="point">
	<div class="pictures" class:isLive>
		<video {@attach camera} playsinline muted aria-label="Camera"></video>
		{#if before}{#await addressOf(before) then src}<img {src} alt="How it looked from here last time" />{/await}{/if}
	</div>
	<p role="status" class="small">{said}</p>
	<p class="row">
		{#if isLive}<button type="button" class="btn preset-filled-primary-500" onclick={take}>Take it</button>{/if}
		<label class="btn preset-outlined-surface-500"
			>Choose a photo<input
				type="file"
				accept="image/*"
				class="visually-hidden"
				onchange={(e) => e.currentTarget.files?.[0] && onpicture(e.currentTarget.files[0])}
			/></label
		>
		<button type="button" class="btn preset-outlined-surface-500" onclick={onclose}>Close</button>
	</p>
</div>

<style>
	.pictures {
		position: relative;
		background: var(--paper-3);
	}
	video {
		width: 100%;
		height: 0;
		display: block;
		object-fit: cover;
	}
	img {
		width: 100%;
		max-height: 15rem;
		object-fit: cover;
		display: block;
	}
	.isLive video {
		height: 15rem;
	}
	/* the picture of last time lies over what the camera sees */
	.isLive img {
		position: absolute;
		inset: 0;
		height: 15rem;
		opacity: 0.45;
		pointer-events: none;
	}
	.row {
		display: flex;
		gap: 0.5rem;
		margin: 0.375rem 0 0.75rem;
	}
	.row .btn {
		display: grid;
		place-items: center;
		min-height: 3rem;
		position: relative;
	}
	label:focus-within {
		outline: 3px solid var(--water-2);
	}
</style>
