<script lang="ts">
	import { animalList, type OwnAnimal } from '$lib/core/macroinvertebrates';
	import { setKnownAnimals } from '$lib/ui/animals/known-animals';
	import { fieldApp } from '../../field-context';
	import type { LayoutProps } from './$types';

	let { children }: LayoutProps = $props();

	// here, and not above: the lists of visits and of plates name no animal, and are there sooner without
	const NONE: readonly OwnAnimal[] = [];
	const app = fieldApp();
	setKnownAnimals({
		get list() {
			return animalList(app.packed?.satchel.animals);
		},
		get own() {
			return app.packed?.satchel.animals ?? NONE;
		}
	});
</script>

{@render children()}
