<!-- A bottle that is titrated out of a burette: how much of which titrant, its strength held against a standard. -->
<script lang="ts">
	import { writeFixed, writeNumber } from '$lib/core/quantity';
	import { untrack } from 'svelte';
	import type { Sheet } from '$lib/core/logbook';
	import type { StepOf } from '$lib/core/subjects/steps';
	import { normalityOf, oxygenOf } from '$lib/core/subjects/titration/strength';
	import type { Writer } from '../../entry/writer';
	import MeasureField from '../../entry/MeasureField.svelte';

	interface Props {
		id: string;
		bottle: NonNullable<Sheet['titrations']>[string] | undefined;
		checks: Sheet['titrantChecks'];
		step: StepOf<'titration'>;
		writer: Writer;
	}
	let { id, bottle, checks, step, writer }: Props = $props();

	const found = $derived(bottle ? oxygenOf(bottle, checks, step) : null);
	const checked_N = $derived(normalityOf(undefined, checks));
	/** One check is enough here; what else was checked elsewhere counts with it. */
	const check = 'titrantChecks/bench';
	let isChecking = $state(untrack(() => checked_N !== null));
	const wanting = $derived(
		[
			bottle?.normality_N === undefined && checked_N === null ? 'the strength of the titrant' : '',
			bottle?.sample_mL === undefined ? 'how much water' : '',
			bottle?.titrant_mL === undefined ? 'how much titrant' : ''
		].filter(Boolean)
	);
</script>

<p class="small">
	Titrant until pale straw, starch, then drop by drop until the blue is just gone. Read the burette at the foot of the
	curve, before and after, and type the difference.
</p>
<div class="pair">
	<MeasureField {writer} path="titrations/{id}/normality_N" label="Titrant’s label says, N" placed={null} />
	<MeasureField {writer} path="titrations/{id}/sample_mL" label="Water titrated, mL" placed={null} />
	<MeasureField {writer} path="titrations/{id}/titrant_mL" label="Titrant it took, mL" placed={null} />
	<MeasureField {writer} path="titrations/{id}/blank_mL" label="A blank took, mL (if any)" placed={null} />
</div>
<p class="say" role="status">
	{#if found?.belowBlank}<b>Below the blank:</b> titrate again, or look at the blank.
	{:else if found}<b>{writeFixed(found.dissolvedOxygen_mgL, 1)} mg/L</b> of oxygen in this bottle.
	{:else}Still wanted: {wanting.join(', ')}.{/if}
</p>
<details bind:open={isChecking}>
	<summary>Hold the titrant against a standard</summary>
	<p class="small">
		A titrant weakens as it stands. A standard of known strength, titrated the same way, tells what it is worth today.
	</p>
	<div class="pair">
		<MeasureField {writer} path="{check}/standard_mL" label="Standard, mL" placed={null} />
		<MeasureField {writer} path="{check}/standard_N" label="Its strength, N" placed={null} />
		<MeasureField {writer} path="{check}/titrant_mL" label="Titrant the standard took, mL" placed={null} />
	</div>
	{#if checked_N !== null}
		<p class="say" role="status">
			<b>{writeFixed(checked_N, 4)} N</b>{bottle?.normality_N === undefined
				? '.'
				: `, where the label says ${writeNumber(bottle.normality_N)} N.`} What was found counts.
		</p>
	{/if}
</details>

<style>
	.pair {
		display: grid;
		grid-template-columns: repeat(2, minmax(0, 1fr));
		gap: 0.5rem 0.75rem;
		align-items: end;
	}
	.say {
		margin-top: 0.5rem;
	}
	summary {
		min-height: 3rem;
		padding: 0.75rem 0;
		font-weight: 600;
		cursor: pointer;
	}
</style>
