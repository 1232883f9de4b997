<script lang="ts">
	import { sayDay } from '$lib/core/wording';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();

	const results = $derived(data.visits.reduce((sum, v) => sum + v.awaitsReview, 0));
</script>

<svelte:head><title>Review · Keen Riffle</title></svelte:head>

<main class="page">
	<h1 class="ruled">Review</h1>
	<p class="also">
		<a class="btn preset-outlined-surface-500" href="/vouchers">Vouchers to be named again</a>
		<a class="btn preset-outlined-surface-500" href="/apart">How far apart bench, lab and meter are</a>
	</p>
	{#if data.visits.length}
		<p class="lead">{results} results of {data.visits.length} visits await review. The oldest come first.</p>
		<div class="scroll">
			<table class="table">
				<thead
					><tr
						><th>Visit</th><th>Site</th><th>Crew</th><th class="number">results</th><th class="number">flags</th><th
							>two values</th
						></tr
					></thead
				>
				<tbody>
					{#each data.visits as visit (visit.id)}
						<tr>
							<td><a href="/visits/{visit.id}">{sayDay(visit.started_ms, data.program.timeZone, true)}</a></td>
							<td><b>{visit.site.name}</b>, {visit.site.about}</td>
							<td>{visit.crew.join(', ')}</td>
							<td class="number">{visit.awaitsReview}</td>
							<td class="number">{visit.flags || ''}</td>
							<td>{visit.conflicts ? 'to be decided' : ''}</td>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
	{:else}
		<p class="lead">
			Nothing waits. When a visit is finished, its results come here to be accepted, qualified or rejected.
		</p>
	{/if}
</main>

<style>
	.also {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
		margin: 0.5rem 0;
	}
	.page {
		max-width: 61.25rem;
	}
	.lead {
		margin: 0.5rem 0 0.75rem;
	}
	.scroll {
		overflow-x: auto;
	}
</style>
