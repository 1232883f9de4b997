<script module lang="ts">
	import type { Limits } from '$lib/core/method';
	import type { Usual } from '$lib/core/subjects/context';
	import type { Writer } from '../entry/writer';

	export interface Props {
		bottle: string;
		label: string;
		isBlank: boolean;
		/** Plates of this visit so far: names go on from there. */
		taken: readonly string[];
		/** What this site mostly showed in 100 mL; null where too few were read. */
		usual: Usual | null;
		/** Much rain fell before the bottle was filled. */
		hasRained: boolean;
		limits: Limits;
		writer: Writer;
	}
</script>

<script lang="ts">
	import { MOST_PLATES } from '$lib/core/method';
	import { asWritten, readPlain, writeNumber } from '$lib/core/quantity';
	import { advisedPlates, advisedVolumes, pouring } from '$lib/core/subjects/plates/pour';
	import { counted } from '$lib/core/wording';
	import { stamp } from '../entry/writer';
	import HowToPour from './HowToPour.svelte';

	let { bottle, label, isBlank, taken, usual, hasRained, limits, writer }: Props = $props();

	const id = $props.id();
	const toPour = $derived({ label, isBlank, taken, usual, limits });
	const advice = $derived(advisedVolumes(toPour));
	const advised = $derived(advice.volumes_mL.map(String));
	const mL = (volume = '') => `${asWritten(volume)} mL`;
	/** By what the plate is for and its turn: one plate more does not move a blank's volume. */
	let typed = $state<Record<string, string>>({});
	/** As the card has it, until the hand says otherwise. */
	let asked = $state<{ replicates?: number; blanks?: number }>({});
	const replicates = $derived(asked.replicates ?? limits.plateReplicates);
	const blanks = $derived(asked.blanks ?? limits.plateBlanks);
	const plates = $derived(
		advisedPlates(toPour, { replicates, blanks }).map((plate) => {
			const text = typed[plate.key] ?? String(plate.volume_mL);
			return { ...plate, text, ...volumeIn(text) };
		})
	);
	const isFit = $derived(plates.every((p) => p.why === null));

	/** The volume that was typed, or why it is none; `doubt`: more than the card pours, which may be meant. */
	function volumeIn(text: string): { volume_mL: number; why: string | null; doubt: string | null } {
		const volume_mL = readPlain(text) ?? NaN;
		const most_mL = limits.plateMost_mL;
		const whyNot = () => {
			if (Number.isNaN(volume_mL)) return 'A volume in mL, like 1 or 2.5.';
			if (volume_mL <= 0) return 'A plate without water grows nothing.';
			return volume_mL > 20 * most_mL ? `More than ${writeNumber(20 * most_mL)} mL fit on no plate.` : null;
		};
		const why = whyNot();
		const doubt =
			why === null && volume_mL > most_mL ? `The card pours at most ${writeNumber(most_mL)} mL on a plate.` : null;
		return { volume_mL, why, doubt };
	}
	function pour(event: SubmitEvent) {
		event.preventDefault();
		if (!isFit) return;
		void writer.setAll(pouring(bottle, plates, stamp(writer)));
	}
</script>

{#snippet howMany(what: string, n: number, least: number, onchange: (n: number) => void)}
	<p class="count" role="group" aria-label="How many: {what}">
		<button
			type="button"
			class="btn preset-outlined-surface-500"
			disabled={n <= least}
			aria-label="One {what} less"
			onclick={() => onchange(n - 1)}>−</button
		>
		<b>{counted(n, what, what === 'plate' ? 'plates' : 'blanks of sterile water')}</b>
		<button
			type="button"
			class="btn preset-outlined-surface-500"
			disabled={n >= MOST_PLATES}
			aria-label="One {what} more"
			onclick={() => onchange(n + 1)}>+</button
		>
	</p>
{/snippet}

<form onsubmit={pour} aria-label="Pour plates of {label}">
	<p><b>{label}</b>{isBlank ? ', a blank: one plate, nothing may grow' : ''}</p>
	{#if !isBlank}
		<p class="small">
			{#if usual}This site mostly shows {writeNumber(usual.low)} to {writeNumber(usual.high)} in 100 mL: {advised[0] ===
				advised.at(-1)
					? `${mL(advised[0])} can be counted on a clean day and on a foul one`
					: `with ${mL(advised[0])} a clean day can be counted, with ${mL(advised.at(-1))} a foul one`}{advice.isTooCrowded
					? ', and a foul day still crowds the plate: thin the sample first'
					: ''}.{#if hasRained}
					Much rain fell before it was filled: expect the foul day.{/if}{:else}Nobody knows this site yet: pour {mL(
					advised[0]
				)}, and learn from what grows.{#if hasRained}
					Much rain fell before it was filled: pour one plate more, with a tenth of that.{/if}{/if}
		</p>
	{/if}
	{#each plates as { key, name, isBlank: isOfBlank, text, why, doubt }, i (key)}
		<label for="{id}-{i}"
			>{isOfBlank && !isBlank ? 'Sterile water on the blank' : 'Water on plate'} <b>{name}</b>, mL</label
		>
		<input
			id="{id}-{i}"
			class="input"
			inputmode="decimal"
			autocomplete="off"
			value={text}
			oninput={(e) => (typed[key] = e.currentTarget.value)}
			aria-invalid={why !== null}
			aria-describedby={why === null && doubt === null ? undefined : `${id}-${i}-why`}
		/>
		{#if why ?? doubt}<p id="{id}-{i}-why" class={why ? 'why' : 'small'} role={why ? 'alert' : undefined}>
				{why ?? doubt}
			</p>{/if}
	{/each}
	{#if !isBlank}
		{@render howMany('plate', replicates, 1, (n) => (asked.replicates = n))}
		{@render howMany('blank of sterile water', blanks, 0, (n) => (asked.blanks = n))}
	{/if}
	<HowToPour />
	<button class="btn preset-filled-primary-500" disabled={!isFit}>Poured now</button>
</form>

<style>
	form {
		display: grid;
		gap: 0.375rem;
		padding: 0.625rem 0.75rem;
		border: 1.5px solid var(--ink-3);
		background: var(--page);
	}
	.count {
		display: flex;
		align-items: center;
		gap: 0.75rem;
	}
	:is(.btn, .input) {
		min-height: 3rem;
	}
	.count .btn {
		min-width: 3rem;
	}
	.why {
		color: var(--danger);
		font-weight: 600;
	}
</style>
