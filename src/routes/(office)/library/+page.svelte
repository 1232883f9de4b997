<script lang="ts">
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const nextActs: Record<string, string> = { program: 'Open the program', cards: 'Choose a card' };
	const tick = (isDone: boolean) => (isDone ? '✓' : '·');

	const next = $derived(data.mayKeep ? data.shelves.find((s) => s.isNeeded && !s.isDone) : undefined);
	const newHref = (shelf: (typeof data.shelves)[number]) =>
		shelf.name === 'program' || shelf.name === 'cards' ? shelf.href : `${shelf.href}/new`;
</script>

<svelte:head><title>Library · Keen Riffle</title></svelte:head>

<main class="page">
	<h1 class="ruled">Library</h1>
	{#if next}
		<section class="next" aria-labelledby="next">
			<h2 id="next">
				Next: {next.name === 'program' ? 'say when the season begins and ends' : `the first ${next.one}`}
			</h2>
			<p>{next.about}</p>
			<p>
				<a class="act main" href={newHref(next)}>{nextActs[next.name] ?? `Add a ${next.one}`}</a>
			</p>
		</section>
	{:else}
		<p class="lead">
			What plans are made of, in the order in which a program is set up. Each shelf needs only those above it.
		</p>
	{/if}
	<ol>
		{#each data.shelves as shelf (shelf.name)}
			<li class:open={shelf === next}>
				<span class="count">{shelf.name === 'program' ? tick(shelf.isDone) : shelf.count}</span>
				<h2><a href={shelf.href}>{shelf.many}</a></h2>
				<p class="small">{shelf.about}</p>
				<p class="state">
					{#if shelf.doubts}<a href={shelf.href}>{shelf.doubts} to look at</a>{:else if !shelf.isDone}{shelf.isNeeded
							? 'none yet'
							: 'none, and may stay so'}{/if}
				</p>
			</li>
		{/each}
	</ol>
	{#if data.shelves.every((s) => s.isDone || !s.isNeeded) && data.mayKeep}
		<p class="small">All that a season needs is here. <a href="/plan">Plan it</a>.</p>
	{/if}
</main>

<style>
	.page {
		max-width: 1040px;
	}
	.lead {
		margin-top: 8px;
		color: var(--ink-2);
	}
	.next {
		border-left: 4px solid var(--water);
		background: var(--page);
		padding: 12px 16px;
		margin: 14px 0;
		display: grid;
		gap: 6px;
	}
	ol {
		margin-top: 12px;
	}
	li {
		display: grid;
		grid-template-columns: 40px 170px 1fr 130px;
		gap: 12px;
		align-items: baseline;
		padding: 9px 0;
		border-bottom: 1px solid var(--rule);
	}
	.count {
		font: 600 21px var(--head);
		text-align: right;
		color: var(--ink-2);
	}
	li.open .count {
		color: var(--water);
	}
	.state {
		text-align: right;
		font-weight: 600;
		color: var(--ochre);
	}
	.state a {
		color: inherit;
	}
	@media (max-width: 640px) {
		li {
			grid-template-columns: 40px 1fr;
			row-gap: 2px;
		}
		li .small,
		.state {
			grid-column: 2;
			text-align: left;
		}
	}
</style>
