<script module lang="ts">
	import type { Colour } from './drawn.svelte';

	export interface Props {
		option: (colour: Colour) => object;
		/** What the drawing shows, in words. */
		label: string;
	}
</script>

<script lang="ts">
	import { drawnChart } from './drawn.svelte';

	let { option, label }: Props = $props();

	let isDrawn = $state(false);
	const chart = drawnChart({ option: (colour) => option(colour), ondrawn: () => (isDrawn = true) });
</script>

<div class="chart" class:drawn={isDrawn} role="img" aria-label={label} {@attach chart}></div>

<style>
	.chart {
		height: var(--chart-height, 21.25rem);
		aspect-ratio: var(--chart-shape, auto);
		width: 100%;
		background: var(--page);
	}
</style>
