<script module lang="ts">
	import type { StepScreen } from '../subjects/step-screen';

	export interface Props {
		/** What the pictures of this panel show: "site board", or the step that they belong to. */
		of: string;
		/** Kinds taken elsewhere that are looked at here too. */
		also?: readonly string[];
		screen: Pick<StepScreen, 'sheet' | 'writer' | 'keepPhoto' | 'photoAddress' | 'newId'>;
	}
</script>

<script lang="ts">
	import TakePicture from '../kit/TakePicture.svelte';
	import WordsField from './WordsField.svelte';
	import { keepPicture } from './keep-picture';

	let { of, also = [], screen }: Props = $props();
	const { writer } = $derived(screen);

	let wrong = $state('');
	let isBusy = $state(false);
	/** The sheet that is being drawn on: an empty one, or a photo by its address. */
	let sketch = $state<{ on: string | null } | null>(null);
	/** Those of a compartment of the tray are shown beside it. */
	const mine = $derived(
		Object.entries(screen.sheet.photos ?? {}).filter(
			([, p]) => p.sha256 !== undefined && p.compartment === undefined && (p.of === of || also.includes(p.of ?? ''))
		)
	);

	async function keep(picture: Blob) {
		wrong = '';
		isBusy = true;
		try {
			await keepPicture(screen, picture, { of });
			sketch = null;
		} catch (trouble) {
			wrong = trouble instanceof Error ? trouble.message : String(trouble);
		}
		isBusy = false;
	}
</script>

<div class="photos">
	{#each mine as [id, photo] (id)}
		<figure>
			{#await screen.photoAddress(photo.sha256 ?? '') then src}<img {src} alt={photo.caption ?? `Photo: ${photo.of}`} />
				<button type="button" class="draw btn preset-outlined-surface-500" onclick={() => (sketch = { on: src })}
					>Draw on it</button
				>{/await}
			<figcaption>
				<WordsField {writer} path={`photos/${id}/caption`} label="What this photo shows" isBare />
				<button
					type="button"
					class="btn preset-outlined-surface-500"
					onclick={() => writer.strike(`photos/${id}/sha256`, 'not the right photo')}>strike</button
				>
			</figcaption>
		</figure>
	{/each}
	<TakePicture label="Photo: {of}" {isBusy} ontake={keep} />
	<button type="button" class="take btn preset-outlined-surface-500" onclick={() => (sketch = { on: null })}
		>Sketch with a finger</button
	>
	{#if sketch}
		{#key sketch}
			{#await import('./SketchPad.svelte') then { default: SketchPad }}
				<SketchPad on={sketch.on} onkeep={keep} oncancel={() => (sketch = null)} />
			{/await}
		{/key}
	{/if}
	{#if wrong}<p class="say ask" role="alert">{wrong}</p>{/if}
</div>

<style>
	.take {
		min-height: 3rem;
	}
	.draw {
		min-height: 2.75rem;
		margin-top: 0.25rem;
	}
	img {
		width: 100%;
		max-height: 9.375rem;
		object-fit: cover;
		border: 1px solid var(--rule);
	}
	figure {
		margin: 0.5rem 0;
	}
	figcaption {
		display: flex;
		gap: 0.375rem;
		margin-top: 0.25rem;
	}
	figcaption > :global(:first-child) {
		flex: 1;
	}
</style>
