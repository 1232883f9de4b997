<script lang="ts">
	import { sayDay, sayTime } from '$lib/core/wording';
	import { fieldApp } from '../field-context';
	import FieldNote from '../FieldNote.svelte';

	const app = fieldApp();
	const satchel = $derived(app.packed?.satchel ?? null);
	const timeZone = $derived(satchel?.program.timeZone ?? 'UTC');
	const rounds = $derived((satchel?.rounds ?? []).filter((r) => Date.parse(r.startsAt) > app.now_ms - 12 * 3_600_000));
	const nameOf = (id: string) => satchel?.sites.find((s) => s.id === id)?.name ?? 'a site';
</script>

<svelte:head><title>Pack · Keen Riffle</title></svelte:head>

<header class="top">
	<h1>Pack</h1>
	<FieldNote {app} />
</header>
<main>
	{#if !app.isOpen}
		<p>Opening what is kept on this device.</p>
	{:else if !satchel}
		<p>Nothing is packed on this device yet. <a href="/sample">Open Sample once with a network.</a></p>
	{:else}
		{#each rounds as round (round.id)}
			<a class="round" href="/pack/{round.id}">
				<b>{round.name}</b>
				<small
					>{sayDay(Date.parse(round.startsAt), timeZone)}, start {sayTime(Date.parse(round.startsAt), timeZone)}: {round.siteIds
						.map(nameOf)
						.join(', ')}</small
				>
			</a>
		{:else}
			<p>No round is planned in the next three weeks. A list appears here as soon as one is.</p>
		{/each}
		<p class="small"><a href="/sample">To Sample</a> · <a href="/plan" data-sveltekit-reload>To the season</a></p>
	{/if}
</main>

<style>
	.top {
		display: flex;
		justify-content: space-between;
		align-items: center;
		padding: 0.375rem 0.875rem;
		background: var(--paper);
		border-bottom: 1px solid var(--rule);
	}
	h1 {
		font-size: 1.25rem;
	}
	main {
		max-width: 40rem;
		margin: 0 auto;
		padding: 1rem;
	}
	.round {
		display: block;
		padding: 0.75rem 0;
		min-height: 3.75rem;
		border-bottom: 1px solid var(--rule);
		color: var(--ink);
		text-decoration: none;
	}
	.round b {
		font: 600 1.25rem var(--head);
		color: var(--water);
	}
	.round small {
		display: block;
		font-size: 0.9375rem;
	}
	.small {
		margin-top: 1.125rem;
	}
</style>
