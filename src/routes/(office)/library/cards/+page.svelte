<script lang="ts">
	import { goto } from '$app/navigation';
	import { sayDay } from '$lib/core/wording';
	import CardsCompared from '$lib/ui/library/CardsCompared.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();

	const compare = (side: 'a' | 'b', key: string) =>
		goto(`?${new URLSearchParams({ a: data.a, b: data.b, [side]: key })}#compare`, { keepFocus: true, noScroll: true });
</script>

<svelte:head><title>Method cards · Keen Riffle</title></svelte:head>

<main class="page">
	<p class="small"><a href="/library">Library</a></p>
	<h1 class="ruled">Method cards</h1>
	{#if form?.why}<p class="say spoils" role="alert">{form.why}</p>{/if}
	<ul>
		{#each data.own as card (card.code)}
			<li>
				<div>
					<h2><a href="/library/cards/{card.code}">{card.title}</a></h2>
					<p class="small">{card.summary}</p>
				</div>
				<p class="small">
					version {card.version}, in use since {sayDay(Date.parse(card.since), data.program.timeZone, true)}
				</p>
			</li>
		{:else}<li><p>No card is in use yet. Take one of those below: each number in it is yours to change.</p></li>{/each}
	</ul>
	{#if data.shipped.length}
		<h2 class="ruled shipped">Shipped, not in use here</h2>
		<ul>
			{#each data.shipped as card (card.code)}
				<li>
					<div>
						<h3>{card.title}</h3>
						<p class="small">{card.summary}</p>
					</div>
					{#if data.mayKeep}<form method="POST" action="?/take">
							<button class="btn preset-outlined-primary-500" name="code" value={card.code}>Take it into use</button>
						</form>{/if}
				</li>
			{/each}
		</ul>
	{/if}
	<h2 class="ruled shipped" id="compare">Side by side</h2>
	<CardsCompared sides={data.sides} a={data.a} b={data.b} differences={data.differences} oncompare={compare} />
</main>

<style>
	.page {
		max-width: 65rem;
	}
	li {
		display: grid;
		grid-template-columns: 1fr auto;
		gap: 1rem;
		align-items: center;
		padding: 0.5625rem 0;
		border-bottom: 1px solid var(--rule);
	}
	.shipped {
		margin-top: 1.625rem;
	}
	@media (max-width: 640px) {
		li {
			grid-template-columns: 1fr;
		}
	}
</style>
