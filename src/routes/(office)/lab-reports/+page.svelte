<script lang="ts">
	import { enhance } from '$app/forms';
	import { counted, sayDay } from '$lib/core/wording';
	import { textOf } from '$lib/ui/kit/file-text';
	import PickFile from '$lib/ui/kit/PickFile.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();

	let content = $state('');
	let name = $state('');
	const { timeZone } = $derived(data.program);
	const waiting = $derived(data.reports.filter((r) => r.taken === null));
	const taken = $derived(data.reports.filter((r) => r.taken !== null));

	async function choose(file: File) {
		content = await textOf(file);
		name ||= file.name.replace(/\.[^.]+$/, '').slice(0, 80);
	}
</script>

<svelte:head><title>Lab reports · Keen Riffle</title></svelte:head>

<main class="page">
	<h1 class="ruled">Lab reports</h1>
	<p>
		What a laboratory found in the bottles, file by file. A report is looked at row by row; nothing is written before
		you have said so, and the file stays here as it was sent.
	</p>
	{#if waiting.length}
		<h2 class="ruled">Waiting to be looked at</h2>
		<ul class="reports">
			{#each waiting as report (report.id)}
				<li>
					<p>
						<b>{report.name}</b> from {report.lab}{report.isSimulated ? ', a simulated lab' : ''}
						<small>arrived on {sayDay(report.arrived_ms, timeZone)}</small>
					</p>
					<a class="btn preset-filled-primary-500" href="/lab-reports/{report.id}"
						>Look at it<span class="visually-hidden">: {report.name}</span></a
					>
				</li>
			{/each}
		</ul>
	{/if}
	<h2 class="ruled">Bring one in</h2>
	{#if data.labs.length === 0}
		<p>No lab is known yet. <a href="/library/labs">Put it on its shelf first</a>, then bring its reports in here.</p>
	{:else}
		<form
			method="POST"
			use:enhance={() =>
				async ({ update }) =>
					update({ reset: false })}
		>
			<div class="pair">
				<label
					>Lab
					<select class="select" name="labId">
						{#each data.labs as lab (lab.id)}<option value={lab.id}>{lab.name}</option>{/each}
					</select></label
				>
				<label>Number or name of the report <input class="input" name="name" maxlength="80" bind:value={name} /></label>
			</div>
			<PickFile label="CSV from the lab" endings={['.csv', '.txt', '.tsv']} onpick={(file) => void choose(file)} />
			<label for="content">or paste its rows, headings first</label>
			<textarea id="content" name="content" rows="4" class="textarea" spellcheck="false" bind:value={content}
			></textarea>
			{#if form?.why}<p class="why" role="alert">{form.why}</p>{/if}
			<p><button class="btn preset-filled-primary-500" disabled={content === ''}>Look at its rows</button></p>
		</form>
	{/if}
	{#if taken.length}
		<h2 class="ruled">Written</h2>
		<table class="table">
			<thead
				><tr><th>Report</th><th>Lab</th><th>Arrived</th><th class="number">Figures</th><th>Written by</th></tr></thead
			>
			<tbody>
				{#each taken as report (report.id)}
					<tr>
						<td><a href="/lab-reports/{report.id}">{report.name}</a></td>
						<td>{report.lab}</td>
						<td>{sayDay(report.arrived_ms, timeZone)}</td>
						<td class="number">{report.figures}</td>
						<td>{report.taken!.by}, {sayDay(report.taken!.at_ms, timeZone)}</td>
					</tr>
				{/each}
			</tbody>
		</table>
		<p class="small">{counted(taken.length, 'report')} in all.</p>
	{/if}
	<p class="elsewhere">
		<a class="btn preset-outlined-surface-500" href="/shipments">Shipments</a>
		<a class="btn preset-outlined-surface-500" href="/apart">How far apart bench, lab and meter are</a>
	</p>
</main>

<style>
	.page {
		max-width: 61.25rem;
	}
	h2 {
		margin-top: 1.25rem;
	}
	.reports li {
		display: flex;
		gap: 1rem;
		align-items: center;
		justify-content: space-between;
		padding: 0.5rem 0;
		border-bottom: 1px solid var(--rule);
	}
	.reports small {
		display: block;
	}
	form {
		display: grid;
		gap: 0.5rem;
		margin: 0.75rem 0;
	}
	.pair {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(15rem, 1fr));
		gap: 0.75rem;
	}
	label {
		font-weight: 600;
	}
	textarea {
		font-size: 0.8125rem;
	}
	.elsewhere {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
		margin-top: 1rem;
	}
	.why {
		color: var(--danger);
		font-weight: 600;
	}
</style>
