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
				<a class="btn preset-filled-primary-500" href={newHref(next)}>{nextActs[next.name] ?? `Add a ${next.one}`}</a>
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
		max-width: 65rem;
	}
	.lead {
		margin-top: 0.5rem;
		color: var(--ink-2);
	}
	.next {
		border-left: 4px solid var(--water);
		background: var(--page);
		padding: 0.75rem 1rem;
		margin: 0.875rem 0;
		display: grid;
		gap: 0.375rem;
	}
	ol {
		margin-top: 0.75rem;
	}
	li {
		display: grid;
		grid-template-columns: 2.5rem 10.625rem 1fr 8.125rem;
		gap: 0.75rem;
		align-items: baseline;
		padding: 0.5625rem 0;
		border-bottom: 1px solid var(--rule);
	}
	.count {
		font: 600 1.3125rem var(--head);
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
			grid-template-columns: 2.5rem 1fr;
			row-gap: 2px;
		}
		li .small,
		.state {
			grid-column: 2;
			text-align: left;
		}
	}
</style>
