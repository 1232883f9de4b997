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
		padding: 7vh 20px 40px;
	}
	.name {
		font: 600 22px/1.05 var(--head);
		color: var(--water);
		margin-bottom: 26px;
	}
	/* what is typed here is typed on whatever is at hand: large, one below the other */
	main :global(form) {
		display: grid;
		margin-top: 14px;
	}
	main :global(form label) {
		font-weight: 600;
		margin-bottom: 3px;
	}
	main :global(.input-line) {
		font-size: 17px;
		min-height: 44px;
	}
	main :global(.under) {
		min-height: 24px;
	}
	main :global(.wrong) {
		color: var(--danger);
		min-height: 22px;
		font-weight: 600;
	}
	main :global(button.main) {
		min-height: 48px;
		font-size: 17px;
		margin-top: 6px;
	}
</style>
