<script module lang="ts">
	import type { StepScreen } from '../step-screen';

	export interface Props {
		/** The tray's step. */
		step: { id: string; title: string };
		/** The compartment whose animals are shown. */
		code: string;
		screen: StepScreen;
	}
</script>

<script lang="ts">
	import { photosIn } from '$lib/core/subjects/tray/compartments';
	import { knownAnimals } from '../../animals/known-animals';
	import { keepPicture } from '../../entry/keep-picture';
	import TakePicture from '../../kit/TakePicture.svelte';

	let { step, code, screen }: Props = $props();
	const known = knownAnimals();

	let wrong = $state('');
	let isBusy = $state(false);
	const name = $derived(known.list.nameOf(code));
	const photos = $derived(photosIn(screen.sheet, step.id, code, known.list));

	async function keep(picture: Blob) {
		wrong = '';
		isBusy = true;
		try {
			await keepPicture(screen, picture, { of: step.title, tray: step.id, compartment: code });
		} catch (trouble) {
			wrong = trouble instanceof Error ? trouble.message : String(trouble);
		}
		isBusy = false;
	}
</script>

<div class="photos">
	{#each photos as { id, sha256 } (id)}
		<figure>
			{#await screen.photoAddress(sha256) then src}<img {src} alt="Photo of {name}" />{/await}
			<button
				type="button"
				class="btn preset-outlined-surface-500"
				onclick={() => screen.writer.strike(`photos/${id}/sha256`, 'not the right photo')}
				>strike<span class="visually-hidden"> the photo of {name}</span></button
			>
		</figure>
	{/each}
	<TakePicture label="Photo of {name}" {isBusy} ontake={keep} />
	{#if wrong}<p class="say ask" role="alert">{wrong}</p>{/if}
</div>

<style>
	.photos {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
		align-items: end;
		margin: 0.25rem 0 0.75rem;
	}
	figure {
		display: grid;
		gap: 0.25rem;
	}
	img {
		width: 7rem;
		height: 7rem;
		object-fit: cover;
		border: 1px solid var(--rule);
	}
	button {
		min-height: 2.75rem;
	}
	.say {
		width: 100%;
	}
</style>
