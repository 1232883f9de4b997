<script lang="ts">
	import { writeNumber } from '$lib/core/quantity';
	import { knownAnimals } from '$lib/ui/animals/known-animals';
	import { addingWords } from '$lib/core/score-schemes';
	import { counted, sayDay } from '$lib/core/wording';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const known = knownAnimals();

	const { scheme } = $derived(data);
	const span = ({ from, to }: (typeof scheme.classes)[number]) => {
		if (from === null) return to === null ? 'any figure' : `under ${writeNumber(to)}`;
		return to === null ? `${writeNumber(from)} and over` : `${writeNumber(from)} to under ${writeNumber(to)}`;
	};
	const rows = $derived(
		Object.entries(scheme.values)
			.map(([code, value]) => ({ code, value, order: known.list.of(code)?.order ?? '' }))
			.sort((a, b) => a.order.localeCompare(b.order, 'en') || a.code.localeCompare(b.code, 'en'))
	);
</script>

<svelte:head><title>{scheme.name} · Keen Riffle</title></svelte:head>

<main class="page">
	<p class="small"><a href="/library">Library</a>&nbsp;› <a href="/library/schemes">Score schemes</a></p>
	<h1 class="ruled">{scheme.name}</h1>
	<p>{scheme.source}</p>
	<p>
		Added up as {addingWords[scheme.adding]}. <a href="/library/schemes/{scheme.code}/scheme.csv">As a file</a>
	</p>
	<table class="classes table">
		<thead><tr><th>Class</th><th>Figure</th></tr></thead>
		<tbody
			>{#each scheme.classes as c (c.name)}<tr><td>{c.name}</td><td>{span(c)}</td></tr>{/each}</tbody
		>
	</table>
	{#if data.versions.length}
		<h2 class="ruled">Versions</h2>
		<ol class="versions">
			{#each data.versions as v, i (v.added_ms)}
				<li>
					{sayDay(v.added_ms, data.program.timeZone, true)}, {v.by}{i === 0 ? ', in use' : ''}.
					{#if v.changed}
						<span class="small">
							{counted(v.changed.length, 'value')} changed{v.changed.length ? ': ' : ''}{v.changed
								.slice(0, 8)
								.map((c) => `${c.code} ${c.from ?? 'none'} → ${c.to ?? 'none'}`)
								.join(', ')}.
						</span>
					{/if}
				</li>
			{/each}
		</ol>
	{/if}
	<h2 class="ruled">Values</h2>
	<table class="table">
		<thead><tr><th>Animal</th><th>Order</th><th class="number">Value</th></tr></thead>
		<tbody>
			{#each rows as row (row.code)}
				<tr
					><td>{known.list.nameOf(row.code)} <small>{row.code}</small></td><td>{row.order}</td><td class="number"
						>{writeNumber(row.value)}</td
					></tr
				>
			{/each}
		</tbody>
	</table>
</main>

<style>
	.page {
		max-width: 50rem;
	}
	h2 {
		margin-top: 1.25rem;
	}
	.classes {
		max-width: 24rem;
	}
	.versions {
		margin: 0.5rem 0 0 1.25rem;
		list-style: decimal;
	}
</style>
