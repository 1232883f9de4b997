<script lang="ts">
	import { enhance } from '$app/forms';
	import { addingWords } from '$lib/core/score-schemes';
	import { counted, listed } from '$lib/core/wording';
	import { textOf } from '$lib/ui/kit/file-text';
	import PickFile from '$lib/ui/kit/PickFile.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();

	let text = $state('');
	const looked = $derived(form && 'looked' in form ? form.looked : null);
	const before = $derived(looked && data.schemes.find((s) => s.code === looked.code));
</script>

<svelte:head><title>Score schemes · Keen Riffle</title></svelte:head>

<main class="page">
	<p class="small"><a href="/library">Library</a></p>
	<h1 class="ruled">Score schemes</h1>
	<p>
		Which animals are worth what, how that is added up, and which classes the figure falls into. Every sample is scored
		by all of them side by side. Two examples are here to begin with; bring in the scheme of your own authority.
	</p>
	<div class="wide">
		<table class="table">
			<thead
				><tr><th>Scheme</th><th>Adds up</th><th class="number">Animals</th><th>Classes</th><th>Source</th></tr></thead
			>
			<tbody>
				{#each data.schemes as scheme (scheme.code)}
					<tr>
						<td>
							<a href="/library/schemes/{scheme.code}">{scheme.name}</a>
							{#if scheme.isExample}<small>example</small>{/if}
						</td>
						<td>{addingWords[scheme.adding]}</td>
						<td class="number">{Object.keys(scheme.values).length}</td>
						<td>{listed(scheme.classes.map((c) => c.name))}</td>
						<td class="small">{scheme.source}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
	{#if data.mayKeep}
		<h2 class="ruled">Bring one in</h2>
		<p class="small">
			Take an example’s file as a pattern: <a href="/library/schemes/example-tolerance/scheme.csv">its rows</a> say what they
			are. A scheme with a code that is there becomes its next version; the earlier stays readable.
		</p>
		<form
			method="POST"
			use:enhance={() =>
				async ({ update }) =>
					update({ reset: false })}
		>
			<PickFile
				label="CSV of a scheme"
				endings={['.csv', '.txt']}
				onpick={(file) => void textOf(file).then((read) => (text = read))}
			/>
			<label for="text">or paste its rows</label>
			<textarea id="text" name="text" rows="4" class="textarea" spellcheck="false" bind:value={text}></textarea>
			<p class="deeds">
				<button
					class={['btn', looked ? 'preset-outlined-primary-500' : 'preset-filled-primary-500']}
					disabled={text === ''}>Look at it</button
				>
				{#if looked}<button class="btn preset-filled-primary-500" name="isConfirmed" value="yes"
						>{before ? 'Make it the next version' : 'Put it in'}</button
					>{/if}
			</p>
			<div role="status">
				{#if looked}
					<p class="say">
						<b>{looked.name}</b>: {counted(Object.keys(looked.values).length, 'animal')} with a value, {addingWords[
							looked.adding
						]}, {listed(looked.classes.map((c) => c.name))}. {before
							? `It takes the place of “${before.name}”.`
							: 'It is new.'}
					</p>
				{/if}
				{#if form && 'why' in form && form.why}
					<ul class="say spoils">
						{#each form.why.slice(0, 12) as why (why)}<li>{why}</li>{/each}
						{#if form.why.length > 12}<li>and {form.why.length - 12} more.</li>{/if}
					</ul>
				{/if}
			</div>
		</form>
	{/if}
</main>

<style>
	.page {
		max-width: 65rem;
	}
	h2 {
		margin-top: 1.25rem;
	}
	.wide {
		overflow-x: auto;
	}
	td small {
		display: block;
	}
	form {
		display: grid;
		gap: 0.5rem;
		margin: 0.75rem 0;
	}
	label {
		font-weight: 600;
	}
	textarea {
		font-size: 0.8125rem;
	}
	.deeds {
		display: flex;
		gap: 0.625rem;
	}
</style>
