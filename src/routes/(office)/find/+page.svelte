<script lang="ts">
	import { onMount } from 'svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();

	let field = $state<HTMLInputElement>();
	onMount(() => field?.focus());
</script>

<svelte:head><title>Find · Keen Riffle</title></svelte:head>

<main class="page">
	<h1 class="ruled">Find</h1>
	<form method="get">
		<label
			>A site, a person, a day, a bottle’s label, a round, a card
			<input class="input" type="search" name="q" maxlength="80" value={data.asked} bind:this={field} /></label
		>
		<button class="btn preset-filled-primary-500">Find</button>
	</form>
	{#each data.groups as group (group.heading)}
		<section aria-label={group.heading}>
			<h2>{group.heading}</h2>
			<ul>
				{#each group.found as { href, name, about } (href)}
					<li>
						<a {href}>{name}</a>{#if about}<small>{about}</small>{/if}
					</li>
				{/each}
			</ul>
		</section>
	{:else}
		<p role="status">
			{data.asked
				? `Nothing is called “${data.asked}”. Part of a name is enough; a day is written like 2026-05-14, alone or with a site.`
				: 'Part of a name is enough. A day is written like 2026-05-14, alone or with a site: “Tessel 2026-05-14”.'}
		</p>
	{/each}
</main>

<style>
	.page {
		max-width: 47.5rem;
	}
	form {
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto;
		gap: 0.625rem;
		align-items: end;
		margin-bottom: 0.875rem;
	}
	input,
	button {
		min-height: 2.75rem;
	}
	label {
		display: grid;
		gap: 0.375rem;
		margin-top: 0.5rem;
	}
	section {
		margin-top: 1rem;
	}
	li {
		display: flex;
		justify-content: space-between;
		gap: 0.875rem;
		padding: 0.5rem 0;
		border-bottom: 1px solid var(--rule);
	}
</style>
