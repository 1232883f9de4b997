<script lang="ts">
	import { units, writeNumber } from '$lib/core/quantity';
	import { counted, sayDay, wayWords } from '$lib/core/wording';
	import Fold from '$lib/ui/kit/Fold.svelte';
	import PairsChart from '$lib/ui/chart/PairsChart.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();

	const { shown, compared } = $derived(data);
	const symbol = $derived(shown ? units[shown.unit].symbol : '');
</script>

<svelte:head><title>How far apart · Keen Riffle</title></svelte:head>

<main class="page">
	<h1 class="ruled">How far apart</h1>
	<p>
		Where a visit found one parameter in two ways, both figures are kept. Over time the pairs say how far apart bench
		and lab, strip and meter are.
	</p>
	<p><a class="btn preset-outlined-surface-500" href="/apart/blanks">What the blanks show</a></p>
	{#if shown === null}
		<p class="say">
			No pair yet. Split a bottle between bench and lab now and then, or read one site with kit and meter: each such
			visit adds a pair here by itself.
		</p>
	{:else}
		<div class="spread">
			<nav aria-label="What is compared">
				<ul>
					{#each compared as one (one.id)}
						<li>
							<a href="/apart?of={one.id}" aria-current={one.id === shown.id ? 'page' : undefined}>
								<b>{one.name}</b>
								<span>by {wayWords[one.first]} and by {wayWords[one.second]}</span>
								<small>{counted(one.n, 'pair')}</small>
							</a>
						</li>
					{/each}
				</ul>
			</nav>
			<section aria-labelledby="shown">
				<h2 id="shown">{shown.name}: {wayWords[shown.first]} beside {wayWords[shown.second]}</h2>
				<p class="say" class:ask={shown.apart.isTold}><b>{shown.said[0]}</b> {shown.said.slice(1).join(' ')}</p>
				<PairsChart
					apart={shown.apart}
					pairs={shown.pairs}
					unitSymbol={symbol}
					label="How far each pair lies apart, over time. {shown.said.join(' ')}"
				/>
				<p class="small">
					Each point is a visit: how far the figure by {wayWords[shown.first]} lies over that by {wayWords[
						shown.second
					]}. The band is where the mean lies with 95 %. Bland and Altman’s limits; of figures with a true zero, by
					their ratios. {shown.line ?? ''}
				</p>
				<div class="pairs">
					<Fold title="The pairs">
						<table class="table">
							<thead
								><tr
									><th>Visit</th><th>Site</th><th class="number">by {wayWords[shown.first]}, {symbol}</th><th
										class="number">by {wayWords[shown.second]}, {symbol}</th
									></tr
								></thead
							>
							<tbody>
								{#each shown.pairs.toReversed() as pair (pair.visitId)}
									<tr>
										<td><a href="/visits/{pair.visitId}">{sayDay(pair.at_ms, data.program.timeZone, true)}</a></td>
										<td>{pair.site}</td>
										<td class="number">{writeNumber(pair.first)}</td>
										<td class="number">{writeNumber(pair.second)}</td>
									</tr>
								{/each}
							</tbody>
						</table>
					</Fold>
				</div>
			</section>
		</div>
	{/if}
</main>

<style>
	.page {
		max-width: 75rem;
	}
	.spread {
		display: grid;
		grid-template-columns: minmax(12rem, 17rem) minmax(0, 1fr);
		gap: 1.5rem;
		margin-top: 0.75rem;
	}
	nav a {
		display: grid;
		padding: 0.5rem 0.625rem;
		border-bottom: 1px solid var(--rule);
		text-decoration: none;
		color: inherit;
	}
	nav a[aria-current] {
		background: var(--page);
		border-left: 4px solid var(--water);
	}
	.pairs {
		margin-top: 0.75rem;
	}
	@media (max-width: 800px) {
		.spread {
			grid-template-columns: 1fr;
		}
	}
</style>
