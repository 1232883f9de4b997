<!-- The head of a page behind the bench: the way back, what it is of, and what is kept here. -->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { FieldApp } from '$lib/field/field-app.svelte';
	import FieldNote from '../FieldNote.svelte';

	let { app, children }: { app: FieldApp; children: Snippet } = $props();
</script>

<header class="top">
	<a class="back" href="/bench" aria-label="Bench">‹</a>
	<div>{@render children()}</div>
	<FieldNote {app} />
</header>

<style>
	.top {
		display: flex;
		align-items: center;
		gap: 0.75rem;
		padding: 0.375rem 0.75rem;
		background: var(--paper-2);
		border-bottom: 1px solid var(--rule);
	}
	.top div {
		flex: 1;
	}
	.top :global(small) {
		display: block;
	}
	.back {
		min-width: 3rem;
		min-height: 3rem;
		display: grid;
		place-items: center;
		font-size: 1.5rem;
		text-decoration: none;
		color: var(--ink);
	}
</style>
