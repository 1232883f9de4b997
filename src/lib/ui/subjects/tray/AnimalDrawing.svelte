<script module lang="ts">
	export interface Props {
		/** The name of the drawing. */
		name: string;
		/** The character that is being asked about: it is pointed out where the drawing shows it. */
		pointed?: string | null;
		/** Another text beside it says what to look at already. */
		isBesideWords?: boolean;
	}
</script>

<script lang="ts">
	import { writeNumber } from '$lib/core/quantity';
	import { drawingOf, isClosed, weights } from '$lib/core/identification/drawings';

	let { name, pointed = null, isBesideWords = false }: Props = $props();

	const drawing = $derived(drawingOf(name));
</script>

<svg
	viewBox="0 0 100 100"
	role={isBesideWords ? 'presentation' : 'img'}
	aria-label={isBesideWords ? undefined : drawing.tells}
>
	{#each drawing.strokes as stroke, i (i)}
		<path
			d={stroke.d}
			class:filled={stroke.weight === 'filled'}
			class:closed={isClosed(stroke)}
			class:pointed={pointed !== null && stroke.shows === pointed}
			stroke-width={weights[stroke.weight]}
		/>
	{/each}
	{#if drawing.bar}
		<path d="M{94 - drawing.bar.length} 95h{drawing.bar.length}" stroke-width={weights.inner} />
		<text x="94" y="92" text-anchor="end">{writeNumber(drawing.bar.means_mm)} mm</text>
	{/if}
</svg>

<style>
	svg {
		display: block;
		width: 100%;
		stroke: var(--ink);
		stroke-linecap: round;
		stroke-linejoin: round;
		fill: none;
	}
	.closed {
		fill: var(--page);
	}
	.filled {
		fill: var(--ink);
	}
	.pointed {
		stroke: var(--water-2);
	}
	.filled.pointed {
		fill: var(--water-2);
	}
	text {
		stroke: none;
		font-size: 7px;
	}
</style>
