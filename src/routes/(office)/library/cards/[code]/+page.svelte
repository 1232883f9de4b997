<script lang="ts">
	import PickFile from '$lib/ui/kit/PickFile.svelte';
	import { sayDay } from '$lib/core/wording';
	import CardSettings from '$lib/ui/library/CardSettings.svelte';
	import CardSteps from '$lib/ui/library/CardSteps.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();

	const whole = $derived((form?.why ?? []).filter((w) => w.path === '').map((w) => w.why));
</script>

<svelte:head><title>{data.title} · Method cards · Keen Riffle</title></svelte:head>

<main class="page">
	<p class="small"><a href="/library">Library</a>&nbsp;› <a href="/library/cards">Method cards</a></p>
	<h1 class="ruled">{data.title}</h1>
	<div class="two">
		<div>
			{#if form?.preview}
				<section class="say ask" aria-label="What the file would change">
					<h2>
						{form.preview.changes.length === 0
							? 'The file changes nothing.'
							: `The file changes ${form.preview.changes.length === 1 ? 'one setting' : `${form.preview.changes.length} settings`}. Nothing is kept yet.`}
					</h2>
					{#if form.preview.changes.length}
						<table class="table">
							<thead><tr><th>Setting</th><th>now</th><th>then</th></tr></thead>
							<tbody
								>{#each form.preview.changes as c (c.label)}<tr
										><td>{c.label}</td><td>{c.from}</td><td><b>{c.to}</b></td></tr
									>{/each}</tbody
							>
						</table>
						<p>
							{form.preview.rounds.length === 0
								? 'No planned round goes over to it.'
								: `Rounds that go over to it: ${form.preview.rounds.map((r) => `${r.name}, ${sayDay(Date.parse(r.startsAt), data.program.timeZone)}`).join('; ')}.`}
						</p>
						<form method="POST" action="?/keep">
							<input type="hidden" name="on" value={form.preview.on} />
							{#each Object.entries(form.preview.texts) as [path, text] (path)}<input
									type="hidden"
									name={path}
									value={text}
								/>{/each}
							<button class="btn preset-filled-primary-500">Save it as version {form.preview.on + 1}</button>
							<a class="btn preset-outlined-surface-500" href="/library/cards/{data.code}">Leave it</a>
						</form>
					{/if}
				</section>
			{/if}
			{#if form?.said}<p class="say" role="status">{form.said}</p>{/if}
			{#if whole.length}<p class="say spoils" role="alert">{whole.join(' ')}</p>{/if}
			{#if data.mayKeep}
				<CardSteps
					steps={data.inCard}
					kinds={data.kinds}
					changes={data.changes}
					version={data.version}
					href="/library/cards/{data.code}"
					said={data.draftSaid}
				/>
			{/if}
			{#key data.version}
				<CardSettings
					settings={data.settings}
					version={data.version}
					mayKeep={data.mayKeep}
					changes={data.changes}
					why={form?.why ?? []}
				/>
			{/key}
		</div>
		<aside>
			<h2 class="ruled">Versions</h2>
			<ul>
				{#each data.versions as v, i (v.version)}
					<li>
						<b>{v.version}</b>
						<span
							>{i === 0 ? 'in use since' : 'from'}
							{sayDay(Date.parse(v.since), data.program.timeZone, true)}{v.by ? `, ${v.by}` : ''}</span
						>
						<span class="small">
							<a
								href="/library/cards/{data.code}/settings.csv?version={v.version}"
								download
								aria-label="Version {v.version} as CSV">CSV</a
							>
							{#if i > 0}<a href="/library/cards?a={data.code}+{v.version}&b={data.code}+{data.version}#compare"
									>beside {data.version}</a
								>{/if}
						</span>
					</li>
				{/each}
			</ul>
			{#if data.mayKeep}
				<form method="POST" action="?/import" enctype="multipart/form-data" class="import">
					<PickFile
						name="file"
						label="Bring settings in from such a CSV, as version {data.version + 1}"
						endings={['.csv']}
					/>
					<input type="hidden" name="on" value={data.version} />
					<button class="btn preset-outlined-surface-500">See what it would change</button>
				</form>
			{/if}
			<h2 class="ruled order">Order, and why</h2>
			<ol>
				{#each data.steps as step, i (i)}<li>
						<b>{step.title}</b>{#if step.because.length}<br /><small>{step.because.at(-1)}</small>{/if}
					</li>{/each}
			</ol>
		</aside>
	</div>
</main>

<style>
	.page {
		max-width: 71.25rem;
	}
	.two {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 18.75rem;
		gap: 2.125rem;
		margin-top: 0.75rem;
	}
	ul li {
		display: grid;
		grid-template-columns: 1.5rem 1fr auto;
		gap: 0.5rem;
		padding: 0.3125rem 0;
		border-bottom: 1px solid var(--rule);
	}
	.import {
		display: grid;
		gap: 0.375rem;
		margin: 0.75rem 0;
	}
	.order {
		margin-top: 1.375rem;
	}
	ol {
		list-style: decimal;
		padding-left: 1.375rem;
	}
	ol li {
		padding: 0.25rem 0;
	}
	@media (max-width: 900px) {
		.two {
			grid-template-columns: 1fr;
		}
	}
</style>
