<script module lang="ts">
	import type { Writer } from '../entry/writer';
	import type { Camera } from './camera';

	export interface Props {
		plate: string;
		camera: Camera;
		writer: Writer;
	}
</script>

<script lang="ts">
	import { stamp } from '../entry/writer';

	let { plate, camera, writer }: Props = $props();

	let wrong = $state('');
	let isBusy = $state(false);

	async function take(input: HTMLInputElement) {
		const file = input.files?.[0];
		if (!file) return;
		wrong = '';
		isBusy = true;
		try {
			const sha256 = await camera.keep(file);
			const base = `platePhotos/${camera.newId()}`;
			await writer.setAll({ [`${base}/plate`]: plate, [`${base}/takenAt`]: stamp(writer), [`${base}/sha256`]: sha256 });
		} catch (trouble) {
			wrong = trouble instanceof Error ? trouble.message : String(trouble);
		} finally {
			isBusy = false;
			input.value = '';
		}
	}
</script>

<label class="btn preset-outlined-surface-500" aria-busy={isBusy}>
	{isBusy ? 'Keeping the photo …' : 'Count on a photo'}
	<input
		type="file"
		accept="image/*"
		capture="environment"
		class="visually-hidden"
		onchange={(e) => take(e.currentTarget)}
	/>
</label>
{#if wrong}<p class="say ask" role="alert">{wrong}</p>{/if}

<style>
	label {
		min-height: 3rem;
		position: relative;
	}
	label:focus-within {
		outline: 3px solid var(--water-2);
		outline-offset: 2px;
	}
</style>
