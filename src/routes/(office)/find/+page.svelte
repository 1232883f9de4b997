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
			<input class="input-line" type="search" name="q" maxlength="80" value={data.asked} bind:this={field} /></label
		>
		<button class="act main">Find</button>
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
		max-width: 760px;
	}
	form {
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto;
		gap: 10px;
		align-items: end;
		margin-bottom: 14px;
	}
	input,
	button {
		min-height: 44px;
	}
	label {
		display: grid;
		gap: 6px;
		margin-top: 8px;
	}
	section {
		margin-top: 16px;
	}
	li {
		display: flex;
		justify-content: space-between;
		gap: 14px;
		padding: 8px 0;
		border-bottom: 1px solid var(--rule);
	}
</style>
