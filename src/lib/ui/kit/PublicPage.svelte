<script module lang="ts">
	import type { Snippet } from 'svelte';

	export interface Props {
		title: string;
		lead: string;
		children: Snippet;
	}
</script>

<script lang="ts">
	let { title, lead, children }: Props = $props();
</script>

<svelte:head><title>{title} · Keen Riffle</title></svelte:head>

<main>
	<p class="name">Keen<br />Riffle</p>
	<h1>{title}</h1>
	<p class="small">{lead}</p>
	{@render children()}
</main>

<style>
	main {
		max-width: 27em;
		margin: 0 auto;
		padding: 7vh 1.25rem 2.5rem;
	}
	.name {
		font: 600 1.375rem/1.05 var(--head);
		color: var(--water);
		margin-bottom: 1.625rem;
	}
	/* what is typed here is typed on whatever is at hand: large, one below the other */
	main :global(form) {
		display: grid;
		margin-top: 0.875rem;
	}
	main :global(form label) {
		font-weight: 600;
		margin-bottom: 3px;
	}
	main :global(.input) {
		font-size: 1.0625rem;
		min-height: 2.75rem;
	}
	main :global(.under) {
		min-height: 1.5rem;
	}
	main :global(.wrong) {
		color: var(--danger);
		min-height: 1.375rem;
		font-weight: 600;
	}
	main :global(button.main) {
		min-height: 3rem;
		font-size: 1.0625rem;
		margin-top: 0.375rem;
	}
</style>
