<script module lang="ts">
	export interface Props {
		/** When it was started, ms; null while it stands. Kept by whoever shows it, so that it outlives a reload. */
		started_ms: number | null;
		now_ms: () => number;
		label: string;
		onstart: (at_ms: number) => void;
		/** Stopped after so many seconds. */
		onstop: (time_s: number) => void;
		oncancel: () => void;
	}
	const SHOWN_EVERY_ms = 100;
</script>

<script lang="ts">
	import { writeFixed } from '$lib/core/quantity';
	import { untrack } from 'svelte';

	let { started_ms, now_ms, label, onstart, onstop, oncancel }: Props = $props();

	let shown_ms = $state(untrack(() => now_ms()));
	$effect(() => {
		if (started_ms === null) return;
		// the screen follows the clock only while it runs and can be seen
		const timer = setInterval(() => document.visibilityState === 'visible' && (shown_ms = now_ms()), SHOWN_EVERY_ms);
		return () => clearInterval(timer);
	});
	const time_s = $derived(started_ms === null ? 0 : Math.max(0, (shown_ms - started_ms) / 1000));
</script>

{#if started_ms === null}
	<button type="button" class="watch" onclick={() => onstart(now_ms())}><b>Start</b> <span>{label}</span></button>
{:else}
	<button type="button" class="watch runs" onclick={() => onstop(Number(((now_ms() - started_ms) / 1000).toFixed(1)))}
		><b>{writeFixed(time_s, 1)} s</b> <span>tap to stop</span></button
	>
	<button type="button" class="btn preset-outlined-surface-500" onclick={oncancel}>That run does not count</button>
{/if}

<style>
	.watch {
		display: grid;
		place-items: center;
		width: 100%;
		min-height: 6.875rem;
		border: 3px solid var(--water);
		border-radius: 0.375rem;
		background: var(--page);
		color: var(--ink);
		touch-action: manipulation;
		cursor: pointer;
	}
	.watch b {
		font: 600 2.5rem/1 var(--head);
	}
	.runs {
		background: var(--water-4);
	}
	.btn {
		min-height: 3rem;
		margin-top: 0.375rem;
	}
</style>
