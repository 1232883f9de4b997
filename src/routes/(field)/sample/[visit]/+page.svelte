<script lang="ts">
	import { goto } from '$app/navigation';
	import { VisitLog } from '$lib/field/visit-log.svelte';
	import PartLost from '$lib/ui/frame/PartLost.svelte';
	import { fieldApp } from '../../field-context';
	import type { PageProps } from './$types';

	let { params }: PageProps = $props();

	const app = fieldApp();
	const log = $derived(
		new VisitLog(
			params.visit,
			() => app.packed,
			() => app.now_ms
		)
	);

	$effect(() => {
		void log.workOut();
		return log.follow(); // reads this device's store
	});
	$effect(() => {
		// the address of a visit leads to the step to do next
		const step = log.outcome ? (log.outcome.next ?? log.steps.at(-1)?.step.id) : null;
		if (step) void goto(`/sample/${params.visit}/${step}`, { replaceState: true });
	});
</script>

<svelte:head><title>Visit · Keen Riffle</title></svelte:head>
{#if log.isPartLost}
	<main>
		<h1>Not all is here</h1>
		<PartLost />
		<p><a href="/sample">Back to the visits kept here</a></p>
	</main>
{:else if log.entries?.length === 0}
	<main>
		<h1>This visit is not on this device</h1>
		<p>
			It may have been opened on another one and not been sent yet. <a href="/sample">Back to the visits kept here</a>
		</p>
	</main>
{/if}

<style>
	main {
		padding: 1.875rem 1rem;
	}
</style>
