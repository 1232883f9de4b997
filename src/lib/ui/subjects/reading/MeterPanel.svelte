<script module lang="ts">
	import type { Rest, Shown } from '$lib/core/quality';
	import type { Parameter, ParameterCode, Unit } from '$lib/core/quantity';

	export interface Meter {
		isSimulated: boolean;
		listen: (parameter: ParameterCode, hear: (shown: Shown) => void) => () => void;
	}
	export interface Props {
		meter: Meter;
		parameter: ParameterCode;
		known: Parameter;
		unit: Unit;
		/** Where the next figure goes: "left". */
		place: string;
		rest: Rest;
		now_ms: () => number;
		/** The figure is taken, in the parameter's own unit; `isSettled` false where the person would not wait. */
		ontake: (value: number, isSettled: boolean) => void;
	}
	const MOST_HEARD = 240;
</script>

<script lang="ts">
	import { untrack } from 'svelte';
	import { settling } from '$lib/core/quality';
	import { convert, units, writeNumber } from '$lib/core/quantity';

	let { meter, parameter, known, unit, place, rest, now_ms, ontake }: Props = $props();

	let heard = $state.raw<Shown[]>([]);
	let isOn = $state(false);
	$effect(() => {
		if (!isOn) return;
		// the meter itself is outside: what it sends is heard until this is closed
		return meter.listen(parameter, (shown) => (heard = [...untrack(() => heard).slice(-MOST_HEARD), shown]));
	});
	const own = $derived(known.unit);
	const seen = $derived(settling(heard, rest, heard.at(-1)?.at_ms ?? now_ms()));
	const last = $derived(heard.findLast((s) => s.value !== null)?.value ?? null);
	const isSilent = $derived(heard.length > 0 && heard.at(-1)?.value === null);
	const say = (value: number) => writeNumber(Number(convert(value, own, unit).toFixed(known.decimals)));
	const points = $derived.by(() => {
		const shown = heard.slice(-60).filter((s): s is Shown & { value: number } => s.value !== null);
		if (shown.length < 2) return '';
		const [low, high] = [Math.min(...shown.map((s) => s.value)), Math.max(...shown.map((s) => s.value))];
		const span = Math.max(high - low, rest.within * 4);
		return shown.map((s, i) => `${(i * 240) / 59},${38 - ((s.value - low) / span) * 34}`).join(' ');
	});

	function take() {
		const value = seen.state === 'now' ? seen.value : last;
		if (value === null) return;
		ontake(Number(value.toFixed(known.decimals)), seen.state === 'now');
		heard = [];
	}
</script>

{#if !isOn}
	<button type="button" class="on btn preset-outlined-surface-500" onclick={() => (isOn = true)}
		>Listen to the meter{meter.isSimulated ? ' (simulated)' : ''}</button
	>
{:else}
	<section class:now={seen.state === 'now'} aria-label="Meter">
		<p class="display">
			<b>{isSilent || last === null ? '– –' : say(last)}</b>
			{units[unit].symbol}
			{#if meter.isSimulated}<small>simulated</small>{/if}
		</p>
		<svg viewBox="0 0 240 40" preserveAspectRatio="none" aria-hidden="true"><polyline {points} /></svg>
		<p role="status" class="word">
			{#if seen.state === 'now'}<b>Now.</b> It has stood for {rest.for_s} s.
			{:else if isSilent || seen.state === 'silent'}<b>Nothing comes.</b> Look at the cable and the battery.
			{:else}<b>Wait.</b> It still moves; {Math.round(seen.share * rest.for_s)} of {rest.for_s} s still.{/if}
		</p>
		<button
			type="button"
			class={['btn', seen.state === 'now' ? 'preset-filled-primary-500' : 'preset-outlined-primary-500']}
			disabled={last === null}
			onclick={take}>{seen.state === 'now' ? `Take it for ${place}` : `Take it all the same for ${place}`}</button
		>
		<button type="button" class="btn preset-outlined-surface-500" onclick={() => ((isOn = false), (heard = []))}
			>Stop listening</button
		>
	</section>
{/if}

<style>
	.on {
		min-height: 3rem;
		width: 100%;
		margin: 0.5rem 0;
	}
	section {
		margin: 0.5rem 0;
		padding: 0.5rem 0.75rem;
		border: 2px dashed var(--ink-3);
		border-radius: 0.3125rem;
	}
	section.now {
		border: 3px solid var(--water);
	}
	.display b {
		font: 600 2.375rem/1.1 var(--head);
	}
	.display small {
		float: right;
		border: 1px solid var(--ink-3);
		padding: 0 0.375rem;
	}
	svg {
		width: 100%;
		height: 2.5rem;
	}
	polyline {
		fill: none;
		stroke: var(--water);
		stroke-width: 1.6;
		vector-effect: non-scaling-stroke;
	}
	.btn {
		min-height: 3rem;
		margin-top: 0.375rem;
	}
</style>
