<script module lang="ts">
	import type { MarkPlace } from '$lib/core/bacteria';
	import type { Mark, PhotoGrid } from '$lib/core/subjects/plates/branch';
	import { isCountedAt, type Square } from '$lib/core/subjects/plates/photo-grid';

	export interface Props {
		sha256: string;
		/** Where the picture is, by its name. */
		address: (sha256: string) => Promise<string>;
		/** As so many times the width of the frame it is shown. */
		zoom: number;
		marks: Readonly<Record<string, Mark>>;
		chosen: string | null;
		pencil: readonly MarkPlace[];
		ringed: readonly MarkPlace[];
		/** A grid over the medium, and the squares in which colonies are counted. */
		grid: PhotoGrid | null;
		squares: readonly Square[] | null;
		/**
		 * A place was tapped, or chosen with the arrow keys; `apart_px`: how far a mark lies from it on the screen. Null:
		 * the photo is looked at only.
		 */
		onplace: ((place: MarkPlace, apart_px: (mark: MarkPlace) => number) => void) | null;
	}
</script>

<script lang="ts">
	import { untrack } from 'svelte';

	let { sha256, address, zoom, marks, chosen, pencil, ringed, grid, squares, onplace }: Props = $props();

	const STEP = 0.01;
	const ways: Record<string, readonly [number, number]> = {
		ArrowLeft: [-1, 0],
		ArrowRight: [1, 0],
		ArrowUp: [0, -1],
		ArrowDown: [0, 1]
	};
	let picture = $state<HTMLElement>();
	/** Where the arrow keys stand. */
	let cross = $state<MarkPlace | null>(null);
	let src = $state<string | null>(null);
	let isMissing = $state(false);
	const name = $derived(sha256);
	/** Once for each photo: it must not be drawn anew under a finger because a mark was kept. */
	$effect(() => {
		const asked = name;
		let isGone = false;
		void untrack(() => address(asked)).then((found) => {
			if (isGone) URL.revokeObjectURL(found);
			else src = found;
		});
		return () => {
			isGone = true;
			if (src) URL.revokeObjectURL(src);
		};
	});

	function at(place: MarkPlace) {
		const { width, height } = picture!.getBoundingClientRect();
		onplace?.(place, (mark) => Math.hypot((mark.x - place.x) * width, (mark.y - place.y) * height));
	}
	function tapped(event: MouseEvent) {
		const box = picture!.getBoundingClientRect();
		const place = { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height };
		if (place.x >= 0 && place.x <= 1 && place.y >= 0 && place.y <= 1) at(place);
	}
	function byKey(event: KeyboardEvent) {
		const way = ways[event.key];
		if (onplace === null || (!way && event.key !== 'Enter')) return;
		event.preventDefault();
		cross ??= { x: 0.5, y: 0.5 };
		if (!way) return at(cross);
		const step = event.shiftKey ? 5 * STEP : STEP;
		const within = (n: number) => Math.min(1, Math.max(0, n));
		cross = { x: within(cross.x + way[0] * step), y: within(cross.y + way[1] * step) };
	}
	const percent = (share: number) => `${String(share * 100)}%`;
	const placed = ({ x, y }: MarkPlace) => `left: ${percent(x)}; top: ${percent(y)}`;
</script>

<div class="frame" class:zoomed={zoom > 1}>
	<!-- marks are made on it, by tap and by key -->
	<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
	<div
		class="picture"
		style="width: {zoom * 100}%"
		role="application"
		tabindex={onplace ? 0 : undefined}
		aria-label="Photo of the plate. Arrow keys move the cross, Enter marks."
		bind:this={picture}
		onclick={tapped}
		onkeydown={byKey}
	>
		{#if src}<img
				{src}
				alt=""
				draggable="false"
				onload={() => (isMissing = false)}
				onerror={() => (isMissing = true)}
			/>{/if}
		{#if grid}<i class="medium" style="{placed(grid)}; width: {percent(2 * grid.rx)}; height: {percent(2 * grid.ry)}"
			></i>{/if}
		{#each squares ?? [] as s (`${String(s.left)} ${String(s.top)}`)}<i
				class="square"
				style="left: {percent(s.left)}; top: {percent(s.top)}; width: {percent(s.right - s.left)}; height: {percent(
					s.bottom - s.top
				)}"
			></i>{/each}
		{#each pencil as p, i (i)}<i class="pencil" style={placed(p)}></i>{/each}
		{#each Object.entries(marks) as [id, mark] (id)}
			<i
				class={['colony', mark.kind, chosen === id && 'chosen', !isCountedAt(mark, squares) && 'beside']}
				style={placed(mark)}
			></i>
		{/each}
		{#each ringed as r, i (i)}<i class="ring" style={placed(r)}></i>{/each}
		{#if cross}<i class="cross" style={placed(cross)}></i>{/if}
	</div>
</div>
{#if isMissing}<p class="say ask" role="status">
		The photo is not on this device yet. With a network it comes; open this page again then.
	</p>{/if}

<style>
	.frame {
		overflow: hidden;
		border: 1px solid var(--rule);
		background: var(--paper-2);
	}
	.frame.zoomed {
		overflow: auto;
		max-height: 70vh;
	}
	.picture {
		position: relative;
		cursor: crosshair;
		touch-action: manipulation;
	}
	img {
		display: block;
		width: 100%;
		user-select: none;
	}
	/* as large as a colony is in the photo, and never too small to see */
	i {
		position: absolute;
		width: max(0.5rem, 1.5%);
		aspect-ratio: 1;
		translate: -50% -50%;
		border-radius: 50%;
		pointer-events: none;
	}
	.colony {
		border: 2px solid var(--on-photo);
		outline: 1px solid var(--on-photo-dark);
	}
	.colony.other {
		border-radius: 0;
		border-color: var(--on-photo-light);
	}
	.colony.beside {
		opacity: 0.5;
		border-style: dotted;
	}
	.medium {
		aspect-ratio: auto;
		border: 1.5px dashed var(--on-photo-light);
		outline: 1px solid var(--on-photo-dark);
	}
	.square {
		translate: none;
		aspect-ratio: auto;
		border-radius: 0;
		border: 1.5px solid var(--on-photo-light);
		outline: 1px solid var(--on-photo-dark);
		background: color-mix(in srgb, var(--on-photo-light) 14%, transparent);
	}
	.colony.chosen {
		outline: 4px solid var(--on-photo-light);
	}
	.pencil {
		border: 1.5px dashed var(--on-photo-dark);
		outline: 1px solid color-mix(in srgb, var(--on-photo-light) 60%, transparent);
	}
	.ring {
		width: max(1rem, 3%);
		border: 3px dotted var(--on-photo-ring);
		outline: 1.5px solid var(--on-photo-light);
	}
	.cross {
		width: 1.125rem;
		border-radius: 0;
		border: none;
		background:
			linear-gradient(var(--on-photo-dark), var(--on-photo-dark)) center / 2px 100% no-repeat,
			linear-gradient(var(--on-photo-dark), var(--on-photo-dark)) center / 100% 2px no-repeat;
		outline: 1px solid var(--on-photo-light);
	}
</style>
