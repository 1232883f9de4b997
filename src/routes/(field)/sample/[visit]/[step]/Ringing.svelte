<script lang="ts">
	import { isAwaited } from '$lib/core/subjects/determination';
	import type { RunningClock } from '$lib/core/visit';
	import type { FieldApp } from '$lib/field/field-app.svelte';

	interface Props {
		app: FieldApp;
		clocks: readonly RunningClock[];
		visitId: string;
		hrefOf: (stepId: string) => string;
	}
	let { app, clocks, visitId, hrefOf }: Props = $props();

	const awaited = $derived(
		clocks.filter(isAwaited).map(({ id, step, label, due_ms }) => ({ id: `${visitId} ${id}`, step, label, due_ms }))
	);
	$effect(() => app.alarms.await(awaited)); // the phone's own bell
	const rung = $derived(awaited.filter((a) => app.alarms.ringing.has(a.id)));
</script>

<!-- Waits of this visit that are over, until somebody has heard them. -->
{#each rung as { id, step, label } (id)}
	<p class="say ask bell" role="alert">
		<b>{label}: the time has come.</b>
		{#if step}<a class="btn preset-filled-primary-500" href={hrefOf(step)} onclick={() => app.alarms.hear(id)}
				>Read it</a
			>{/if}
		<button type="button" class="btn preset-outlined-surface-500" onclick={() => app.alarms.hear(id)}>OK</button>
	</p>
{/each}

<style>
	.bell {
		position: sticky;
		top: 0;
		z-index: 4;
		margin-top: 0.625rem;
	}
	.bell .btn {
		min-height: 2.75rem;
		margin-left: 0.375rem;
	}
</style>
