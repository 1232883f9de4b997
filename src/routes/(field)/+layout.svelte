<script lang="ts">
	import { onMount } from 'svelte';
	import { browser } from '$app/environment';
	import { animalList, type OwnAnimal } from '$lib/core/macroinvertebrates';
	import { writeDatesBy } from '$lib/core/wording';
	import { FieldApp } from '$lib/field/field-app.svelte';
	import { dropLastSeen } from '$lib/field/last-seen';
	import { setKnownAnimals } from '$lib/ui/animals/known-animals';
	import { setFieldApp } from './field-context';
	import type { LayoutProps } from './$types';

	let { children }: LayoutProps = $props();

	const NONE: readonly OwnAnimal[] = [];
	const app = new FieldApp();
	setFieldApp(app);
	setKnownAnimals({
		get list() {
			return animalList(app.packed?.satchel.animals);
		},
		get own() {
			return app.packed?.satchel.animals ?? NONE;
		}
	});
	if (browser) writeDatesBy(() => app.packed?.satchel.program.dates);

	$effect(() => {
		if (app.isOpen) dropLastSeen();
	});

	onMount(() => {
		void app.newVersion.follow(() => !/^\/(sample|bench)\/./.test(location.pathname));
		return app.start();
	});
</script>

<div class="field">{@render children()}</div>

<style>
	.field {
		font-size: 1.0625rem;
		background: var(--page);
		min-height: 100vh;
	}
</style>
