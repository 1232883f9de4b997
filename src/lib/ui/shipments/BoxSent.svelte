<!-- A box that has left: until when it ought to be at its lab; once the lab has said so, when it came and how warm. -->
<script module lang="ts">
	import type { Props as PackProps } from './PackBox.svelte';

	export type Props = Omit<PackProps, 'waiting' | 'journey'>;
</script>

<script lang="ts">
	import { ARRIVAL, hasArrived } from '$lib/core/custody';
	import { whyNotThere } from '$lib/core/interpret';
	import { readPlain, writeNumber } from '$lib/core/quantity';
	import { clock24, counted, instantOnDay, isoDay, sayDay, sayTime } from '$lib/core/wording';

	let { box, now_ms, timeZone, typed, ontype, ondo }: Props = $props();

	const name = $derived(box.code ?? 'The new box');
	const moment = (at_ms: number) => `${sayDay(at_ms, timeZone)} at ${sayTime(at_ms, timeZone)}`;
	const isLate = $derived(box.expected_ms !== null && box.expected_ms < now_ms);

	const at = (field: string) => `${box.id} ${ARRIVAL} ${field}`;
	const today = $derived(isoDay(now_ms, timeZone));
	const day = $derived(typed(at('day')) || today);
	const time = $derived(typed(at('time')));
	const temperature = $derived(typed(at('temperature')));

	let why = $state<string | null>(null);
	async function arrived(event: SubmitEvent) {
		event.preventDefault();
		why = await say();
	}
	function notLeft() {
		ontype(`${box.id} time`, ''); // by whom it is taken stays typed; when it leaves is another moment
		void ondo({ does: 'take-back' });
	}
	async function say(): Promise<string | null> {
		const at_ms = time === '' && day === today ? now_ms : instantOnDay(day, time, timeZone);
		if (at_ms === null) return 'Say the time, such as 14:05.';
		const whyNot = whyNotThere(at_ms, box.handedOver_ms ?? at_ms, now_ms, timeZone);
		if (whyNot !== null) return whyNot;
		const temperature_C = temperature.trim() === '' ? null : readPlain(temperature);
		if (temperature_C === null && temperature.trim() !== '') return 'The temperature is a number, or nothing.';
		return ondo({ does: 'arrive', temperature_C }, at_ms);
	}
</script>

<section aria-label={name}>
	<h2 class="ruled">{name} <small>to {box.lab}, {counted(box.bottles.length, 'bottle')}</small></h2>
	<p>
		Taken by {box.courier}, {moment(box.handedOver_ms ?? now_ms)}{box.seal ? `, seal ${box.seal}` : ''}{hasArrived(
			box
		) ||
		box.expected_ms === null ||
		isLate
			? ''
			: `; expected there on ${sayDay(box.expected_ms, timeZone)}`}.
	</p>
	{#if box.arrived_ms}
		<p class="say">
			It arrived on {moment(box.arrived_ms)}{(box.arrived_C ?? null) === null
				? ''
				: `, at ${writeNumber(box.arrived_C!)} °C`}. Its results come with the lab’s report, in the office.
		</p>
		<button class="btn preset-outlined-surface-500" onclick={() => void ondo({ does: 'take-back' })}
			>It has not arrived: strike that</button
		>
	{:else}
		{#if isLate}<p class="say ask">
				It should have been there on {sayDay(box.expected_ms!, timeZone)}. Ask the lab first, then the courier: ice
				lasts a day or two.
			</p>{/if}
		<form onsubmit={arrived}>
			<h3>It has arrived, says the lab</h3>
			<div class="fields">
				<label
					>Day
					<input
						class="input"
						type="date"
						max={today}
						value={day}
						onchange={(e) => ontype(at('day'), e.currentTarget.value)}
					/></label
				>
				<label
					>Time
					<input
						class="input"
						inputmode="numeric"
						autocomplete="off"
						placeholder={clock24(now_ms, timeZone)}
						value={time}
						oninput={(e) => ontype(at('time'), e.currentTarget.value)}
					/></label
				>
				<label
					>In the box, °C
					<input
						class="input"
						inputmode="decimal"
						autocomplete="off"
						placeholder="if it was read"
						value={temperature}
						oninput={(e) => ontype(at('temperature'), e.currentTarget.value)}
					/></label
				>
			</div>
			{#if why}<p class="why" role="alert">{why}</p>{/if}
			<button class="btn preset-filled-primary-500">It has arrived</button>
			<p class="small">How long each bottle was held is judged by this time.</p>
		</form>
		<button class="btn preset-outlined-surface-500" onclick={notLeft}>It has not left: strike that</button>
	{/if}
</section>

<style>
	h2 small {
		font-weight: 400;
	}
	h3 {
		font-weight: 600;
	}
	.btn {
		min-height: 3rem;
	}
	form {
		display: grid;
		gap: 0.5rem;
		margin: 0.75rem 0 1rem;
	}
	.fields {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(8rem, 1fr));
		gap: 0.75rem;
	}
	label {
		font-weight: 600;
	}
	.input {
		min-height: 3rem;
	}
	.why {
		color: var(--danger);
		font-weight: 600;
	}
</style>
