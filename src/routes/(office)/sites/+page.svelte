<script lang="ts">
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
</script>

<svelte:head><title>Sites · Keen Riffle</title></svelte:head>

<main class="page">
	<h1 class="ruled">Sites</h1>
	{#if data.sites.length}
		<div class="scroll">
			<table>
				<thead><tr><th>Site</th><th>Stream</th><th class="number">km above its mouth</th><th>Last seen</th></tr></thead>
				<tbody>
					{#each data.sites as site (site.id)}
						<tr>
							<td><a href="/sites/{site.code}"><b>{site.name}</b></a><br /><small>{site.about}</small></td>
							<td>{site.stream}</td>
							<td class="number">{site.river_km.toFixed(1)}</td>
							<td>{site.line || 'no accepted results yet'}</td>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
	{:else}
		<p>No sites yet.</p>
	{/if}
</main>

<style>
	.page {
		max-width: 900px;
	}
	.scroll {
		overflow-x: auto;
	}
</style>
