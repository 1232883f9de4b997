<script lang="ts">
	import { tick, untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { counted, sayDay } from '$lib/core/wording';
	import CountQuestions from '$lib/ui/animal-counts/CountQuestions.svelte';
	import CountSamples from '$lib/ui/animal-counts/CountSamples.svelte';
	import { textOf } from '$lib/ui/kit/file-text';
	import PickFile from '$lib/ui/kit/PickFile.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();

	let text = $state('');
	let from = $state('');
	let opensBy = $state('');
	let mapping = $state(untrack(() => structuredClone(data.mapping)));
	let isReading = $state(false);
	let broken = $state<string | null>(null);
	let looker = $state<HTMLFormElement>();

	const plan = $derived(form && 'looked' in form ? (form.looked ?? null) : null);
	const taken = $derived(form && 'taken' in form ? (form.taken ?? null) : null);
	const why = $derived(broken ?? (form && 'why' in form ? form.why : null));
	const writable = $derived(plan?.samples.filter((s) => s.verdict === 'new' || s.verdict === 'opens') ?? []);
	const refused = $derived(plan?.samples.filter((s) => s.verdict === 'refused').length ?? 0);

	/** What was asked once stays on the page with its answer, so that it can be answered otherwise. */
	interface Asked {
		unknown: { heading: string; example: string }[];
		near: Record<string, string[]>;
	}
	let asked = $state<Asked>({ unknown: [], near: {} });
	$effect(() => {
		if (!plan) return;
		const before = untrack(() => $state.snapshot(asked));
		const isNew = ({ heading }: Asked['unknown'][number]) => !before.unknown.some((u) => u.heading === heading);
		asked = { unknown: [...before.unknown, ...plan.unknown.filter(isNew)], near: { ...before.near, ...plan.near } };
	});

	async function choose(file: File) {
		text = await textOf(file);
		from ||= file.name.replace(/\.[^.]+$/, '').slice(0, 80);
		void lookAgain();
	}

	/**
	 * Each answer is looked at at once; one that is given while the last is still being looked at waits for it, for
	 * answers must not overtake each other.
	 */
	let isAskedAgain = false;
	async function lookAgain() {
		await tick();
		if (isReading) isAskedAgain = true;
		else looker?.requestSubmit(looker.querySelector<HTMLButtonElement>('[data-look]'));
	}
	const day = (iso: string) => sayDay(Date.parse(iso), 'UTC', true);
</script>

<svelte:head><title>Counts made elsewhere · Keen Riffle</title></svelte:head>

<main class="page">
	<p class="small"><a href="/sites/animals">Animals of all sites</a></p>
	<h1 class="ruled">Counts made elsewhere</h1>
	<p>
		Animals that somebody counted at a table of their own, from a file: a row for each kind of each sample, with the
		sample’s label or its site and day, the animal, and how many; or a row for each kind, and a column for each sample
		with its label or site and day on top. It is looked at first; nothing is written before you have said so.
	</p>
	<form
		bind:this={looker}
		method="POST"
		action="?/look"
		use:enhance={() => {
			isReading = true;
			return async ({ result, update }) => {
				broken = result.type === 'error' ? result.error.message : null;
				if (result.type !== 'error') await update({ reset: false });
				isReading = false;
				if (!isAskedAgain) return;
				isAskedAgain = false;
				void lookAgain();
			};
		}}
	>
		<PickFile label="CSV" endings={['.csv', '.txt', '.tsv']} onpick={(file) => void choose(file)} />
		<label
			>or paste its rows, headings first
			<textarea
				name="text"
				rows="4"
				class="textarea"
				spellcheck="false"
				bind:value={text}
				placeholder={['site', 'day', 'animal', 'how many'].join(',')}></textarea>
		</label>
		<div class="pair">
			<label>Whose counts <input class="input" name="from" maxlength="80" bind:value={from} /></label>
			<label
				>For a day without a visit
				<select class="select" name="opensBy" bind:value={opensBy} onchange={() => text && void lookAgain()}>
					<option value="">open none: such samples wait</option>
					{#each data.cards as card (card.id)}<option value={card.id}>open one by {card.name}</option>{/each}
				</select></label
			>
		</div>
		<CountQuestions {asked} missing={plan?.missingFields ?? []} bind:mapping onsaid={() => void lookAgain()} />
		<input type="hidden" name="mapping" value={JSON.stringify(mapping)} />
		<div class="deeds">
			{#if plan && writable.length}
				<button class="btn preset-filled-primary-500" name="confirmed" value={plan.fingerprint} disabled={isReading}
					>Write {counted(writable.length, 'sample')}{refused ? `, leave out ${refused}` : ''}</button
				>
			{/if}
			<button
				data-look
				class={['btn', writable.length ? 'preset-outlined-primary-500' : 'preset-filled-primary-500']}
				disabled={text === '' || isReading}
				>{#if isReading}Reading{:else}{plan ? 'Look again' : 'Look at it'}{/if}</button
			>
		</div>
		<div role="status">
			{#if why}<p class="say spoils">{why}</p>{/if}
			{#if taken}<p class="say">
					{counted(taken.written, 'sample')} of {counted(taken.animals, 'animal')} written. Each stands with its visit, and
					waits there for review.
				</p>{/if}
		</div>
	</form>
	{#if plan?.samples.length}<CountSamples {plan} />{/if}

	{#if data.brought.length}
		<h2 class="ruled">Brought in from files</h2>
		<ul class="list">
			{#each data.brought as tray (`${tray.visitId}/${tray.step}`)}
				<li>
					<p>
						<a href="/visits/{tray.visitId}">{tray.site}, {day(tray.day)}</a>
						<small>{counted(Object.keys(tray.kinds).length, 'kind')} from {tray.from}</small>
					</p>
					<form method="POST" action="?/takeBack" use:enhance>
						<input type="hidden" name="visitId" value={tray.visitId} />
						<input type="hidden" name="step" value={tray.step} />
						<button class="btn preset-outlined-surface-500"
							>Strike these counts<span class="visually-hidden"> of {tray.site}, {day(tray.day)}</span></button
						>
					</form>
				</li>
			{/each}
		</ul>
	{/if}
	{#if data.waiting.length}
		<h2 class="ruled">Samples that nobody has counted yet</h2>
		<ul class="list">
			{#each data.waiting as tray (`${tray.visitId}/${tray.step}`)}
				<li>
					<a href="/visits/{tray.visitId}">{tray.label ?? `${tray.site}, ${day(tray.day)}`}</a>
					{#if tray.label}<small>{tray.site}, {day(tray.day)}</small>{/if}
				</li>
			{/each}
		</ul>
	{/if}
</main>

<style>
	.page {
		max-width: 61.25rem;
	}
	form {
		display: grid;
		gap: 0.75rem;
		margin: 0.875rem 0;
	}
	label {
		font-weight: 600;
	}
	textarea {
		font-size: 0.8125rem;
	}
	.pair {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(16rem, 1fr));
		gap: 0.75rem;
	}
	.deeds {
		display: flex;
		flex-wrap: wrap;
		gap: 0.625rem;
	}
	.list li {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem 1rem;
		align-items: center;
		justify-content: space-between;
		padding: 0.375rem 0;
		border-bottom: 1px solid var(--rule);
	}
	.list form {
		margin: 0;
	}
	.list small {
		display: block;
	}
</style>
