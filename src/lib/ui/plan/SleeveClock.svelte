<script module lang="ts">
	export interface Props {
		code: string;
		/** Percent that a simulated meter shows, so many seconds after it was switched on; null: there is none. */
		simulated: ((on_s: number) => number | null) | null;
		onread: (percent: string) => void;
		/** Whole minutes since the probe went in. */
		onminutes: (minutes: string) => void;
	}
</script>

<script lang="ts">
	import { writeFixed } from '$lib/core/quantity';
	import { untrack } from 'svelte';

	let { code, simulated, onread, onminutes }: Props = $props();

	const SETTLE_min = 10;

	/* The sleeve's clock survives a reload: it is kept by the instrument's code. */
	const clockKey = $derived(`keen-riffle-sleeve ${code}`);
	let since_ms = $state<number | null>(null);
	let tick_ms = $state(Date.now());
	$effect(() => {
		since_ms = Number(localStorage.getItem(clockKey)) || null;
		const clock = setInterval(() => (tick_ms = Date.now()), 1000);
		return () => clearInterval(clock);
	});
	const inSleeve_min = $derived(since_ms === null ? null : Math.max(0, (tick_ms - since_ms) / 60_000));
	const whole_min = $derived(inSleeve_min === null ? null : Math.floor(inSleeve_min));
	$effect(() => {
		const minutes = whole_min;
		if (minutes !== null) untrack(() => onminutes(String(minutes)));
	});

	function start() {
		tick_ms = since_ms = Date.now();
		localStorage.setItem(clockKey, String(since_ms));
	}

	let meterOn_ms = $state<number | null>(null);
	const shown = $derived(meterOn_ms === null || simulated === null ? null : simulated((tick_ms - meterOn_ms) / 1000));
</script>

<p class="acts">
	<button type="button" class="btn preset-outlined-surface-500" onclick={start}
		>{since_ms === null ? 'It is in the sleeve now' : 'Start the ten minutes anew'}</button
	>
	{#if inSleeve_min !== null}
		<span role="timer"
			>{inSleeve_min >= SETTLE_min ? 'Settled.' : `${Math.ceil(SETTLE_min - inSleeve_min)} min to go.`}</span
		>
	{/if}
	{#if simulated}<button type="button" class="btn preset-outlined-surface-500" onclick={() => (meterOn_ms = Date.now())}
			>Simulated meter</button
		>{/if}
	{#if shown !== null}
		<span><b class="figure">{writeFixed(shown, 1)} %</b> simulated</span>
		<button type="button" class="btn preset-outlined-surface-500" onclick={() => onread(writeFixed(shown, 1))}
			>Take it</button
		>
	{/if}
</p>

<style>
	.acts {
		display: flex;
		flex-wrap: wrap;
		gap: 0.625rem;
		align-items: center;
		margin: 0.5rem 0;
	}
	.figure {
		font-size: 1.375rem;
	}
</style>
