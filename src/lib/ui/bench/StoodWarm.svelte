<!-- How warm it is where plates stand, read now and then: the cold hours do not bring them nearer to being read. -->
<script lang="ts">
	import { temperature_C } from '$lib/core/leaf';
	import type { Limits } from '$lib/core/method';
	import { readPlain, writeNumber } from '$lib/core/quantity';
	import type { PlateSheet } from '$lib/core/subjects/plates/shelf';
	import { coldHours, readingsOf } from '$lib/core/subjects/plates/warmth';
	import { sayDuration, sayTime } from '$lib/core/wording';

	interface Props {
		/** Those that still grow, and stand together: what was read of one was read of all. */
		plates: readonly PlateSheet[];
		limits: Limits;
		/** A thermometer that can be read by a tap; what is shipped is a stand-in, and only a demo has it. */
		thermometer: { isSimulated: boolean; read: () => number } | null;
		now_ms: number;
		timeZone: string;
		/** Writes it at each of the plates. */
		onread: (read: { temperature_C: number; isSimulated?: true }) => void;
		/** The reading of that moment was a slip: strikes it at each. */
		onstrike: (at_ms: number) => void;
	}
	let { plates, limits, thermometer, now_ms, timeZone, onread, onstrike }: Props = $props();

	const least_C = $derived(limits.plateLeastTemperature_C);
	let text = $state('');
	const read_C = $derived.by(() => {
		const read = readPlain(text);
		return temperature_C.safeParse(read).success ? read : null;
	});
	/** One that was poured later has no part in the readings before it: the longest there tells most. */
	const first = $derived(plates.toSorted((a, b) => (a.pouredAt ?? '').localeCompare(b.pouredAt ?? ''))[0]!);
	const last = $derived(
		plates
			.flatMap((plate) => readingsOf(plate))
			.toSorted((a, b) => a.at_ms - b.at_ms)
			.at(-1)
	);
	const cold_h = $derived(
		first.pouredAt === undefined ? 0 : coldHours(first, { from_ms: Date.parse(first.pouredAt), to_ms: now_ms }, least_C)
	);

	function keepTyped(event: SubmitEvent) {
		event.preventDefault();
		if (read_C !== null) keep(read_C, false);
	}
	function keep(temperature_C: number, isSimulated: boolean) {
		onread({ temperature_C, ...(isSimulated ? { isSimulated: true } : {}) });
		text = '';
	}
</script>

<form onsubmit={keepTyped} aria-label="How warm it is where the plates stand">
	<label
		>Where the plates stand, °C now
		<input
			class="input"
			inputmode="decimal"
			autocomplete="off"
			bind:value={text}
			aria-invalid={text.trim() !== '' && read_C === null}
		/></label
	>
	<button class="btn preset-outlined-primary-500" disabled={read_C === null}>Save</button>
	<p class="small" role="status">
		{#if text.trim() !== '' && read_C === null}A temperature in °C, like 24.5.
		{:else if read_C !== null && read_C < least_C}Under {writeNumber(least_C)} °C plates hardly grow: somewhere warmer, such
			as above a cupboard.
		{:else if last}
			{writeNumber(last.temperature_C)} °C{last.isSimulated ? ', simulated,' : ''} at {sayTime(last.at_ms, timeZone)}.
			{#if last.temperature_C < least_C}Too cold: the clock stands still until it is {writeNumber(least_C)} °C.{/if}
			{#if cold_h >= 0.1}{sayDuration(cold_h * 3_600_000)} were too cold, and reading waits as much longer.{/if}
		{:else}Read the thermometer morning and evening: under {writeNumber(least_C)} °C the clock stands still.{/if}
	</p>
	{#if thermometer}
		<button
			type="button"
			class="btn preset-outlined-surface-500"
			onclick={() => keep(thermometer.read(), thermometer.isSimulated)}>Read the simulated thermometer</button
		>
	{/if}
	{#if last}
		<button type="button" class="btn preset-outlined-surface-500" onclick={() => onstrike(last.at_ms)}
			>Strike {writeNumber(last.temperature_C)} °C</button
		>
	{/if}
</form>

<style>
	form {
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto;
		gap: 0.375rem 0.5rem;
		align-items: end;
	}
	p,
	form > [type='button'] {
		grid-column: 1 / -1;
	}
	:is(.btn, .input) {
		min-height: 3rem;
	}
</style>
