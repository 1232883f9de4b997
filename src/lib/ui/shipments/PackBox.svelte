<!-- A box that is being packed, on a phone, with or without a network. -->
<script module lang="ts">
	import type { Box, BoxWordWithout, JourneyAhead, PackedBottle } from '$lib/core/custody';

	export interface Props {
		box: Box;
		/** Bottles that wait and that its lab has a use for. */
		waiting: readonly PackedBottle[];
		/** Its way if it left now; null where nobody knows. */
		journey: JourneyAhead | null;
		now_ms: number;
		timeZone: string;
		/** What is being typed at a place, and typing it. */
		typed: (place: string) => string;
		ontype: (place: string, text: string) => void;
		/** What is done to it, now or at the moment said; says why it cannot be. */
		ondo: (done: BoxWordWithout<'id' | 'at' | 'box'>, at_ms?: number) => Promise<string | null>;
	}
</script>

<script lang="ts">
	import { packing } from '$lib/core/custody';
	import { sayJourney } from '$lib/core/interpret';
	import { packingWords } from '$lib/core/subjects/bottle/words';
	import { clock24, counted, instantOfTime } from '$lib/core/wording';
	import BottleRows from './BottleRows.svelte';

	let { box, waiting, journey, now_ms, timeZone, typed, ontype, ondo }: Props = $props();

	const name = $derived(box.code ?? 'The new box');
	const arrives_ms = $derived(journey?.arrives_ms ?? null);
	const left = $derived(packing.filter((step) => !box.packed.includes(step)).length);
	const placeOf = ({ visitId, id }: PackedBottle) => ({ visitId, id });
	const wordOf = ({ label, site }: PackedBottle) => label ?? `the bottle of ${site}`;

	const at = (field: string) => `${box.id} ${field}`;
	const time = $derived(typed(at('time')));
	let why = $state<string | null>(null);
	async function handOver(event: SubmitEvent) {
		event.preventDefault();
		const at_ms = time === '' ? now_ms : instantOfTime(time, now_ms, timeZone);
		if (at_ms === null) return void (why = 'The time is like 14:05.');
		if (box.bottles.some((b) => b.label === null))
			return void (why = 'A bottle without a label cannot be told from the others at the lab.');
		why = await ondo({ does: 'hand-over', courier: typed(at('courier')), seal: typed(at('seal')) }, at_ms);
	}
</script>

<section aria-label={name}>
	<h2 class="ruled">{name} <small>to {box.lab}, {counted(box.bottles.length, 'bottle')}</small></h2>
	{#if journey}<p class={['say', journey.stands && 'ask']}>{sayJourney(journey, timeZone)}</p>{/if}
	<BottleRows bottles={box.bottles} {arrives_ms} {timeZone}>
		{#snippet deed(bottle)}
			<button
				class="btn preset-outlined-surface-500"
				aria-label="Take out {wordOf(bottle)}"
				onclick={() => void ondo({ does: 'take-out', bottle: placeOf(bottle) })}>Take out</button
			>
		{/snippet}
	</BottleRows>
	{#if box.bottles.length === 0}<p>It is empty.</p>{/if}
	{#if waiting.length}
		<details>
			<summary>{counted(waiting.length, 'bottle')} more {waiting.length === 1 ? 'waits' : 'wait'}</summary>
			<BottleRows bottles={waiting} {arrives_ms} {timeZone}>
				{#snippet deed(bottle)}
					<button
						class="btn preset-outlined-primary-500"
						aria-label="Put in {wordOf(bottle)}"
						onclick={() => void ondo({ does: 'put-in', bottles: [placeOf(bottle)] })}>Put in</button
					>
				{/snippet}
			</BottleRows>
		</details>
	{/if}
	<h3>Pack it</h3>
	<ul class="ticks">
		{#each packing as step (step)}
			<li>
				<label
					><input
						type="checkbox"
						class="checkbox"
						checked={box.packed.includes(step)}
						onchange={(e) => void ondo({ does: 'pack', step, isDone: e.currentTarget.checked })}
					/>{packingWords[step]}</label
				>
			</li>
		{/each}
	</ul>
	<h3>Hand it over</h3>
	<form class="given" onsubmit={handOver}>
		{#each [['courier', 'Taken by'], ['seal', 'Seal number, if any']] as const as [field, label] (field)}
			<label
				>{label}
				<input
					class="input"
					maxlength="60"
					required={field === 'courier'}
					autocomplete="off"
					value={typed(at(field))}
					oninput={(e) => ontype(at(field), e.currentTarget.value)}
				/></label
			>
		{/each}
		<label
			>When
			<input
				class="input"
				inputmode="numeric"
				autocomplete="off"
				placeholder={clock24(now_ms, timeZone)}
				value={time}
				oninput={(e) => ontype(at('time'), e.currentTarget.value)}
			/></label
		>
		{#if why}<p class="why" role="alert">{why}</p>{/if}
		<button class="btn preset-filled-primary-500" disabled={box.bottles.length === 0}
			>Hand over {counted(box.bottles.length, 'bottle')}{left ? ', not all packed' : ''}</button
		>
		<p class="small">It is written into the custody of each visit.</p>
	</form>
	<button class="btn preset-outlined-surface-500" onclick={() => void ondo({ does: 'unpack' })}
		>Unpack it: its bottles wait again</button
	>
</section>

<style>
	h2 small {
		font-weight: 400;
	}
	h3 {
		margin-top: 1rem;
		font-weight: 600;
	}
	.btn {
		min-height: 3rem;
	}
	.ticks .checkbox {
		flex: none;
	}
	.ticks label {
		display: flex;
		gap: 0.75rem;
		align-items: center;
		min-height: 3rem;
	}
	.given {
		display: grid;
		gap: 0.75rem;
		margin: 0.5rem 0 1rem;
	}
	.given label {
		font-weight: 600;
	}
	.given .input {
		min-height: 3rem;
	}
	.why {
		color: var(--danger);
		font-weight: 600;
	}
	summary {
		min-height: 3rem;
		padding: 0.75rem 0;
		cursor: pointer;
	}
</style>
