<script lang="ts">
	import { onMount } from 'svelte';
	import { browser } from '$app/environment';
	import { writeNumbersBy, type NumberStyle } from '$lib/core/quantity';
	import { writeDatesBy } from '$lib/core/wording';
	import { FieldApp } from '$lib/field/field-app.svelte';
	import { dropLastSeen } from '$lib/field/last-seen';
	import { setFieldApp } from './field-context';
	import type { LayoutProps } from './$types';

	let { children }: LayoutProps = $props();

	const app = new FieldApp();
	setFieldApp(app);
	/** Read with every number of a screen: it is no state, so that none of what is written hangs on it. */
	let numbers: NumberStyle | undefined;
	$effect.pre(() => {
		numbers = app.packed?.satchel.program.numbers;
	});
	if (browser) {
		writeDatesBy(() => app.packed?.satchel.program.dates);
		writeNumbersBy(() => numbers);
	}

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
