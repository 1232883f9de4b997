<script lang="ts">
	import { withArticle } from '$lib/core/wording';
	import { kindNamed } from '$lib/core/library';
	import { enhance } from '$app/forms';
	import ShelfList from '$lib/ui/library/ShelfList.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();

	const kind = $derived(kindNamed(data.kindName)!);
	const hasPlaces = $derived('latitude' in kind.fields);
</script>

<svelte:head><title>{kind.many} · Keen Riffle</title></svelte:head>

<main class="page">
	<header class="ruled">
		<div>
			<p class="small"><a href="/library">Library</a></p>
			<h1>{kind.many}</h1>
		</div>
		<div class="deeds">
			{#if data.mayKeep}
				<a class="btn preset-filled-primary-500" href="/library/{kind.name}/new" aria-keyshortcuts="n"
					>Add {withArticle(kind.one)}</a
				>
				<a class="btn preset-outlined-surface-500" href="/library/{kind.name}/import">Bring a file in</a>
			{/if}
			{#if kind.name === 'animals'}
				<a class="btn preset-outlined-surface-500" href="/library/animals/all">All kinds of animals</a>
			{/if}
			{#if data.rows.length}
				<span class="small">
					save as
					{#if data.mayKeep}<a href="/library/{kind.name}/rows.csv" download>CSV</a>{/if}
					{#if hasPlaces || kind.name === 'streams'}<a href="/library/{kind.name}/rows.geojson" download>GeoJSON</a
						>{/if}
					{#if kind.name === 'sites'}<a href="/library/{kind.name}/rows.gpx" download>GPX</a>{/if}
				</span>
			{/if}
		</div>
	</header>
	{#if data.mayKeep && data.rows.length === 0 && kind.examples}
		<form method="POST" action="?/examples" class="say ask" use:enhance>
			<p>
				You can begin with {kind.examples.length} examples. They are invented and marked so: put your authority’s in their
				place.
			</p>
			<button class="btn preset-filled-primary-500">Begin with the examples</button>
		</form>
	{/if}
	{#if form?.said}<p class="say" role="status">{form.said}</p>{/if}
	{#if form?.why}<p class="say spoils" role="alert">{form.why}</p>{/if}
	{#key kind.name}
		<ShelfList {kind} rows={data.rows} mayKeep={data.mayKeep} choices={data.choices} />
	{/key}
</main>

<style>
	.page {
		max-width: 70rem;
	}
	header {
		display: flex;
		flex-wrap: wrap;
		justify-content: space-between;
		align-items: end;
		gap: 0.625rem;
	}
	.deeds {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
		align-items: center;
	}
</style>
