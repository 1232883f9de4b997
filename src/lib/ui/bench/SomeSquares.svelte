<script module lang="ts">
	import type { Writer } from '../entry/writer';

	export interface Props {
		plate: string;
		writer: Writer;
	}
</script>

<script lang="ts">
	import { untrack } from 'svelte';
	import { typedGrid } from '$lib/core/subjects/plates/squares';
	import { drawnOrder } from '$lib/core/subjects/tray/grid';
	import { listed } from '$lib/core/wording';

	let { plate, writer }: Props = $props();

	const at = (place: string) => `plates/${plate}/${place}`;
	const text = (place: string) => writer.drafts[at(place)] ?? '';
	/** Open where it was begun before a reload; it does not close under a finger that clears a field. */
	const wasBegun = untrack(() => text('squares') !== '' || text('squaresCounted') !== '');
	const grid = $derived(typedGrid(text('squares'), text('squaresCounted')));
	const why = $derived(typeof grid === 'object' && 'why' in grid ? grid.why : null);
	const drawn = $derived(
		typeof grid === 'object' && 'squares' in grid
			? drawnOrder(plate, 'squares', grid.squares)
					.slice(0, grid.squaresCounted)
					.toSorted((a, b) => a - b)
			: []
	);
</script>

<details open={wasBegun}>
	<summary>Crowded? Count some squares only</summary>
	<p class="small">
		Lay a grid under the dish, number the squares that lie whole within it, and count in those drawn here: squares that
		one chooses oneself are never like the others.
	</p>
	<p class="fields">
		{#each [['squares', 'Squares in all'], ['squaresCounted', 'Squares to count']] as const as [place, label] (place)}
			<label
				>{label}
				<input
					class="input"
					inputmode="numeric"
					autocomplete="off"
					value={text(place)}
					oninput={(e) => writer.draft(at(place), e.currentTarget.value.trim())}
					aria-invalid={why !== null}
				/></label
			>
		{/each}
	</p>
	{#if why}<p class="why" role="alert">{why}</p>{/if}
	{#if drawn.length}<p role="status">
			Count in {drawn.length === 1 ? 'square' : 'squares'} <b>{listed(drawn.map(String))}</b>, and give what they hold
			together.
		</p>{/if}
</details>

<style>
	summary {
		min-height: 3rem;
		padding: 0.75rem 0;
		cursor: pointer;
	}
	.fields {
		display: flex;
		flex-wrap: wrap;
		gap: 0.75rem;
	}
	.input {
		min-height: 3rem;
		width: 6rem;
	}
	.why {
		color: var(--danger);
		font-weight: 600;
	}
</style>
