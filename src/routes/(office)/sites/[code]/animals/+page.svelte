<script lang="ts">
	import { writeFixed } from '$lib/core/quantity';
	import { sayIndexChange } from '$lib/core/interpret';
	import { sensitivityGroups } from '$lib/core/macroinvertebrates';
	import { knownAnimals } from '$lib/ui/animals/known-animals';
	import { counted, sayDay } from '$lib/core/wording';
	import SchemeScores from '$lib/ui/animals/SchemeScores.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const known = knownAnimals();

	const { timeZone } = $derived(data.program);
	const day = (ms: number) => sayDay(ms, timeZone, true);
	const last = $derived(data.samplings.length - 1);
	const gone = $derived(data.kinds.filter((k) => k.last < last));
	const isNew = $derived(data.kinds.filter((k) => k.first === last && last > 0));
	const plusMinus = (value: number, uncertainty: number | null, decimals: number) =>
		uncertainty === null
			? writeFixed(value, decimals)
			: `${writeFixed(value, decimals)} ± ${writeFixed(uncertainty, decimals)}`;
	const changeWords = $derived(
		data.change?.found ? sayIndexChange(data.change.found, day(data.change.from_ms), day(data.change.to_ms)) : null
	);
</script>

<svelte:head><title>Animals at {data.site.name} · Keen Riffle</title></svelte:head>

<main class="page">
	<h1 class="ruled">Animals at {data.site.name}</h1>
	<p class="along">
		<a href="/sites/{data.site.code}">The site’s water</a>
		<a href="/sites/animals">All sites</a>
		{#each data.neighbours as n (n.code)}
			{#if n.code === data.site.code}<b aria-current="page">{n.code}</b>{:else}<a href="/sites/{n.code}/animals"
					>{n.code}</a
				>{/if}
		{/each}
	</p>
	{#if data.samplings.length}
		{#if changeWords}<p class="lead">{changeWords}</p>{/if}
		{#if last > 0}
			<p>
				{gone.length
					? `${counted(gone.length, 'kind')} found before ${gone.length === 1 ? 'was' : 'were'} not there last time.`
					: 'Every kind that was ever found was there last time.'}
				{isNew.length ? `${counted(isNew.length, 'kind')} came new.` : ''}
				One that is missing may only have been missed.
			</p>
		{/if}
		<div class="scroll">
			<table class="table">
				<thead>
					<tr>
						<th scope="col">Kind</th>
						{#each data.samplings as s (`${s.visitId} ${s.school}`)}
							<th scope="col" class="number">
								{#if data.mayOpen}<a href="/visits/{s.visitId}">{day(s.started_ms)}</a>{:else}{day(
										s.started_ms
									)}{/if}<br /><small>{s.school}</small>
							</th>
						{/each}
					</tr>
				</thead>
				<tbody class="said">
					<tr>
						<th scope="row">How sensitive <small>sensitive, middling, tolerant</small></th>
						{#each data.samplings as s (`${s.visitId} ${s.school}`)}
							<td class="number">
								<span class="bar" aria-hidden="true"
									>{#each sensitivityGroups as g (g)}<i class={g} style:width="{100 * s.said.shares[g]}%"
										></i>{/each}</span
								>
								<small>{sensitivityGroups.map((g) => `${(100 * s.said.shares[g]).toFixed(0)}`).join(' · ')} %</small>
							</td>
						{/each}
					</tr>
					<tr>
						<th scope="row">Family biotic index</th>
						{#each data.samplings as s (`${s.visitId} ${s.school}`)}
							<td class="number">{s.said.index ? plusMinus(s.said.index.value, s.said.index.uncertainty, 2) : ''}</td>
						{/each}
					</tr>
					<tr>
						<th scope="row">Kinds <small>of them mayflies, stoneflies, caddisflies</small></th>
						{#each data.samplings as s (`${s.visitId} ${s.school}`)}
							<td class="number">{s.said.richness} <small>{s.said.ept}</small></td>
						{/each}
					</tr>
					<tr>
						<th scope="row">Kinds at a common count</th>
						{#each data.samplings as s (`${s.visitId} ${s.school}`)}
							<td class="number"
								>{s.said.rarefied ? plusMinus(s.said.rarefied.value, s.said.rarefied.uncertainty, 1) : ''}</td
							>
						{/each}
					</tr>
					<tr>
						<th scope="row">Animals</th>
						{#each data.samplings as s (`${s.visitId} ${s.school}`)}<td class="number">{s.said.animals}</td>{/each}
					</tr>
				</tbody>
				<tbody>
					{#each data.kinds as k, i (k.code)}
						{#if k.taxon?.order !== data.kinds[i - 1]?.taxon?.order}
							<tr class="order"
								><th scope="rowgroup" colspan={data.samplings.length + 1}>{k.taxon?.order ?? 'without a name'}</th></tr
							>
						{/if}
						<tr>
							<th scope="row"
								>{known.list.nameOf(k.code)}
								<small
									>{k.code}{k.first === last && last > 0 ? ', new' : ''}{k.last < last
										? ', not seen last time'
										: ''}</small
								></th
							>
							{#each k.counts as n, nth (nth)}<td class="number">{n || ''}</td>{/each}
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
		<h2 class="ruled" id="scores">Scores of {day(data.samplings[last]!.started_ms)}</h2>
		<SchemeScores
			scores={data.scores}
			checked={data.checked}
			counters="those who counted this tray"
			hasLinks={data.maySeeLibrary}
		/>
		<p class="small">
			± is what counting so few animals allows, at 95 %; a wrong name is not in it. Tolerances are the example list’s,
			until the program’s own authority gives others.
		</p>
	{:else}
		<p class="lead">
			Nobody has sorted animals here yet. A visit with a card for animals brings them: a kick or a sweep, then the tray.
		</p>
	{/if}
</main>

<style>
	h2 {
		margin-top: 1.25rem;
	}
	.along {
		display: flex;
		flex-wrap: wrap;
		gap: 0.25rem 0.75rem;
		margin-top: 0.25rem;
	}
	.lead {
		max-width: 70ch;
		margin: 0.5rem 0;
		font-weight: 600;
	}
	.scroll {
		overflow-x: auto;
	}
	th[scope='row'] {
		font-weight: 500;
		color: var(--ink);
		font-size: inherit;
		border-bottom: 1px solid var(--rule);
	}
	.order th {
		padding-top: 0.625rem;
		font-family: var(--head);
		font-size: 0.9375rem;
		color: var(--ink);
	}
	.bar {
		display: flex;
		height: 0.625rem;
		min-width: 4.5rem;
		border: 1px solid var(--ink-3);
	}
	.bar .sensitive {
		background: var(--water);
	}
	.bar .middling {
		background: var(--water-3);
	}
	.bar .tolerant {
		background: repeating-linear-gradient(135deg, var(--ink-3) 0 2px, var(--page) 2px 4px);
	}
	.said td,
	.said th {
		background: var(--page);
	}
</style>
