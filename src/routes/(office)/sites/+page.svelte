<script lang="ts">
	import { writeFixed } from '$lib/core/quantity';
	import ChooseFrom from '$lib/ui/kit/ChooseFrom.svelte';
	import DayField from '$lib/ui/kit/DayField.svelte';
	import Fold from '$lib/ui/kit/Fold.svelte';
	import StreamMap from '$lib/ui/thread/StreamMap.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	let sites = $state<string[]>([]);
	let parameters = $state<string[]>([]);
</script>

<svelte:head><title>Sites · Keen Riffle</title></svelte:head>

<main class="page">
	<h1 class="ruled">Sites</h1>
	{#if data.sites.length}
		<div class="scroll">
			<table class="table">
				<thead><tr><th>Site</th><th>Stream</th><th class="number">km above its mouth</th><th>Last seen</th></tr></thead>
				<tbody>
					{#each data.sites as site (site.id)}
						<tr>
							<td><a href="/sites/{site.code}"><b>{site.name}</b></a><br /><small>{site.about}</small></td>
							<td>{site.stream}</td>
							<td class="number">{writeFixed(site.river_km, 1)}</td>
							<td>{site.line || 'no accepted results yet'}</td>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
		<p><a href="/sites/animals">Animals of all sites, beside each other</a></p>
		{#if data.map?.sites.length}
			<h2>Where they are</h2>
			<StreamMap {...data.map} />
		{/if}
		<div class="as-file">
			<Fold title="Results as a file" heading="h2">
				<form action="/sites/results.csv" method="get" data-sveltekit-reload>
					<p class="small lead">
						One row a result, with its unit, how sure it is, how it was found and what review said. Choose nothing for
						all of them.
					</p>
					<div>
						<label for="file-sites">Sites</label>
						<ChooseFrom
							id="file-sites"
							name="site"
							isSeveral
							choices={data.sites.map(({ code, name }) => ({ value: code, text: name }))}
							value={sites}
							placeholder="all of them"
							onchoose={(value) => (sites = value)}
						/>
					</div>
					<div>
						<label for="file-parameters">Measured</label>
						<ChooseFrom
							id="file-parameters"
							name="parameter"
							isSeveral
							choices={data.parameters.map(({ code, name }) => ({ value: code, text: name }))}
							value={parameters}
							placeholder="all of it"
							onchoose={(value) => (parameters = value)}
						/>
					</div>
					<DayField label="From" name="from" />
					<DayField label="To" name="to" />
					{#if data.mayChooseAll}
						<label
							>Of each visit
							<select class="select" name="which">
								<option value="reported">the figure that is reported</option>
								<option value="all">every figure, however it was found</option>
							</select></label
						>
					{/if}
					<button class="btn preset-filled-primary-500">Download CSV</button>
				</form>
				<p class="small">
					Animals for biodiversity databases: every sampling with its effort, what was found in it and what was measured
					at the same visit. <a href="/sites/animals.zip" data-sveltekit-reload>Download a Darwin Core Archive</a>
				</p>
			</Fold>
		</div>
	{:else}
		<p>No sites yet.</p>
	{/if}
</main>

<style>
	.page {
		max-width: 56.25rem;
	}
	.scroll {
		overflow-x: auto;
	}
	.as-file {
		margin-top: 1.125rem;
	}
	form {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(13.75rem, 1fr));
		gap: 0.75rem 1.25rem;
		align-items: end;
		margin-top: 0.5rem;
	}
	.lead {
		grid-column: 1 / -1;
	}
	form + p {
		margin-top: 0.75rem;
	}
	select,
	button {
		min-height: 2.75rem;
	}
</style>
