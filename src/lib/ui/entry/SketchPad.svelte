<script module lang="ts">
	export interface Props {
		/** A picture to draw on; an empty sheet where there is none. */
		on: string | null;
		/** The drawing as a picture. */
		onkeep: (picture: Blob) => void | Promise<void>;
		oncancel: () => void;
	}
	/** The sheet, in units of its own; as wide as pictures are kept. */
	const [WIDTH, HEIGHT] = [1200, 900];
	const INK_px = 7;
</script>

<script lang="ts">
	import { Dialog } from '@skeletonlabs/skeleton-svelte';
	import { untrack } from 'svelte';
	import { FingerLines } from '../kit/finger-lines.svelte';

	let { on, onkeep, oncancel }: Props = $props();

	let height = $state(HEIGHT);
	/** A photo has its shape only once it is there. */
	let isReady = $state(untrack(() => on === null));
	const lines = $derived(new FingerLines({ width: WIDTH, height }, { least: 5, mostLetters: 200_000 }));
	let paper = $state<HTMLElement>();
	let photo = $state<HTMLImageElement>();
	let isBusy = $state(false);

	/** A photo keeps its shape under the drawing. */
	function fit(event: Event) {
		const { naturalWidth, naturalHeight } = event.currentTarget as HTMLImageElement;
		height = Math.round((WIDTH * naturalHeight) / naturalWidth);
		isReady = true;
	}

	async function keep() {
		isBusy = true;
		const canvas = new OffscreenCanvas(WIDTH, height);
		const brush = canvas.getContext('2d')!;
		const { backgroundColor, color } = getComputedStyle(paper!);
		brush.fillStyle = backgroundColor;
		brush.fillRect(0, 0, WIDTH, height);
		if (photo) brush.drawImage(photo, 0, 0, WIDTH, height);
		brush.strokeStyle = color;
		brush.lineWidth = INK_px;
		brush.lineCap = brush.lineJoin = 'round';
		brush.stroke(new Path2D(lines.path));
		await onkeep(await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 }));
		isBusy = false;
	}
</script>

<Dialog open onOpenChange={(e) => !e.open && oncancel()}>
	<Dialog.Backdrop class="sheet-backdrop" />
	<Dialog.Positioner class="sheet-positioner">
		<Dialog.Content class="sheet-panel">
			<Dialog.Title class="sheet-title">{on === null ? 'A sketch' : 'Draw on the photo'}</Dialog.Title>
			<div class="paper" bind:this={paper} class:photo={on !== null}>
				{#if on !== null}<img bind:this={photo} src={on} alt="" onload={fit} />{/if}
				{#if isReady}<svg
						viewBox="0 0 {WIDTH} {height}"
						role="img"
						aria-label={lines.isEmpty
							? 'Draw here with a finger'
							: `Sketch of ${lines.count} ${lines.count === 1 ? 'line' : 'lines'}`}
						onpointerdown={lines.down}
						onpointermove={lines.move}
						onpointerup={lines.up}
						onpointercancel={lines.up}
					>
						<path d={lines.path} stroke-width={INK_px} />
					</svg>{/if}
			</div>
			<p class="acts">
				<button type="button" class="btn preset-outlined-surface-500" onclick={oncancel}>Cancel</button>
				<button
					type="button"
					class="btn preset-outlined-surface-500"
					disabled={lines.isEmpty}
					onclick={() => lines.takeBackOne()}>Undo line</button
				>
				<button type="button" class="btn preset-filled-primary-500" disabled={lines.isEmpty || isBusy} onclick={keep}
					>Save sketch</button
				>
			</p>
		</Dialog.Content>
	</Dialog.Positioner>
</Dialog>

<style>
	.paper {
		position: relative;
		border: 1.5px solid var(--ink-3);
		background: var(--page);
		color: var(--ink);
	}
	/* on a photo the ink of dangers is seen on water as on stone */
	.photo {
		color: var(--danger);
	}
	img {
		display: block;
		width: 100%;
	}
	svg {
		display: block;
		width: 100%;
		touch-action: none;
	}
	.photo svg {
		position: absolute;
		inset: 0;
		height: 100%;
	}
	path {
		fill: none;
		stroke: currentColor;
		stroke-linecap: round;
		stroke-linejoin: round;
	}
	.acts {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
		margin: 0.375rem 0;
	}
	.btn {
		min-height: 3rem;
	}
</style>
