<!-- A crowded plate: a grid over the medium in the photo, and how many of its squares, drawn at random, are counted. -->
<script lang="ts">
	import type { PhotoGrid } from '$lib/core/subjects/plates/branch';
	import { FEW_IN_SQUARES, MOST_DRAWN, onWholePlate, SQUARES_OF_MEDIUM } from '$lib/core/subjects/plates/photo-grid';
	import type { PlatePicture } from '$lib/core/subjects/plates/photos';
	import type { Writer } from '../entry/writer';
	import type { Camera } from './camera';

	interface Props {
		of: PlatePicture;
		/** Colonies in the squares so far. */
		counting: number;
		camera: Camera;
		writer: Writer;
	}
	let { of, counting, camera, writer }: Props = $props();

	const AT_FIRST = 20;
	const MORE = 10;
	const STEP = 0.01;
	const path = $derived(`platePhotos/${of.id}/grid`);
	const drawn = $derived(of.squares?.length ?? 0);
	let isBusy = $state(false);
	let said = $state('');

	async function lay() {
		isBusy = true;
		said = '';
		try {
			const { isFound, ...medium } = await camera.medium(of.sha256);
			await writer.set(path, { ...medium, squares: AT_FIRST });
			if (!isFound)
				said = 'The dish cannot be told from the table here: bring the dashed ring to the edge of the medium.';
		} catch {
			said = 'The photo could not be read. Count by a grid under the dish, without the photo.';
		} finally {
			isBusy = false;
		}
	}
	const change = (with_: (grid: PhotoGrid) => Partial<PhotoGrid>) => {
		if (of.grid) void writer.set(path, { ...of.grid, ...with_(of.grid) });
	};
	const within = (n: number) => Math.min(1, Math.max(0.02, n));
	const moves: readonly { name: string; by: (g: PhotoGrid) => Partial<PhotoGrid> }[] = [
		{ name: 'Left', by: (g) => ({ x: within(g.x - STEP) }) },
		{ name: 'Right', by: (g) => ({ x: within(g.x + STEP) }) },
		{ name: 'Up', by: (g) => ({ y: within(g.y - STEP) }) },
		{ name: 'Down', by: (g) => ({ y: within(g.y + STEP) }) },
		{ name: 'Larger', by: (g) => ({ rx: within(g.rx * 1.02), ry: within(g.ry * 1.02) }) },
		{ name: 'Smaller', by: (g) => ({ rx: within(g.rx / 1.02), ry: within(g.ry / 1.02) }) }
	];
</script>

{#if of.grid}
	<p>
		Mark in the {drawn} framed squares only: they were drawn at random, of {SQUARES_OF_MEDIUM} that the medium holds.
		{#if counting}So far as on about {Math.round(onWholePlate(counting, drawn))} on the whole plate.{/if}
		{#if counting < FEW_IN_SQUARES && drawn < MOST_DRAWN}Under {FEW_IN_SQUARES} in them, ask for more squares.{/if}
	</p>
	<p class="acts">
		<button
			type="button"
			class="btn preset-outlined-primary-500"
			disabled={drawn >= MOST_DRAWN}
			onclick={() => change(() => ({ squares: Math.min(MOST_DRAWN, drawn + MORE) }))}
			>{Math.min(MORE, MOST_DRAWN - drawn)} squares more</button
		>
		<button
			type="button"
			class="btn preset-outlined-surface-500"
			onclick={() => ((said = ''), writer.strike(path, 'counted whole'))}>Take the grid off</button
		>
	</p>
	<details>
		<summary>The dashed ring is not the edge of the medium</summary>
		<p class="acts" role="group" aria-label="Bring the ring to the medium">
			{#each moves as { name, by } (name)}
				<button type="button" class="btn preset-outlined-surface-500" onclick={() => change(by)}>{name}</button>
			{/each}
		</p>
	</details>
{:else}
	<details>
		<summary>Crowded? Count some squares only</summary>
		<p class="small">
			A grid is laid over the medium, and some of its squares are drawn at random: squares that one chooses oneself are
			never like the others.
		</p>
		<button type="button" class="btn preset-outlined-primary-500" aria-busy={isBusy} disabled={isBusy} onclick={lay}
			>{isBusy ? 'Looking for the dish …' : 'Lay a grid'}</button
		>
	</details>
{/if}
{#if said}<p class="small" role="status">{said}</p>{/if}

<style>
	summary {
		min-height: 3rem;
		padding: 0.75rem 0;
		cursor: pointer;
	}
	.acts {
		display: flex;
		flex-wrap: wrap;
		gap: 0.375rem;
	}
	.btn {
		min-height: 3rem;
	}
</style>
