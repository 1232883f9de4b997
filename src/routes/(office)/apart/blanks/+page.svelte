<script lang="ts">
	import { significant, writeNumber } from '$lib/core/quantity';
	import { counted, sayDay } from '$lib/core/wording';
	import Fold from '$lib/ui/kit/Fold.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const two = (value: number) => significant(value, 2);
</script>

<svelte:head><title>What the blanks show · Keen Riffle</title></svelte:head>

<main class="page">
	<p class="small"><a href="/apart">How far apart</a></p>
	<h1 class="ruled">What the blanks show</h1>
	<p>
		A blank goes the whole way of a sample with nothing in it. What is found in it all the same comes from water,
		bottles, hands and the lab: together blanks tell the least that is something.
	</p>
	{#each data.kinds as kind (kind.id)}
		<section aria-label="{kind.name}, {kind.lab}">
			<h2 class="ruled">{kind.name} <small>{kind.lab}</small></h2>
			<p class="say">{kind.said}</p>
			{#if kind.limits}
				<dl>
					<div>
						<dt>Blanks on average</dt>
						<dd>{two(kind.limits.mean)} {kind.symbol}</dd>
					</div>
					<div>
						<dt>Limit of blank: 19 in 20 blanks are under it</dt>
						<dd>{two(kind.limits.blank)} {kind.symbol}</dd>
					</div>
					<div>
						<dt>Limit of detection: a sample with so much is missed once in 20</dt>
						<dd>{two(kind.limits.detection)} {kind.symbol}</dd>
					</div>
				</dl>
			{/if}
			<Fold title={counted(kind.blanks.length, 'blank')}>
				<table class="table">
					<thead><tr><th>Visit</th><th>Site</th><th>Label</th><th class="number">Found, {kind.symbol}</th></tr></thead>
					<tbody>
						{#each kind.blanks as blank (`${blank.visitId} ${blank.label}`)}
							<tr>
								<td><a href="/visits/{blank.visitId}">{sayDay(blank.at_ms, data.program.timeZone, true)}</a></td>
								<td>{blank.site}</td>
								<td>{blank.label}</td>
								<td class="number">{blank.value === null ? 'under the limit' : writeNumber(blank.value)}</td>
							</tr>
						{/each}
					</tbody>
				</table>
			</Fold>
		</section>
	{:else}
		<p class="say">
			No blank has a figure yet. The plan puts a blank into a round; its bottle is filled at the stream with deionised
			water, goes to the lab as any other, and what is found in it stands here.
		</p>
	{/each}
</main>

<style>
	.page {
		max-width: 61.25rem;
	}
	section {
		margin-top: 1.25rem;
	}
	dl {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(14rem, 1fr));
		gap: 0.75rem;
		margin: 0.75rem 0;
	}
	dd {
		font-size: 1.25rem;
		font-weight: 600;
	}
</style>
