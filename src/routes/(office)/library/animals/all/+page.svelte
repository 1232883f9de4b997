<script lang="ts">
	import { animalWords } from '$lib/core/macroinvertebrates';
	import { animalKey } from '$lib/core/identification';
	import { scoredAs, type Taxon } from '$lib/core/macroinvertebrates';
	import { counted, listed } from '$lib/core/wording';
	import { knownAnimals } from '$lib/ui/animals/known-animals';
	import AnimalDrawing from '$lib/ui/subjects/tray/AnimalDrawing.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const known = knownAnimals();
	const { describedAs } = $derived(animalKey(known.own));

	let search = $state('');
	const saidOf = $derived(new Map(data.own.map((own) => [own.code, own])));
	const joined = $derived(data.own.filter((own) => own.countsAs !== null));
	/** Other words by which each kind is found. */
	const others = $derived.by(() => {
		const others = new Map<string, string[]>(known.list.taxa.map(({ code }) => [code, []]));
		for (const { word, code } of animalWords(known.list).words) if (word !== code) others.get(code)?.push(word);
		return others;
	});
	const otherNames = (code: string) => others.get(code) ?? [];
	const found = $derived.by(() => {
		const asked = search.trim().toLowerCase().split(/\s+/);
		return known.list.taxa.filter(({ code, name, order }) => {
			const text = [code, name, order, ...otherNames(code)].join(' ').toLowerCase();
			return asked.every((word) => text.includes(word));
		});
	});
	const groups = $derived([...new Set(found.map((t) => t.order))]);
	const valueIn = (values: Record<string, number>, taxon: Taxon) =>
		values[taxon.code] ?? values[scoredAs({ ...taxon, taxon })];
	const placeOf = (taxon: Taxon) => {
		if (taxon.code === taxon.order) return `${taxon.rank}, for what is named no further`;
		return taxon.within[0] ? `${taxon.rank} of ${taxon.within[0]}` : taxon.rank;
	};
</script>

<svelte:head><title>All kinds of animals · Keen Riffle</title></svelte:head>

<main class="page">
	<p class="small"><a href="/library">Library</a>&nbsp;› <a href="/library/animals">Kinds of animals</a></p>
	<h1 class="ruled">All kinds of animals</h1>
	<label class="search">
		<span>Find a kind by any of its names</span>
		<input class="input" type="search" autocomplete="off" bind:value={search} />
	</label>
	<p class="small" role="status">{counted(found.length, 'kind')}</p>
	{#each groups as order (order)}
		<h2>{known.list.nameOf(order)} <small>{order}</small></h2>
		<ul>
			{#each found.filter((t) => t.order === order) as taxon (taxon.code)}
				{@const drawn = describedAs(taxon.code)}
				{@const own = saidOf.get(taxon.code)}
				<li>
					<div class="drawing">
						{#if drawn}<AnimalDrawing name={drawn.drawing} isBesideWords />{/if}
					</div>
					<div>
						<h3>{taxon.name} <small>{taxon.code}</small></h3>
						<p class="small">{placeOf(taxon)}{taxon.group ? `, ${taxon.group}` : ''}</p>
						{#if otherNames(taxon.code).length}<p class="small">Also: {listed(otherNames(taxon.code))}.</p>{/if}
						{#if drawn}<p class="small">{drawn.tell}</p>{/if}
						{#if own?.because}<p class="small">{own.because}</p>{/if}
					</div>
					<dl>
						{#each data.schemes as { code, name, values } (code)}
							{@const value = valueIn(values, taxon)}
							{#if value !== undefined}<div>
									<dt>{name}</dt>
									<dd>{value}</dd>
								</div>{/if}
						{/each}
					</dl>
					<p class="act">
						{#if data.mayKeep}
							<a
								class="btn preset-outlined-surface-500"
								href={own ? `/library/animals/${own.id}` : `/library/animals/new?like=${taxon.code}`}
								>Change<span class="visually-hidden"> {taxon.code}</span></a
							>
						{/if}
					</p>
				</li>
			{/each}
		</ul>
	{:else}
		<p>
			No kind is called so. {#if data.mayKeep}<a href="/library/animals/new">Add it</a> if you tell it apart.{/if}
		</p>
	{/each}
	{#if joined.length && search === ''}
		<h2>Joined to another</h2>
		<ul class="joined">
			{#each joined as { id, code, countsAs, because } (id)}
				<li>
					<a href="/library/animals/{id}">{code}</a> counts as {known.list.nameOf(code)},
					{countsAs}{because ? `: ${because}` : ''}
				</li>
			{/each}
		</ul>
	{/if}
</main>

<style>
	.page {
		max-width: 60rem;
	}
	.search {
		display: grid;
		gap: 0.25rem;
		max-width: 26rem;
		margin: 0.75rem 0 0.25rem;
	}
	h2 {
		margin: 1.25rem 0 0.25rem;
	}
	ul:not(.joined) li {
		display: grid;
		grid-template-columns: 4.5rem minmax(0, 1fr) 15rem auto;
		gap: 0.75rem;
		align-items: start;
		padding: 0.625rem 0;
		border-bottom: 1px solid var(--rule);
	}
	.drawing {
		width: 4.5rem;
	}
	dl div {
		display: flex;
		justify-content: space-between;
		gap: 0.75rem;
		font-size: 0.875rem;
	}
	dd {
		font-variant-numeric: tabular-nums;
	}
	@media (width < 40rem) {
		ul:not(.joined) li {
			grid-template-columns: 3.5rem minmax(0, 1fr);
		}
		.drawing {
			width: 3.5rem;
		}
		dl,
		.act {
			grid-column: 2;
		}
	}
</style>
