<script lang="ts">
	import { writeFixed } from '$lib/core/quantity';
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { kindNamed, lookupIn } from '$lib/core/library';
	import { textOf } from '$lib/ui/kit/file-text';
	import PickFile from '$lib/ui/kit/PickFile.svelte';
	import Questions from '$lib/ui/kit/Questions.svelte';
	import ImportLines from '$lib/ui/library/ImportLines.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();

	const MOST_BYTES = 3_500_000;
	const kind = $derived(kindNamed(data.kindName)!);
	let text = $state('');
	let fileName = $state('');
	let tooLarge = $state<string | null>(null);
	let defaults = $state<Record<string, string>>({});
	/** What headings and words of files mean here: said once, remembered with the program. */
	let mapping = $state(untrack(() => structuredClone(data.mapping)));
	let isReading = $state(false);
	/** Fields that were asked for once stay on the page, with what was said. */
	let asked = $state<string[]>([]);
	$effect(() => {
		const missing = form && 'missing' in form ? (form.missing ?? []) : [];
		asked = untrack(() => [...new Set([...asked, ...missing])]);
	});

	/** What was asked stays on the page with what was answered. */
	let foreign = $state<{ headings: string[]; words: { field: string; text: string }[] }>({ headings: [], words: [] });
	$effect(() => {
		if (!form || !('strange' in form)) return;
		const { unknown = [], strange = [] } = form;
		foreign = untrack(() => ({
			headings: [...new Set([...foreign.headings, ...unknown])],
			words: [
				...foreign.words,
				...strange.filter((s) => !foreign.words.some((w) => w.field === s.field && w.text === s.text))
			]
		}));
	});
	/** Of what was missing, what no heading was said to mean since. */
	const unsaid = $derived(asked.filter((name) => !Object.values(mapping.headings).includes(name)));
	const means = (field: string, text: string, word: string) =>
		(mapping.values[field] = { ...mapping.values[field], [text]: word });
	const lookup = $derived(lookupIn(data.library));
	const optionsOf = (name: string) => {
		const field = kind.fields[name]!;
		return (
			field.options ?? field.refers?.flatMap((k) => data.library[k].map((row) => lookup.nameOf([k], row.id))) ?? null
		);
	};
	const lines = $derived(form && 'lines' in form ? (form.lines ?? []) : []);
	const writable = $derived(lines.filter((l) => l.verdict === 'new' || l.verdict === 'changed').length);
	const refused = $derived(lines.filter((l) => l.verdict === 'refused').length);
	const isMap = $derived(kind.name === 'sites' || kind.name === 'streams' || 'latitude' in kind.fields);

	async function choose(file: File) {
		tooLarge = null;
		fileName = file.name;
		if (file.size > MOST_BYTES) {
			tooLarge = `${file.name} is ${writeFixed(file.size / 1e6, 1)} MB; at most ${MOST_BYTES / 1e6} MB are taken. Leave out what is not needed, such as tracks.`;
			text = '';
			return;
		}
		text = await textOf(file);
	}
</script>

<svelte:head><title>Bring in {kind.many} · Keen Riffle</title></svelte:head>

<main class="page">
	<p class="small"><a href="/library">Library</a>&nbsp;› <a href="/library/{kind.name}">{kind.many}</a></p>
	<h1 class="ruled">Bring in {kind.many.toLowerCase()} from a file</h1>
	<form
		method="POST"
		enctype="multipart/form-data"
		use:enhance={() => {
			isReading = true;
			return async ({ result, update }) => {
				isReading = false;
				if (result.type === 'error') {
					tooLarge = result.error.message;
					return;
				}
				tooLarge = null;
				await update({ reset: false, invalidateAll: true });
			};
		}}
	>
		<PickFile
			label={isMap ? 'CSV, GeoJSON or GPX' : 'CSV'}
			endings={isMap ? ['.csv', '.txt', '.geojson', '.json', '.gpx'] : ['.csv', '.txt']}
			onpick={(file) => void choose(file)}
		/>
		{#if tooLarge}<p class="why" role="alert">{tooLarge}</p>{/if}
		<label for="text">or paste its rows, headings first</label>
		<textarea
			id="text"
			name="text"
			rows="4"
			class="textarea"
			spellcheck="false"
			bind:value={text}
			placeholder={Object.keys(kind.fields).join(',')}></textarea>
		{#if unsaid.length}
			<Questions legend="Where the file says nothing">
				{#each unsaid as name (name)}
					{@const options = optionsOf(name)}
					<label>
						<span class="small"
							>{kind.fields[name]?.label}{kind.fields[name]?.unit ? `, ${kind.fields[name]?.unit}` : ''}</span
						>
						{#if options}
							<select class="select" bind:value={defaults[name]}
								><option value="">leave it, and refuse the row</option>{#each options as option (option)}<option
										>{option}</option
									>{/each}</select
							>
						{:else}<input class="input" bind:value={defaults[name]} />{/if}
					</label>
				{/each}
			</Questions>
		{/if}
		{#if foreign.headings.length || foreign.words.length}
			<Questions legend="What the file’s words mean here" hint="Said once: the next file of this kind is read so too.">
				{#each foreign.headings as heading (heading)}
					<label>
						<span class="small">heading “{heading}”</span>
						<select
							class="select"
							value={mapping.headings[heading] ?? ''}
							onchange={(e) => (mapping.headings[heading] = e.currentTarget.value)}
						>
							<option value="">says nothing here</option>
							{#each Object.entries(kind.fields) as [name, field] (name)}<option value={name}>{field.label}</option
								>{/each}
						</select>
					</label>
				{/each}
				{#each foreign.words as { field, text: word } (field + word)}
					<label>
						<span class="small">{kind.fields[field]?.label}: “{word}”</span>
						<select
							class="select"
							value={mapping.values[field]?.[word] ?? ''}
							onchange={(e) => means(field, word, e.currentTarget.value)}
						>
							<option value="">leave it, and refuse the row</option>
							{#each optionsOf(field) ?? [] as option (option)}<option>{option}</option>{/each}
						</select>
					</label>
				{/each}
			</Questions>
		{/if}
		<input type="hidden" name="mapping" value={JSON.stringify(mapping)} />
		<input type="hidden" name="defaults" value={JSON.stringify(defaults)} />
		<div class="deeds">
			<button
				class={[
					'btn',
					!writable || form?.written != null ? 'preset-filled-primary-500' : 'preset-outlined-primary-500'
				]}
				disabled={text === '' || isReading}>{isReading ? 'Reading' : 'Look at it'}</button
			>
			{#if writable && form?.written == null}
				<button class="btn preset-filled-primary-500" name="confirmed" value={form?.fingerprint}
					>Write {writable} {writable === 1 ? 'row' : 'rows'}{refused ? `, leave out ${refused}` : ''}</button
				>
			{/if}
			<p class="small">{fileName}</p>
		</div>
	</form>
	<div role="status">
		{#if form?.why}<p class="say spoils">{form.why}</p>{/if}
		{#if form?.written != null}<p class="say">
				{form.written}
				{form.written === 1 ? 'row is' : 'rows are'} in the library. <a href="/library/{kind.name}">See them</a>
			</p>{/if}
	</div>
	{#if form && 'lines' in form && form.lines}
		<ImportLines lines={form.lines} isWritten={form.written != null} />
	{/if}
</main>

<style>
	.page {
		max-width: 61.25rem;
	}
	form {
		display: grid;
		gap: 0.5rem;
		margin: 0.875rem 0;
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
		align-items: center;
	}
	.why {
		color: var(--danger);
		font-weight: 600;
	}
</style>
