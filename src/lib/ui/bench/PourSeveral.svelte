<script module lang="ts">
	import type { AdvisedPlate, ToPour } from '$lib/core/subjects/plates/pour';

	/** A bottle that waits, with what is known of its water. */
	export interface WaitingBottle extends ToPour {
		visitId: string;
		bottle: string;
		siteName: string;
	}
	export interface Props {
		bottles: readonly WaitingBottle[];
		now_ms: () => number;
		/** These were poured just now, as advised: what that sets in each visit. */
		onpour: (poured: { visitId: string; values: Record<string, unknown> }[]) => void;
	}
</script>

<script lang="ts">
	import { writeNumber } from '$lib/core/quantity';
	import { advisedPlates, pouring } from '$lib/core/subjects/plates/pour';
	import { counted, listed } from '$lib/core/wording';
	import HowToPour from './HowToPour.svelte';

	let { bottles, now_ms, onpour }: Props = $props();

	/** With what is advised for each: nothing is typed twice. */
	const advised = $derived(bottles.map((b) => ({ ...b, id: `${b.visitId} ${b.bottle}`, plates: advisedPlates(b) })));
	/** All of them, but those that were taken out. */
	let left = $state<string[]>([]);
	const chosen = $derived(advised.filter((b) => !left.includes(b.id)));
	const plates = $derived(chosen.reduce((sum, b) => sum + b.plates.length, 0));
	const say = ({ name, isBlank, volume_mL }: AdvisedPlate) =>
		`${writeNumber(volume_mL)} mL on ${isBlank ? 'the blank ' : ''}${name.slice(name.lastIndexOf('-'))}`;
	function toggle(id: string, isIn: boolean) {
		left = isIn ? left.filter((l) => l !== id) : [...left, id];
	}
</script>

<form
	aria-label="Pour several bottles"
	onsubmit={(event) => {
		event.preventDefault();
		const pouredAt = new Date(now_ms()).toISOString();
		onpour(chosen.map(({ visitId, bottle, plates }) => ({ visitId, values: pouring(bottle, plates, pouredAt) })));
	}}
>
	<p class="small">
		As many plates as the card says, with the volume that each site’s past advises. Other volumes: open the bottle.
	</p>
	{#each advised as bottle (bottle.id)}
		<label>
			<input
				type="checkbox"
				class="checkbox"
				checked={!left.includes(bottle.id)}
				onchange={(e) => toggle(bottle.id, e.currentTarget.checked)}
			/>
			<span><b>{bottle.label}</b> {bottle.siteName} <small>{listed(bottle.plates.map(say))}</small></span>
		</label>
	{/each}
	<HowToPour />
	<button class="btn preset-filled-primary-500" disabled={plates === 0}
		>Poured now: {counted(plates, 'plate')} of {counted(chosen.length, 'bottle')}</button
	>
</form>

<style>
	form {
		display: grid;
		gap: 0.375rem;
		padding: 0.625rem 0.75rem;
		border: 1.5px solid var(--ink-3);
		background: var(--page);
	}
	label {
		display: flex;
		gap: 0.75rem;
		align-items: center;
		min-height: 3rem;
	}
	small {
		display: block;
	}
	.btn {
		min-height: 3rem;
	}
</style>
