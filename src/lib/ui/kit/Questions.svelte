<script module lang="ts">
	import type { Snippet } from 'svelte';

	export interface Props {
		legend: string;
		/** What becomes of the answers. */
		hint?: string;
		/** The questions, a label each. */
		children: Snippet;
		/** What stands under all of them. */
		after?: Snippet;
	}
</script>

<script lang="ts">
	let { legend, hint, children, after }: Props = $props();
</script>

<!-- what a file leaves open: asked once, answered beside the file -->
<fieldset>
	<legend>{legend}</legend>
	{#if hint}<p class="small">{hint}</p>{/if}
	<div class="questions">{@render children()}</div>
	{@render after?.()}
</fieldset>

<style>
	fieldset {
		border-left: 4px solid var(--ochre-2);
		background: var(--page);
		padding: 0.5rem 0.75rem;
		margin-bottom: 0.75rem;
	}
	legend {
		font-weight: 600;
		float: left;
		width: 100%;
	}
	.questions {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
		gap: 0.625rem 1.125rem;
		clear: both;
	}
	.questions :global(small) {
		display: block;
		overflow-wrap: anywhere;
	}
</style>
