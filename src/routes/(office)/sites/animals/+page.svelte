<script lang="ts">
	import { writeFixed } from '$lib/core/quantity';
	import { counted, sayDay } from '$lib/core/wording';
	import SitesApartChart from '$lib/ui/chart/SitesApartChart.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();

	const day = (ms: number) => sayDay(ms, data.program.timeZone, true);
	const percent = (share: number) => (100 * share).toFixed(0);
	const told = $derived(data.steps.filter((s) => s.isTold));
</script>

<svelte:head><title>Animals of all sites · Keen Riffle</title></svelte:head>

<main class="page">
	<h1 class="ruled">Animals of all sites</h1>
	{#if data.mayBringCounts}
		<p>
			<a class="btn preset-outlined-primary-500" href="/sites/animals/counts">Bring in counts made elsewhere</a>
		</p>
	{/if}
	{#if data.quarters.length === 0}
		<p class="say">
			No sample of animals was sorted to its end yet. From two sites on, this page says where along a stream the animals
			change.
		</p>
	{:else}
		<nav class="whens" aria-label="Which samples">
			<a href="/sites/animals" aria-current={data.asked === null ? 'page' : undefined}>the latest of each site</a>
			{#each data.quarters as q (q.id)}
				<a href="/sites/animals?when={q.id}" aria-current={data.asked === q.id ? 'page' : undefined}>{q.name}</a>
			{/each}
		</nav>
		<p>
			{told.length
				? `Downstream the animals change between ${counted(told.length, 'pair')} of neighbours by more than counting so few can.`
				: 'From site to site downstream, no change is larger than counting so few can make.'}
		</p>
		<ul class="steps">
			{#each data.steps as step (step.id)}
				<li class={['say', step.isTold && 'ask']}>{step.said} {step.index ?? ''}</li>
			{/each}
		</ul>
		<p class="small">
			Counting is all that is allowed for: a sample is one place of the bed, and a wrong name is not in it. What shows
			in several seasons is worth more than what shows in one.
		</p>
		{#if data.sites.length > 2}
			<section aria-labelledby="map">
				<h2 id="map">How alike they are</h2>
				<SitesApartChart
					sites={data.sites}
					streams={data.streams}
					label="Sites as points: the nearer, the more alike their animals. {data.steps.map((s) => s.said).join(' ')}"
				/>
				<p class="small">
					The nearer two points, the more alike their animals; lines follow each stream down. {data.by === 'shares'
						? 'By the shares of the kinds (Bray and Curtis).'
						: 'By the kinds that were there (Jaccard), for not all of these samples were counted.'}
					The drawing shows {percent(data.shown)} % of what lies between them; left and right, up and down mean nothing by
					themselves.
				</p>
			</section>
		{/if}
		<div class="scroll">
			<table class="table">
				<caption class="small">Unlike each other, in percent: 0 is alike, 100 nothing in common.</caption>
				<thead>
					<tr>
						<th scope="col">Site</th><th scope="col">Sampled</th>
						<th scope="col" class="number">Kinds</th><th scope="col" class="number">Family biotic index</th>
						{#each data.sites as s (s.code)}<th scope="col" class="number">{s.code}</th>{/each}
					</tr>
				</thead>
				<tbody>
					{#each data.sites as s, i (s.code)}
						<tr>
							<th scope="row"><a href="/sites/{s.code}/animals">{s.name}</a></th>
							<td
								>{#if data.mayOpen}<a href="/visits/{s.visitId}">{day(s.started_ms)}</a>{:else}{day(
										s.started_ms
									)}{/if}</td
							>
							<td class="number">{s.said.richness}</td>
							<td class="number"
								>{s.said.index
									? `${writeFixed(s.said.index.value, 2)}${s.said.index.uncertainty === null ? '' : ` ± ${writeFixed(s.said.index.uncertainty, 2)}`}`
									: ''}</td
							>
							{#each data.dissimilarities[i]! as d, j (j)}<td class="number">{i === j ? '' : percent(d)}</td>{/each}
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
	{/if}
</main>

<style>
	.page {
		max-width: 75rem;
	}
	.whens {
		display: flex;
		flex-wrap: wrap;
		gap: 0.25rem 1rem;
	}
	.whens a {
		min-height: 2.75rem;
		display: inline-flex;
		align-items: center;
	}
	.whens a[aria-current] {
		font-weight: 600;
		text-decoration: none;
		color: inherit;
		border-bottom: 3px solid var(--water);
	}
	.steps {
		display: grid;
		gap: 0.375rem;
		list-style: none;
		padding: 0;
	}
	.scroll {
		overflow-x: auto;
	}
	th[scope='row'] {
		font-weight: 500;
		font-size: inherit;
		border-bottom: 1px solid var(--rule);
	}
	.steps + p {
		margin-top: 0.5rem;
	}
	td,
	th[scope='row'] {
		white-space: nowrap;
	}
	caption {
		text-align: left;
		padding: 0.375rem 0;
	}
</style>
