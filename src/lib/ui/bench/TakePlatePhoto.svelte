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
	import TakePicture from '../kit/TakePicture.svelte';

	let { plate, camera, writer }: Props = $props();

	let wrong = $state('');
	let isBusy = $state(false);

	async function take(file: File) {
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
		}
	}
</script>

<TakePicture label={isBusy ? 'Keeping the photo …' : 'Count on a photo'} {isBusy} ontake={take} />
{#if wrong}<p class="say ask" role="alert">{wrong}</p>{/if}
